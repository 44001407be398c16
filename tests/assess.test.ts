import { execFile } from "node:child_process";
import { writeFile } from "node:fs/promises";
import path from "node:path";
import { expect, inject, test } from "vitest";
import { openPage, withApp } from "./app";
import { openBrowser } from "./launch";

interface Told {
  readonly name: string;
  readonly verdict: string;
  readonly questions: readonly {
    readonly id: string;
    readonly answers: readonly { readonly word: string }[];
  }[];
  readonly verdicts: readonly {
    readonly wouldChange: string;
    readonly evidence: readonly object[];
    readonly done?: boolean;
  }[];
}

const assess = (...args: string[]) =>
  new Promise<{ code: number | null; out: string; err: string }>((resolve) => {
    execFile(
      process.execPath,
      ["scripts/run.mjs", "scripts/assess.ts", ...args],
      { maxBuffer: 1 << 26 },
      (error, out, err) => resolve({ code: error ? Number(error.code) : 0, out, err }),
    );
  });
const dropped = (list: readonly Told[]) =>
  list.filter((item) => item.verdict === "drop").map((item) => item.name);

test("the demo's file, by hand at the command line, gives the same leading verdicts as the screen", () =>
  withApp("demo", async (app) => {
    const [file, torn] = ["assess.json", "torn.json"].map((name) => path.join(inject("folder"), name)) as [
      string,
      string,
    ];
    const text = await (await fetch(`${app.url}/api/log`)).text();
    await writeFile(file, text);
    await writeFile(torn, text.replace('"format"', '"form'));
    const [even, lean, strict, broken] = await Promise.all([
      assess(file),
      assess(file, "--school", "lean"),
      assess(file, "--school", "strict"),
      assess(torn),
    ]);
    const told = JSON.parse(even.out) as Told[];
    expect(told).toHaveLength(83);
    expect(told.at(-1)).toMatchObject({
      name: "Sit mat",
      verdict: "add",
      verdicts: [{ wouldChange: "One bought and on the shelf: then it is settled." }],
    });
    expect(
      told.every(
        (item) =>
          item.verdicts.length > 0 &&
          item.verdicts.every((verdict) => verdict.wouldChange && verdict.evidence.length > 0),
      ),
    ).toBe(true);
    expect(dropped(JSON.parse(lean.out) as Told[])).toEqual(expect.arrayContaining(dropped(told)));
    expect(strict).toMatchObject({ code: 2, out: "", err: expect.stringContaining("no school “strict”") });
    expect(broken).toMatchObject({ code: 2, out: "", err: expect.stringMatching(/line \d+, column \d+/) });

    // A question answered is a mark like any other: the verdicts as they would be after it.
    const asked = told.find(({ questions }) => questions.length > 0)!;
    const question = asked.questions[0]!;
    const [after, nonsense] = await Promise.all([
      assess(file, "--answer", `${question.id}=${question.answers[0]!.word}`),
      assess(file, "--answer", `${question.id}=burn it`),
    ]);
    expect(
      (JSON.parse(after.out) as Told[]).find(({ name }) => name === asked.name)!.questions,
    ).not.toContainEqual(expect.objectContaining({ id: question.id }));
    expect(nonsense).toMatchObject({ code: 2, err: expect.stringContaining("Nothing is asked that") });

    const browser = await openBrowser();
    const { page } = await openPage(browser, `${app.url}/verdicts`);
    for (const item of told.filter(
      (each) => ["drop", "replace", "add"].includes(each.verdict) && !each.verdicts[0]!.done,
    )) {
      expect(
        await page.getByRole("article", { name: `${item.verdict} ${item.name}`, exact: true }).count(),
        item.name,
      ).toBe(1);
    }
    await browser.close();
  }));
