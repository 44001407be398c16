import { PNG } from "pngjs"; import { readFileSync, writeFileSync } from "node:fs";
const [,, f] = process.argv; const x = PNG.sync.read(readFileSync(`/tmp/shots-a/${f}`)), y = PNG.sync.read(readFileSync(`/tmp/shots-c/${f}`));
let l=1e9,r=0,t=1e9,b=0; for (let i=0;i<Math.min(x.data.length,y.data.length);i+=4) if (Math.abs(x.data[i]-y.data[i])>12||Math.abs(x.data[i+1]-y.data[i+1])>12) { const px=(i/4)%x.width, py=Math.floor(i/4/x.width); l=Math.min(l,px);r=Math.max(r,px);t=Math.min(t,py);b=Math.max(b,py); }
l=Math.max(0,l-40);r=Math.min(x.width,r+40);t=Math.max(0,t-20);b=Math.min(x.height,Math.min(b+20,t+400)); const w=r-l,h=b-t; const o=new PNG({width:w,height:h*2+6});
PNG.bitblt(x,o,l,t,w,Math.min(h,x.height-t),0,0); PNG.bitblt(y,o,l,t,w,Math.min(h,y.height-t),0,h+6); writeFileSync("/tmp/crop.png",PNG.sync.write(o)); console.log(f,l,t,r,b);
