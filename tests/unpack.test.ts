import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { expectAccessible, exported, openPage, PHONE, saved, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test("the demo's largest trip takes at most 1.3 key presses a thing, and no mark waits for another", () =>
  withApp("demo", async (app) => {
    const log = await exported(app);
    const largest = log.trips.reduce((a, b) => (b.marks.length > a.marks.length ? b : a));
    const wanted = new Map(largest.marks.map((mark) => [mark.item as string, mark.use as string]));
    const cleared = await fetch(`${app.url}/api/marks`, {
      method: "POST",
      body: JSON.stringify(largest.marks.map(({ item }) => ({ trip: largest.id, item, mark: null }))),
    });
    expect(cleared.ok).toBe(true);
    const { page } = await openPage(browser, `${app.url}/unpack/${largest.id}`);
    const names = new Map(log.items.map((item) => [item.name as string, item.id as string]));
    const KEYS: Record<string, string> = { used: "u", hardly: "h", unused: "n" };
    let presses = 0;
    // Each acknowledgement is held back a while: the next key must not wait for it.
    await page.route("**/api/marks", async (route) => {
      await new Promise((resolve) => setTimeout(resolve, 150));
      await route.continue();
    });
    for (let left = largest.marks.length; left > 0;) {
      const pocket = await page.locator("li[aria-label]").evaluateAll((rows) =>
        rows
          .map((row) => row.getAttribute("aria-label")!)
          .filter((label) => label.endsWith(": not marked"))
          .map((label) => label.replace(/: not marked$/, "")),
      );
      const uses = pocket.map((name) => wanted.get(names.get(name)!)!);
      if (uses.length > 1 && uses.every((use) => use === "used")) {
        await page.keyboard.press("Shift+U");
        presses += 2;
        left -= uses.length;
      } else {
        await page.keyboard.press(KEYS[uses[0]!]!);
        presses += 1;
        left -= 1;
      }
      await page.getByText(left === 0 ? "All marked." : `${left} of ${largest.marks.length} left`).waitFor();
    }
    console.log(
      `unpacked ${largest.marks.length} things with ${presses} key presses, ${(presses / largest.marks.length).toFixed(2)} each`,
    );
    expect(presses / largest.marks.length).toBeLessThanOrEqual(1.3);
    await saved(page);
    const after = (await exported(app)).trips.find((trip) => trip.id === largest.id)!;
    expect(new Map(after.marks.map((mark) => [mark.item, mark.use]))).toEqual(wanted);
    await page.close();
  }));

test("failing, why, condition, call, note, exit, undo: all by keyboard, all kept", () =>
  withApp("demo", async (app) => {
    const trip = "saltpan-again-2026-09-12";
    const { page } = await openPage(browser, `${app.url}/unpack/${trip}`);
    const mark = async (item: string) => {
      await saved(page);
      return (await exported(app)).trips
        .find((each) => each.id === trip)!
        .marks.find((each) => each.item === item)!;
    };
    const before = await mark("pack-cover");
    await page.locator("li[aria-label^='Pack cover']").waitFor();
    await page.keyboard.press("t");
    for (const key of ["2", "ArrowRight", "5", "1", "2"]) await page.keyboard.press(key); // damaged, nothing to be seen, poor design, patched, discomfort
    await page.keyboard.press("3");
    await page.keyboard.press("c");
    await page.keyboard.press("3"); // leave
    await page.keyboard.press("Enter");
    await page.keyboard.type("blew off the pass");
    await page.keyboard.press("Enter");
    await page.getByText("blew off the pass").waitFor();
    expect(await mark("pack-cover")).toMatchObject({
      use: before.use,
      troubles: ["damaged"],
      cause: "poor design",
      fix: "patched",
      cost: "discomfort",
      condition: 3,
      call: "leave",
      note: "blew off the pass",
    });
    for (let n = 0; n < 8; n++) await page.keyboard.press("z");
    await page.getByText("blew off the pass").waitFor({ state: "detached" });
    expect(await mark("pack-cover")).toEqual(before);
    await page.keyboard.press("ArrowDown");
    await page.keyboard.press("e");
    await page.keyboard.press("1");
    expect(await mark("rain-shell")).toMatchObject({ exit: { how: "lost" } });
    await page.keyboard.press("?");
    await page.getByRole("dialog", { name: "Unpack" }).waitFor();
    await page.close();
  }));

test("what is to be seen, what was wrong, what a note sounds like: a key or a press each, and a use never wipes it", () =>
  withApp("demo", async (app) => {
    const trip = "saltpan-again-2026-09-12";
    const { page, faults } = await openPage(browser, `${app.url}/unpack/${trip}`);
    const mark = async () => {
      await saved(page);
      return (await exported(app)).trips
        .find((each) => each.id === trip)!
        .marks.find((each) => each.item === "rain-shell")!;
    };
    await page.locator("li[aria-label^='Rain shell']").click();
    await page.keyboard.press("f");
    // Failed already: a key keeps it. Then the first that may be seen on its kind.
    for (const key of ["3", "1"]) await page.keyboard.press(key);
    await page.keyboard.press("Escape");
    await page.keyboard.press("x");
    await page.keyboard.press("1");
    await page.keyboard.press("Enter");
    await page.keyboard.type("torn at the cuff");
    await page.getByRole("group", { name: "It sounds like" }).getByRole("button", { name: "torn" }).click();
    await page.keyboard.press("Enter");
    await page.keyboard.press("u");
    expect(await mark()).toMatchObject({
      use: "used",
      troubles: ["failed"],
      symptoms: ["lets water in", "torn"],
      complaints: [{ what: "too heavy" }],
      note: "torn at the cuff",
    });
    expect(faults).toEqual([]);
    await page.close();
  }));

test("on a phone, by thumb: buttons wide enough, a mark a tap, look back kept", () =>
  withApp("demo", async (app) => {
    const trip = "saltpan-again-2026-09-12";
    const { page } = await openPage(browser, `${app.url}/unpack/${trip}`, PHONE);
    const buttons = page.getByRole("group", { name: "Mark Rain trousers" }).getByRole("button");
    for (const button of await buttons.all()) {
      const box = (await button.boundingBox())!;
      expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44);
      expect(box.x + box.width).toBeLessThanOrEqual(390);
    }
    await buttons.getByText("hardly").tap();
    await saved(page);
    const floor = page.getByRole("group", { name: "The pack as it lay on the floor" });
    await floor.getByRole("button", { name: /^Rain shell ?, used/ }).tap();
    await page.getByRole("radio", { name: "Could have stayed home" }).tap();
    for (const name of ["Down vest", "Spare shirt", "Second cable", "Pack cover"])
      await floor.getByRole("button", { name: new RegExp(`^${name} ?,`) }).tap();
    await page.getByText("Three at most").waitFor();
    await floor
      .getByRole("button", { name: /^Spare shirt ?, unused, though called for, could have stayed home/ })
      .tap();
    await page.getByLabel("What", { exact: true }).fill("Dry socks");
    await page.getByRole("button", { name: "Add", exact: true }).tap();
    await page.getByText("Dry socks").first().waitFor();
    await expect
      .poll(async () => (await exported(app)).trips.find((each) => each.id === trip))
      .toMatchObject({
        made: ["rain-shell"],
        stay: ["down-vest", "second-cable"],
        missed: [{ what: "Dry socks", cost: "discomfort" }],
      });
    expect(
      (await exported(app)).trips
        .find((each) => each.id === trip)!
        .marks.find((each) => each.item === "rain-trousers"),
    ).toMatchObject({ use: "hardly" });
    await page.close();
  }));

test("a phone and a desk at one thing: each field as it was said last, on both without a reload, and the earlier by one press", () =>
  withApp("demo", async (app) => {
    const trip = "saltpan-again-2026-09-12";
    const { page: desk } = await openPage(browser, `${app.url}/unpack/${trip}`);
    const { page: phone } = await openPage(browser, `${app.url}/unpack/${trip}`, PHONE);
    const mark = async () =>
      (await exported(app)).trips
        .find(({ id }) => id === trip)!
        .marks.find(({ item }) => item === "rain-trousers")!;
    const { item, legs, shared, ...from } = await mark();
    expect([item, legs ?? null, shared ?? null]).toEqual(["rain-trousers", null, null]);
    // The phone is out of reach as it marks; meanwhile the desk says what is wrong with it.
    await phone.route("**/api/marks", (route) => route.abort());
    const onPhone = phone.getByRole("group", { name: "Mark Rain trousers" });
    await onPhone.getByText("hardly").tap();
    await phone.getByText("1 mark waits in this browser").waitFor();
    const said = { troubles: ["damaged"], note: "torn at the cuff" };
    await desk.evaluate(
      (body) => fetch("/api/marks", { method: "POST", body }),
      JSON.stringify([{ trip, item, mark: { ...from, ...said }, from }]),
    );
    await phone.unroute("**/api/marks");
    await expect.poll(mark).toMatchObject({ use: "hardly", ...said });
    // The desk shows what the phone said, and the phone what the desk did, with nobody loading anything.
    for (const page of [desk, phone]) {
      const row = page.locator('li[aria-label="Rain trousers: damaged"]');
      await row.getByText("damaged · torn at the cuff").waitFor();
      await row.getByRole("button", { name: "hardly", pressed: true }).waitFor();
    }
    // The same thing said on both: the later stands, and one press on what the page says brings the earlier back.
    const now = await mark();
    await phone.route(
      "**/api/marks",
      async (route) => {
        await desk.evaluate(
          (body) => fetch("/api/marks", { method: "POST", body }),
          JSON.stringify([
            {
              trip,
              item,
              mark: { ...now, item: undefined, use: "unused" },
              from: { ...now, item: undefined },
            },
          ]),
        );
        await route.continue();
      },
      { times: 1 },
    );
    await phone.getByRole("group", { name: "Mark Rain trousers" }).getByText("used", { exact: true }).tap();
    await phone
      .getByText("Rain trousers: another screen had said “unused”. What you said now stands.")
      .waitFor();
    expect(await mark()).toMatchObject({ use: "used", ...said });
    await phone.getByRole("button", { name: "Bring it back" }).tap();
    await expect.poll(mark).toMatchObject({ use: "unused", ...said });
    await desk.close();
    await phone.close();
  }));

test("marks made while others are on their way go out together, in order, and one bad mark takes no other along", () =>
  withApp("demo", async (app) => {
    const trip = "saltpan-again-2026-09-12";
    const { page } = await openPage(browser, `${app.url}/unpack/${trip}`);
    const sent: { item: string; mark: { use: string } | null }[][] = [];
    let release = () => {};
    const held = new Promise<void>((resolve) => {
      release = resolve;
    });
    await page.route("**/api/marks", async (route) => {
      sent.push(route.request().postDataJSON() as (typeof sent)[number]);
      if (sent.length === 1) await held;
      await route.continue();
    });
    await page.locator("li:focus").waitFor();
    await page.keyboard.press("h"); // the pack cover: on its way, and held
    await page.keyboard.press("ArrowDown");
    await page.keyboard.press("h"); // the next thing, changed and changed back
    await page.keyboard.press("ArrowUp");
    await page.keyboard.press("n");
    await page.keyboard.press("z");
    release();
    await saved(page);
    expect(sent.map((batch) => batch.length)).toEqual([1, 3]);
    const marks = (await exported(app)).trips.find((each) => each.id === trip)!.marks;
    expect(marks.find(({ item }) => item === sent[0]![0]!.item)).toMatchObject({
      use: sent[1]!.findLast(({ item }) => item === sent[0]![0]!.item)!.mark!.use,
    });

    // Another tab takes a thing off the list of things that are; of two marks on their way, one is refused and one kept.
    await page.unroute("**/api/marks");
    const both = await page.evaluate(async (id) => {
      const answer = await fetch("/api/marks", {
        method: "POST",
        body: JSON.stringify([
          { trip: id, item: "quilt", mark: { use: "hardly" } },
          { trip: id, item: "anvil", mark: { use: "used" } },
        ]),
      });
      return answer.status;
    }, trip);
    expect(both).toBe(409);
    expect(
      (await exported(app)).trips
        .find((each) => each.id === trip)!
        .marks.find(({ item }) => item === "quilt"),
    ).toMatchObject({ use: "used" });
    await page.evaluate(
      (id) =>
        localStorage.setItem(
          "nettle-waiting-marks",
          JSON.stringify([
            { trip: id, item: "anvil", mark: { use: "used" } },
            { trip: id, item: "quilt", mark: { use: "hardly" } },
          ]),
        ),
      trip,
    );
    await page.reload();
    await expect
      .poll(async () =>
        (await exported(app)).trips
          .find((each) => each.id === trip)!
          .marks.find(({ item }) => item === "quilt"),
      )
      .toMatchObject({ use: "hardly" });
    await expect.poll(() => page.evaluate(() => localStorage.getItem("nettle-waiting-marks"))).toBeNull();
    // What will never be taken has left the queue, and is shown until it has been read.
    await page.getByText("A mark on anvil was not kept. That trip or thing is no longer here.").waitFor();
    await page.getByRole("button", { name: "I have read it" }).click();
    await page.reload();
    await saved(page);
    expect(await page.getByText("was not kept").count()).toBe(0);
    await page.close();
  }));

test("the server gone in mid-debrief: the page stays and says what waits, and it is sent from any page when it is back", () =>
  withApp("demo", async (app) => {
    const trip = "saltpan-again-2026-09-12";
    const { page } = await openPage(browser, `${app.url}/unpack/${trip}`);
    // Nothing answers, not even for the page itself.
    await page.context().setOffline(true);
    await page.keyboard.press("h");
    await page.getByText(/1.mark waits in this browser: the server can’t be reached\./).waitFor();
    await page.getByText(/1.mark not saved yet/).waitFor();
    expect(await page.getByText("every mark is saved").count()).toBe(0);
    await page.keyboard.press("ArrowDown");
    await page.keyboard.press("h");
    await page.getByText(/2.marks wait in this browser/).waitFor();
    // Longer than the page waits before it would ask for itself anew.
    await page.waitForTimeout(1500);
    expect(await page.getByRole("heading", { name: "Unpack Saltpan again" }).isVisible()).toBe(true);
    await page.context().setOffline(false);
    await page.goto(`${app.url}/shelf`);
    await page.getByText(/2.marks from before are saved now/).waitFor();
    const marks = (await exported(app)).trips.find((each) => each.id === trip)!.marks;
    for (const item of ["pack-cover", "rain-shell"])
      expect(marks.find((each) => each.item === item)).toMatchObject({ use: "hardly" });
    await page.close();
  }));

test("swapped for what and where, how much, frost, and what joined on the way: each by one key", () =>
  withApp("demo", async (app) => {
    const frosty = "vask-shore-again-2026-04-25";
    const { page, faults } = await openPage(browser, `${app.url}/unpack/${frosty}`);
    const trip = async () => {
      await saved(page);
      return (await exported(app)).trips.find((each) => each.id === frosty)!;
    };
    const mark = async (item: string) => (await trip()).marks.find((each) => each.item === item);
    await page.locator("li[aria-label^='Rain shell']").click();
    await page.keyboard.press("e");
    await page.keyboard.press("7");
    await page.getByLabel("Swapped for").selectOption({ label: "Wind shell" });
    await page.getByLabel("How far from the start").fill("far");
    await page.getByLabel("How far from the start").blur();
    await page.getByText("“far” is not a number with a unit.").waitFor();
    await page.getByLabel("How far from the start").fill("41");
    await page.keyboard.press("Escape");
    await expect
      .poll(() => mark("rain-shell"))
      .toMatchObject({ exit: { how: "swapped", for: "wind-shell" }, at: { distance: "41 km" } });
    // What was said of where stays, whatever is marked next.
    await page.keyboard.press("h");
    expect(await mark("rain-shell")).toMatchObject({ use: "hardly", at: { distance: "41 km" } });

    await page.getByRole("button", { name: /^Side pockets/ }).click();
    const filter = page.locator("li[aria-label^='Filter:'], li[aria-label^='Second filter:']").first();
    await filter.click();
    const id = (await filter.getAttribute("aria-label"))!.startsWith("Second") ? "second-filter" : "filter";
    await page.keyboard.press("k");
    await page.keyboard.press("1");
    expect(await mark(id)).toMatchObject({ frost: "kept" });

    await page.getByRole("button", { name: /^Main bag/ }).click();
    await page.locator("li[aria-label^='Stakes:']").click();
    await page.keyboard.press("q");
    await page.getByLabel(/^Would have been enough/).fill("5");
    await page.keyboard.press("Escape");
    await expect.poll(() => mark("stakes")).toMatchObject({ enough: 5 });

    await page.keyboard.press("b");
    await page.keyboard.press("Enter");
    await page.getByText("Give it a name").waitFor();
    await page.keyboard.type("Boot laces 12 g");
    await page.getByLabel("It was", { exact: true }).selectOption("found");
    await page.keyboard.press("Enter");
    await page.getByText(/^1 of \d+ left$/).waitFor();
    expect((await exported(app)).items.find((each) => each.id === "boot-laces")).toMatchObject({
      past: "unknown",
      acquired: "2026-04-25",
    });
    await page.locator("li[aria-label='Boot laces: not marked']:focus").waitFor();
    await page.keyboard.press("u");
    await expect.poll(() => mark("boot-laces")).toMatchObject({ use: "used" });
    expect(faults).toEqual([]);
    await page.close();
  }));

test("a planned trip whose days have come is offered, and unpacked half way", () =>
  withApp("demo", async (app) => {
    const log = await exported(app);
    const planned = log.trips.map((trip) =>
      trip.id === "saltpan-again-2026-09-12"
        ? { ...trip, planned: true, marks: trip.marks.map(({ item }) => ({ item })) }
        : trip,
    );
    const sent = await fetch(`${app.url}/api/log?replace`, {
      method: "POST",
      body: JSON.stringify({ ...log, trips: planned }),
    });
    expect(sent.ok).toBe(true);
    const { page } = await openPage(browser, `${app.url}/unpack`);
    await page.getByText("was planned, and its last day is past.").waitFor();
    await page.getByRole("button", { name: /^Walked: unpack it ?: Saltpan again/ }).click();
    await page.getByText(/^\d+ of \d+ left$/).waitFor();
    await page.keyboard.press("u");
    await saved(page);
    const marks = (await exported(app)).trips.find((each) => each.id === "saltpan-again-2026-09-12")!.marks;
    expect(marks.map(({ use }) => use).filter(Boolean)).toEqual(["used"]);
    await page.goto(`${app.url}/unpack`);
    await page.getByText(/^\d+ of \d+ left$/).waitFor();
    await page.close();
  }));

test("the nights and what came home are told at the end, refused where they can't be, and taken back", () =>
  withApp("demo", async (app) => {
    const trip = "sunder-crossing-2026-07-11";
    const { page, faults } = await openPage(browser, `${app.url}/unpack/${trip}`, PHONE);
    const kept = async () => (await exported(app)).trips.find((each) => each.id === trip)!;
    const before = (await kept()).supplies!.length;
    await page.getByLabel("Nights", { exact: true }).fill("9");
    await page.getByLabel("Coldest, °C").fill("warmish");
    const addNights = page.getByRole("button", { name: "Add the nights" });
    await addNights.tap();
    await page.getByText("8 nights of this trip are left to tell.").waitFor();
    await page.getByText("“warmish” is not a temperature.").waitFor();
    expect(await page.getByLabel("Coldest, °C").inputValue()).toBe("warmish");
    await page.getByLabel("Nights", { exact: true }).fill("2");
    await page.getByLabel("Coldest, °C").fill("28 F");
    await page.getByLabel("They felt").selectOption("cold");
    await addNights.tap();
    await page.getByText("2 nights felt cold, down to −2 °C, in Quilt and Air pad").first().waitFor();
    await expect
      .poll(kept)
      .toMatchObject({ felt: Array(2).fill({ low: -2.2, felt: "cold", slept: ["quilt", "air-pad"] }) });

    const addHome = page.getByRole("button", { name: "Add what came home" });
    await page.getByLabel("Of what").fill("Oats");
    await page.getByLabel("Went out").fill("1.2 kg");
    await page.getByLabel("Came back").fill("300 ml");
    await addHome.tap();
    await page.getByText("Say it in kg, like what went out.").waitFor();
    await page.getByLabel("Came back").fill("2");
    await addHome.tap();
    await page.getByText("More than went out.").waitFor();
    await page.getByLabel("Came back").fill("300 g");
    await addHome.tap();
    await page.getByText(/^300.g of 1.200.g$/).waitFor();
    await expect.poll(kept).toMatchObject({
      supplies: expect.arrayContaining([
        expect.objectContaining({ what: "Oats", unit: "kg", out: 1.2, back: 0.3 }),
      ]),
    });

    await page.getByRole("button", { name: "Remove 2 nights felt cold" }).tap();
    await page.getByRole("button", { name: "Remove Oats" }).tap();
    await expect
      .poll(async () => {
        const { felt, supplies } = await kept();
        return [felt?.length ?? 0, supplies?.length];
      })
      .toEqual([0, before]);
    // A row a night: what can't be is told in its row, one line is said of all below it, and one was under a roof.
    await page.getByText("Night by night").tap();
    const low = page.getByLabel("Coldest, night of 11 July 2026, °C");
    await low.fill("40");
    await page.getByLabel("Felt, night of 11 July 2026").selectOption("cool");
    await page.getByRole("button", { name: "Keep these nights" }).tap();
    await page.getByText("No night’s coldest is 40 °C. Is it in °F? Write “40 F”.").waitFor();
    await low.fill("-1");
    await page.getByRole("button", { name: "Say the same of the nights after 11 July 2026" }).tap();
    await page.getByRole("checkbox", { name: "Night of 12 July 2026: under a roof" }).check();
    await page.getByRole("button", { name: "Keep these nights" }).tap();
    await page.getByText("7 nights felt cool, down to −1 °C, in Quilt and Air pad").first().waitFor();
    await expect
      .poll(async () => (await kept()).felt)
      .toMatchObject([
        { on: "2026-07-11", low: -1, felt: "cool" },
        { on: "2026-07-12", low: -1, felt: "cool", roof: true },
        ...Array(6).fill({ low: -1, felt: "cool" }),
      ]);
    await expectAccessible(page);
    expect(faults).toEqual([]);
    await page.goto(`${app.url}/trips/vask-shore-again-2026-04-25`);
    await page.getByText("2 nights felt right, down to 3 °C, in Quilt and Air pad").waitFor();
    await page.close();
  }));

test("the nights from a thermometer's log: lows by night, each felt by one press, and what can't be read is told", () =>
  withApp("demo", async (app) => {
    const trip = "saltpan-again-2026-09-12";
    const { page, faults } = await openPage(browser, `${app.url}/unpack/${trip}`);
    const log = page.getByLabel("Lows from a thermometer’s log (CSV)");
    const give = (name: string, text: string) =>
      log.setInputFiles({ name, mimeType: "text/csv", buffer: Buffer.from(text) });
    await give("other.csv", "time,temp °C\n2025-05-01 22:00,4");
    await page.getByText("Its readings are of 1 May 2025; the trip was 12–15 September 2026.").waitFor();
    await give("bare.csv", "time,temp\n2026-09-12 22:00,39\n2026-09-13 02:00,35");
    await page.getByText("It does not say whether its temperatures are °C or °F.").waitFor();
    await log.setInputFiles("demo/thermometer.csv");
    await page.getByText(/^204.readings: 3.nights with a low\.$/).waitFor();
    const felt = async () =>
      ((await exported(app)).trips.find((each) => each.id === trip)!.felt ?? []) as {
        on?: string;
        low?: number;
        felt?: string;
      }[];
    await expect
      .poll(async () => (await felt()).map(({ on, low }) => [on, Math.round(low!)]))
      .toEqual([
        ["2026-09-12", 4],
        ["2026-09-13", 1],
        ["2026-09-14", -1],
      ]);
    await page
      .getByRole("group", { name: "How the night of 14 September 2026 felt" })
      .getByRole("button", { name: "cold" })
      .click();
    await expect.poll(async () => (await felt()).at(-1)?.felt).toBe("cold");
    // Read again, nothing is told twice and what was said stays.
    await log.setInputFiles("demo/thermometer.csv");
    await expect
      .poll(async () => (await felt()).map((night) => night.felt ?? null))
      .toEqual([null, null, "cold"]);
    expect(faults).toEqual([]);
    await page.close();
  }));
