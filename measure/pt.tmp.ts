import { gradeTalks } from "./hearing/score";
for (const t of gradeTalks()) console.log(t.name, "recall", (t.right.length/(t.right.length+t.wanting.length)).toFixed(2), "prec", (t.right.length/(t.right.length+t.wrong.length)).toFixed(2));
