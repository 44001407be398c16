import type { Browser, Locator } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { expectAccessible, exported, goTo, openPage, PHONE, reload, saved, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test("the circle: planned, packed, walked, unpacked, judged, and planned anew without what was dropped", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/next`);
    await page.getByText(/None is planned: this is for one as usual/).waitFor();
    await page.getByText(/^No trusted way to treat water: the first filter \(it froze wet/).waitFor();
    // Nothing can be moved before there is a trip to keep it.
    expect(await page.getByRole("button", { name: /^Leave / }).count()).toBe(0);

    // Say what it will be: in winter, with a low that the quilt is too thin for.
    await page.getByRole("link", { name: "Plan a trip" }).click();
    await page.getByLabel("Name", { exact: true }).fill("Vask in the snow");
    await page.getByLabel("First day").fill("2090-01-09");
    await page.getByLabel("Last day").fill("2090-01-12");
    await page.getByLabel("Distance").fill("44");
    await page.getByLabel("Coldest night expected").fill("freezing");
    await page.getByRole("radiogroup", { name: "bugs" }).getByText("none").click();
    await page.getByRole("radiogroup", { name: "freezing" }).getByText("some").click();
    await page.getByRole("button", { name: "Save the plan" }).click();
    await page.getByText("Write the temperature as a number.").waitFor();
    await page.getByLabel("Coldest night expected").fill("-5");
    await page.getByLabel("Longest stretch without water").fill("18");
    await page.getByRole("button", { name: "Save the plan" }).click();
    await page.getByRole("heading", { name: "Vask in the snow" }).waitFor();

    // The list: the winter bag for these nights, the nets at home, what is agreed or judged left.
    const column = (name: string) => page.getByRole("region", { name, exact: true });
    const stands = (name: string, thing: string) =>
      column(name).getByRole("link", { name: thing, exact: true });
    await stands("Take", "Winter bag").waitFor();
    await stands("Leave", "Quilt").waitFor();
    await column("Leave").getByText("No bugs expected.").first().waitFor();
    await stands("Not ready", "Two-pole tent").waitFor();
    await stands("Leave", "Second pot").waitFor();
    const figures = (await page.getByRole("main").innerText()).replace(/[\u00a0\u202f]/g, " ");
    expect(figures).toMatch(/Winter bag at −5 °C: \d+ % for a cold night/);
    expect(figures).toMatch(/water\s+\d\.\d L for the longest dry stretch/);
    expect(figures).toMatch(
      /Trail shoes, pair 3: \d+ % to give out on the way, if so most likely after about \d+ km/,
    );

    // Moved by button and by key; the figure follows at once, and it is still so after a reload.
    const base = () => page.getByText("base weight", { exact: true }).locator("xpath=..").innerText();
    const before = await base();
    await page.getByRole("button", { name: "Take Folding chair" }).click();
    await stands("Take", "Folding chair").waitFor();
    await expect.poll(base).not.toBe(before);
    await page.getByRole("button", { name: "Leave Towel" }).focus();
    await page.keyboard.press("l");
    await stands("Leave", "Towel").waitFor();
    const plan = async () => (await exported(app)).trips.find(({ id }) => id.startsWith("vask-in-the-snow"))!;
    await expect.poll(async () => (await plan()).picks).toEqual({ "folding-chair": "take", towel: "leave" });
    await reload(page);
    await stands("Take", "Folding chair").waitFor();
    await stands("Leave", "Towel").waitFor();
    await page.getByRole("button", { name: "Leave Folding chair" }).click();
    await stands("Leave", "Folding chair").waitFor();
    await expect.poll(async () => (await plan()).picks).toEqual({ towel: "leave" });

    // The best list within a weight: proved, or why there is none; what falls out is left by one press.
    const best = page.getByRole("region", { name: "The best list within a weight" });
    await best.getByLabel("Base weight at most").fill("feather");
    await best.getByRole("button", { name: "Find it" }).click();
    await best.getByText(/is not a number with a unit/).waitFor();
    await best.getByLabel("Base weight at most").fill("1 kg");
    await best.getByRole("button", { name: "Find it" }).click();
    await best.getByText(/No list of that weight does it: .*The least that would do is/).waitFor();
    await best.getByLabel("Base weight at most").fill("7");
    await best.getByRole("button", { name: "Find it" }).click();
    await best.getByText(/no list of that weight is worth more/).waitFor();
    expect(Number((await best.locator("b").first().innerText()).replace(/\D/g, ""))).toBeLessThanOrEqual(
      7000,
    );
    await best.getByText(/^Falls out, to make the weight: /).waitFor();

    // It becomes the trip's list with one press.
    await page.getByRole("button", { name: /^Make this the trip’s list/ }).click();
    await page.getByRole("button", { name: "This is the trip’s list" }).waitFor();
    const items = (await plan()).marks.map(({ item }) => item);
    expect(items).toContain("winter-bag");
    expect(items).not.toContain("towel");
    const list = await (await fetch(`${app.url}/api/list/${(await plan()).id}`)).text();
    expect(list).toContain("- [ ] Winter bag");

    // What was advised as it was made is kept with it, through a file and whatever comes after.
    const advisedOf = async () =>
      (await plan()) as unknown as { id: string; advised?: { said: { item: string; verb: string }[] } };
    const advised = (await advisedOf()).advised!;
    expect(advised.said.length).toBeGreaterThan(50);
    expect(advised.said).toContainEqual(
      expect.objectContaining({ item: "second-cable", verb: "drop", leave: true }),
    );

    // Walked: its days are past, and it is offered; one thing was too much of it.
    const log = await exported(app);
    const walked = log.trips.map((trip) =>
      trip.id === log.trips.find(({ name }) => name === "Vask in the snow")!.id
        ? { ...trip, starts: "2026-11-20", ends: "2026-11-22" }
        : trip,
    );
    const sent = await fetch(`${app.url}/api/log?replace`, {
      method: "POST",
      body: JSON.stringify({ ...log, trips: walked }),
    });
    expect(sent.ok, await sent.clone().text()).toBe(true);
    await goTo(page, `${app.url}/unpack`);
    await page.getByRole("button", { name: /^Walked: unpack it ?: Vask in the snow/ }).click();
    await page.getByText(/^\d+ of \d+ left$/).waitFor();
    await page.keyboard.press("n");
    await saved(page);
    const first = (await plan()).marks.find(({ use }) => use === "unused")!;
    expect(first).toBeDefined();

    expect((await advisedOf()).advised).toEqual(advised);
    await page.goto(`${app.url}/trips/${(await advisedOf()).id}`);
    await page.getByRole("heading", { name: "What was advised and foreseen, and came of it" }).waitFor();
    await page.getByText(/^Of .* that you were told to leave, .* stayed at home/).waitFor();

    // And the next plan starts from there.
    await goTo(page, `${app.url}/next`);
    await page.getByText(/None is planned/).waitFor();
    expect(faults).toEqual([]);
    await page.close();
  }));

test("the demo opens on a trip that waits, and its next has something in every column; two held side by side, and a thing for one leg only", () =>
  withApp("today", async (app) => {
    const { page, faults } = await openPage(browser, app.url);
    await page.getByText(/^Grey Stacks, .* waits to be unpacked: 54.things to go\.$/).waitFor();
    await page.getByRole("link", { name: "Unpack it" }).click();
    await page.getByText(/^54 of 54 left$/).waitFor();

    await goTo(page, `${app.url}/next`);
    for (const column of ["Not ready", "Take", "Take if", "Leave"])
      expect(
        await page.getByRole("region", { name: column, exact: true }).getByRole("listitem").count(),
      ).toBeGreaterThan(0);
    await page.getByRole("heading", { name: "Missing" }).waitFor();
    await page.getByRole("img", { name: /^102.km in 3 legs\. Trail shoes, pair 3: / }).waitFor();

    // Side by side: by key and by press, and let go.
    const beside = page.getByRole("region", { name: "Side by side" });
    await page.getByRole("button", { name: "Take Sun hat" }).focus();
    await page.keyboard.press("b");
    await beside.getByText("Press the arrows of another.").waitFor();
    await page.getByRole("button", { name: "Hold Umbrella beside another" }).click();
    await beside.getByRole("heading", { name: "Umbrella" }).waitFor();
    await beside.getByText(/^84.g, used with a chance of \d+.%/).waitFor();
    await beside.getByRole("button", { name: "Take Sun hat" }).click();
    await page
      .getByRole("region", { name: "Take", exact: true })
      .getByRole("link", { name: "Sun hat" })
      .waitFor();
    await beside.getByRole("button", { name: "Let go" }).click();
    await beside.waitFor({ state: "detached" });

    // By drag, with the mouse: dropped on a column it is there, dropped beside them it stays.
    await page.setViewportSize({ width: 1280, height: 4000 });
    // All of it is in view now, and nothing scrolls under the hand.
    await page.evaluate(() => scrollTo({ top: 0, behavior: "instant" }));
    await expect.poll(() => page.evaluate(() => scrollY)).toBe(0);
    const column = (name: string) => page.getByRole("region", { name, exact: true });
    const row = (name: string, thing: string) =>
      column(name)
        .getByRole("listitem")
        .filter({ has: page.getByRole("link", { name: thing, exact: true }) });
    const dragTo = async (thing: Locator, x: number, y: number, told: RegExp) => {
      const from = (await thing.boundingBox())!;
      await page.mouse.move(from.x + 4, from.y + 10);
      await page.mouse.down();
      await page.mouse.move(from.x + 30, from.y + 30, { steps: 4 });
      await page.mouse.move(x, y, { steps: 8 });
      // What lies beneath is told, as it is to who can't see it, before the hand lets go.
      await page.getByText(told).waitFor({ state: "attached" });
      await page.mouse.up();
    };
    const leave = (await column("Leave").boundingBox())!;
    await dragTo(row("Take", "Umbrella"), leave.x + 80, leave.y + 60, /over droppable area leave/);
    await row("Leave", "Umbrella").getByText("Your word.").waitFor();
    await dragTo(row("Leave", "Umbrella"), 640, 20, /no longer over a droppable area/);
    expect(await row("Leave", "Umbrella").count()).toBe(1);
    const take = (await column("Take").boundingBox())!;
    await dragTo(row("Leave", "Umbrella"), take.x + 80, take.y + 60, /over droppable area take/);
    await row("Take", "Umbrella").waitFor();
    await page.setViewportSize({ width: 1280, height: 800 });

    // Spikes are for the plateau alone: once they are listed, one press.
    await page.getByText(/^Spikes: wanted on leg 2 only\. Posted ahead and sent home after, 358.g/).waitFor();
    expect(await page.getByRole("button", { name: /^Only there/ }).count()).toBe(0);
    await page.getByRole("button", { name: /^Make this the trip’s list/ }).click();
    await page.getByRole("button", { name: /^Only there ?: Spikes/ }).click();
    await page.getByText("so on the list").waitFor();
    const plan = (await exported(app)).trips.find(({ name }) => name === "Vask in the dark of the year")!;
    expect(plan.marks.find(({ item }) => item === "spikes")!.legs).toHaveLength(1);

    // Another plan can't lie on days that were walked.
    await goTo(page, `${app.url}/trips/new?planned`);
    await page.getByLabel("Name", { exact: true }).fill("Backwards");
    await page.getByLabel("First day").fill("2026-07-12");
    await page.getByLabel("Last day").fill("2026-07-14");
    await page.getByLabel("Distance").fill("20");
    await page.getByRole("button", { name: "Save the plan" }).click();
    await page
      .getByText(/^Sunder crossing \(.*\) was walked on some of these days\. Plan it for others\.$/)
      .waitFor();
    // What is looked for at the door: the owner's own, ticked each time, and on the list to hand on.
    await goTo(page, `${app.url}/next`);
    const door = page.getByRole("region", { name: /^Never without/ });
    await door.getByRole("button", { name: "Begin with the usual" }).click();
    await door.getByLabel("documents").check();
    await door.getByLabel("One more").fill("whistle on the strap");
    await page.keyboard.press("Enter");
    await door.getByText("6 of 7 to tick").waitFor();
    await door.getByRole("button", { name: "Remove word left of where you go" }).click();
    await reload(page);
    await door.getByText("5 of 6 to tick").waitFor();
    expect(await door.getByLabel("documents").isChecked()).toBe(true);
    const { settings, trips } = (await exported(app)) as unknown as {
      settings: { never: string[] };
      trips: { id: string; planned?: boolean }[];
    };
    expect(settings.never).toEqual([
      "documents",
      "keys",
      "cash and card",
      "food",
      "phone, charged",
      "whistle on the strap",
    ]);
    const ahead = trips.find(({ planned }) => planned)!;
    expect(await (await fetch(`${app.url}/api/list/${ahead.id}`)).text()).toMatch(
      /Never without[^]*- \[ \] whistle on the strap/,
    );
    expect(faults).toEqual([]);
    await page.close();
  }));

test("on a phone, and on an empty shelf", () =>
  withApp("empty", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/next`, PHONE);
    await page.getByText("Put things on the shelf and enter a trip").waitFor();
    await expectAccessible(page);
    expect(faults).toEqual([]);
    await page.close();
  }));

test("on paper: what is not ready and what goes, on two pages, without what stays at home", () =>
  withApp("today", async (app) => {
    const { page } = await openPage(browser, `${app.url}/next`);
    const pdf = (await page.pdf({ format: "A4" })).toString("latin1");
    expect(pdf.match(/\/Type\s*\/Page[^s]/g)!.length).toBeLessThanOrEqual(2);
    await page.emulateMedia({ media: "print" });
    expect(await page.getByRole("region", { name: "Not ready" }).isVisible()).toBe(true);
    expect(await page.getByRole("region", { name: "Leave", exact: true }).isVisible()).toBe(false);
    expect(await page.getByRole("heading", { name: /^Over your own days/ }).isVisible()).toBe(false);
    await page.close();

    // Asked for from another page, and once.
    const { page: shelf } = await openPage(browser, `${app.url}/shelf`);
    let printed = 0;
    await shelf.exposeFunction("print", () => void (printed += 1));
    await shelf.keyboard.press("Control+k");
    await shelf.getByPlaceholder("Go to a page, a thing or a trip").fill("print the list");
    await shelf.keyboard.press("Enter");
    await expect.poll(() => printed).toBe(1);
    expect(new URL(shelf.url())).toMatchObject({ pathname: "/next", hash: "" });
    await shelf.close();
  }));
