import { firstLoads } from "./measure/first-load"; for (const { page, bytes } of firstLoads()) console.log((bytes/1024).toFixed(0), page);
