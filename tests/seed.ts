import fc from "fast-check";

// The same histories at every run, so that what fails is what was changed: `SEED=7 npx vitest run --project unit` tries others.
fc.configureGlobal({ seed: Number(process.env.SEED ?? 1) });
