import { expect, test } from "vitest";
import { asImport, importOf, Stopped, stopImport } from "./imports";

test("an import tells how far it has come while it is under way, and nothing before and after", async () => {
  expect(importOf("one")).toBeNull();
  const answer = await asImport("one", async (tell) => {
    await tell(2, 5);
    expect(importOf("one")).toMatchObject({ done: 2, of: 5 });
    expect(importOf("two")).toBeNull();
    return "kept";
  });
  expect(answer).toBe("kept");
  expect(importOf("one")).toBeNull();
});

test("stopped, it goes no further than where it tells the next time, and only it", async () => {
  let told = 0;
  const go = (id: string) =>
    asImport(id, async (tell) => {
      for (let n = 1; n <= 50; n += 1) {
        await tell(n, 50);
        if (id === "one") told = n;
      }
    });
  const [one, two] = [go("one"), go("two")];
  expect(stopImport("one")).toBe(true);
  await expect(one).rejects.toThrow(Stopped);
  await expect(two).resolves.toBeUndefined();
  expect(told).toBeLessThan(50);
  expect(stopImport("one")).toBe(false);
});

test("one that fails is under way no longer, and its fault is its caller's to hear", async () => {
  await expect(asImport("one", () => Promise.reject(new Error("disk full")))).rejects.toThrow("disk full");
  expect(importOf("one")).toBeNull();
});
