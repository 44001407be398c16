import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { expectAccessible, exported, openPage, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

const point = (lat: number, lon: number, ele: number, time: string) =>
  `<trkpt lat="${lat}" lon="${lon}"><ele>${ele}</ele><time>${time}</time></trkpt>`;
const TWO_DAYS = `<?xml version="1.0"?><gpx version="1.1"><metadata><name>Two days</name></metadata>
  <trk><name>Up</name><trkseg>${point(10, 10, 100, "2026-10-03T08:00:00Z")}${point(10.1, 10, 400, "2026-10-03T12:00:00Z")}</trkseg></trk>
  <trk><name>Down</name><trkseg>${point(10.1, 10, 400, "2026-10-04T08:00:00Z")}${point(10.1, 10.1, 100, "2026-10-04T12:00:00Z")}</trkseg></trk></gpx>`;

test("a walk of two legs from a track: what was sent home wears by its own leg; edited, and removed with its marks", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/trips/new`);
    await page
      .locator("input[type=file]")
      .setInputFiles({ name: "two.gpx", mimeType: "application/gpx+xml", buffer: Buffer.from(TWO_DAYS) });
    await page.getByText(/^4.points: /).waitFor();
    expect(await page.getByLabel("First day").inputValue()).toBe("2026-10-03");
    expect(await page.getByLabel("Last day").inputValue()).toBe("2026-10-04");
    // A tenth of a degree of latitude from 10° N, and of longitude at 10.1° N, on WGS84: 11.06 and 10.96 km (geographiclib, as in gpx.test.ts).
    expect(
      await page
        .getByLabel("Distance")
        .evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value)),
    ).toEqual(["11.1 km", "11.0 km"]);
    expect(await page.getByLabel("Leg 1", { exact: true }).inputValue()).toBe("Up");
    await page.getByLabel("Name", { exact: true }).fill("Tern steps");
    await page.getByRole("button", { name: "Nothing" }).click();
    for (const thing of ["Fleece", "Down jacket", "Trail shoes, pair 3"])
      await page.getByLabel(thing, { exact: true }).check();
    await page.getByText(/^3.things/).waitFor();
    await page
      .getByRole("group", { name: "Down jacket: legs" })
      .getByRole("button", { name: "leg 2" })
      .click();
    await page.getByRole("button", { name: "Save, and unpack" }).click();
    await page.getByText("3 of 3 left").waitFor();
    const trip = async () => (await exported(app)).trips.find(({ name }) => name === "Tern steps");
    expect(await trip()).toMatchObject({
      starts: "2026-10-03",
      marks: expect.arrayContaining([
        expect.objectContaining({ item: "down-jacket", legs: ["leg-1"] }),
        { item: "fleece" },
      ]),
    });

    const id = (await trip())!.id;
    await page.goto(`${app.url}/trips/${id}/edit`);
    await page.getByRole("button", { name: "Remove leg 2" }).click();
    await page.getByLabel("Fleece", { exact: true }).uncheck();
    await page.getByRole("radiogroup", { name: "rain" }).getByText("strong").click();
    await page.getByRole("button", { name: "Save", exact: true }).click();
    await page.getByRole("heading", { name: "Tern steps" }).waitFor();
    await expect.poll(trip).toMatchObject({ conditions: { rain: "strong" }, legs: [{ name: "Up" }] });
    expect((await trip())!.marks.map(({ item }) => item).sort()).toEqual([
      "down-jacket",
      "trail-shoes-pair-3",
    ]);

    await page.goto(`${app.url}/trips/${id}/edit`);
    await page.getByRole("button", { name: "Remove this trip" }).click();
    await page.getByRole("button", { name: "Keep it" }).click();
    await page.getByRole("button", { name: "Remove this trip" }).click();
    await page.getByRole("button", { name: "Yes, remove it" }).click();
    await page.getByRole("heading", { name: "Trips" }).waitFor();
    await expect.poll(trip).toBeUndefined();
    expect(faults).toEqual([]);
    await page.close();
  }));

test("days that another walk has are asked about, not refused; the same walk twice is refused", () =>
  withApp("demo", async (app) => {
    const { page } = await openPage(browser, `${app.url}/trips/new`);
    const fill = async (name: string, starts: string, ends: string) => {
      await page.getByLabel("Name", { exact: true }).fill(name);
      await page.getByLabel("First day").fill(starts);
      await page.getByLabel("Last day").fill(ends);
      await page.getByLabel("Distance").fill("20");
    };
    await fill("Saltpan again", "2026-09-12", "2026-09-15");
    await page.getByRole("button", { name: "Save, and unpack" }).click();
    await page.getByText(/is in the log already/).waitFor();
    await fill("A day beside it", "2026-09-13", "2026-09-14");
    await page.getByRole("button", { name: "Save, and unpack" }).click();
    await page.getByRole("button", { name: "Yes, save it" }).click();
    await page.getByText("Nothing was packed").waitFor();
    expect((await exported(app)).trips.filter(({ name }) => name === "A day beside it")).toHaveLength(1);
    await page.close();
  }));

test("a planned walk is a plan: no marks asked, and it says how long the next trip is", () =>
  withApp("demo", async (app) => {
    const { page } = await openPage(browser, `${app.url}/trips/new`);
    await page.getByLabel("Name", { exact: true }).fill("All the way round");
    await page.getByLabel("First day").fill("2027-05-01");
    await page.getByLabel("Last day").fill("2027-06-20");
    await page.getByLabel("Distance").fill("900");
    await page.getByRole("button", { name: "Save, and unpack" }).click();
    await page.getByText("Tick “not walked yet” if it is planned.").waitFor();
    expect(await page.getByLabel("Name", { exact: true }).inputValue()).toBe("All the way round");
    await page.getByLabel("not walked yet").check();
    // Of a walk to come the form speaks as of one to come.
    for (const legend of ["What it will be like", "What goes along"])
      await page.getByRole("group", { name: legend }).waitFor();
    expect(await page.getByLabel("cut short").count()).toBe(0);
    await page.getByText("Ask the weather desk (simulated").click();
    await page.getByLabel("Where", { exact: true }).selectOption("Hask");
    await page.getByRole("button", { name: "Ask", exact: true }).click();
    await page.getByText(/^51.days: lows of .* a forecast, \d °C either way four times in five/).waitFor();
    expect(await page.getByRole("radiogroup", { name: "cold" }).getByLabel("strong").isChecked()).toBe(true);
    await page.getByRole("button", { name: "Save the plan" }).click();
    await page.getByText("1 May – 20 June 2027").waitFor();
    await page.goto(`${app.url}/verdicts`);
    const shoes = page.getByRole("article", { name: "replace Trail shoes, pair 3" });
    expect(await shoes.innerText()).toMatch(/Almost sure to give out on All the way round/);
    await page.close();
  }));

test("a new trip half typed is kept through a reload and the way back, and forgotten once it is saved", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/trips/new`);
    const name = page.getByLabel("Name", { exact: true });
    await name.fill("Half typed");
    await page.getByLabel("Distance").fill("31 km");
    await page.getByRole("radiogroup", { name: "rain" }).getByText("strong").click();
    await page.getByRole("button", { name: /^As on/ }).click();
    await page.waitForFunction(() => localStorage.getItem("nettle-new-trip")?.includes("quilt"));
    await page.reload();
    await page.getByText("What you had typed of this trip is back.").waitFor();
    expect(await name.inputValue()).toBe("Half typed");
    expect(await page.getByLabel("Distance").inputValue()).toBe("31 km");
    expect(await page.getByRole("radiogroup", { name: "rain" }).getByLabel("strong").isChecked()).toBe(true);
    expect(await page.getByRole("checkbox", { name: /^Quilt/ }).isChecked()).toBe(true);
    await page.goto(`${app.url}/shelf`);
    await page.goBack();
    await page.getByText("What you had typed of this trip is back.").waitFor();
    // The first field that is wrong has the focus.
    await page.getByRole("button", { name: "Save, and unpack" }).click();
    await expect
      .poll(() => page.evaluate(() => (document.activeElement as HTMLInputElement).name))
      .toBe("starts");
    await page.getByLabel("First day").fill("2026-10-20");
    await page.getByLabel("Last day").fill("2026-10-21");
    await page.getByRole("button", { name: "Save, and unpack" }).click();
    await page.getByRole("heading", { name: "Unpack Half typed" }).waitFor();
    await page.goto(`${app.url}/trips/new`);
    expect(await name.inputValue()).toBe("");
    await name.fill("Another");
    await page.waitForFunction(() => localStorage.getItem("nettle-new-trip")?.includes("Another"));
    await page.reload();
    await page.getByRole("button", { name: "Start afresh" }).click();
    expect(await name.inputValue()).toBe("");
    expect(faults).toEqual([]);
    await page.close();
  }));

test("what joined and left is said on a picture: by keyboard and by dragging, to the metre, and taken back", () =>
  withApp("demo", async (app) => {
    const id = "the-long-quill-2025-06-07";
    const legsOn = async (item: string) => {
      const trip = (await exported(app)).trips.find((each) => each.id === id) as unknown as {
        legs: { id: string; distance: string }[];
        marks: { item: string; legs?: string[]; use?: string }[];
      };
      return { legs: trip.legs, on: trip.marks.find((mark) => mark.item === item) };
    };
    const { page, faults } = await openPage(browser, `${app.url}/trips/${id}`);
    const end = (name: string) => page.getByRole("slider", { name: `${name}, to` });
    const before = await legsOn("down-jacket");
    expect(before.on?.legs).toHaveLength(2);

    // By keyboard, a leg further; its mark stays.
    await end("Down jacket").focus();
    await page.keyboard.press("PageUp");
    await page.getByText(/^Down jacket: 0.*km to/).waitFor();
    await expect.poll(async () => (await legsOn("down-jacket")).on?.legs?.length).toBe(3);
    expect((await legsOn("down-jacket")).on).toMatchObject({ use: before.on?.use });

    // By dragging, into the middle of a leg: a leg more, and all the others still go all the way.
    await page.getByLabel("Another thing").selectOption({ label: "Camera" });
    await end("Camera").waitFor();
    const box = (await end("Camera").boundingBox())!;
    const bar = (await page.getByRole("group", { name: /^Camera: / }).boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x - bar.width * 0.1, box.y + 5, { steps: 5 });
    // What is under the finger is what is set, to the kilometre, and it is shown while it moves.
    const line = await end("Camera").evaluate((thumb) => {
      const { x, width } = thumb.closest("span[data-orientation]")!.closest("div")!.getBoundingClientRect();
      return { x, width };
    });
    const whole = before.legs.reduce((sum, { distance }) => sum + parseFloat(distance), 0);
    const under = ((box.x - bar.width * 0.1 - line.x) / line.width) * whole;
    const told = parseFloat((await end("Camera").getAttribute("aria-valuetext"))!);
    expect(Math.abs(told - under)).toBeLessThanOrEqual(1);
    await end("Camera").getByText(`${told}`, { exact: false }).waitFor();
    await page.mouse.up();
    await expect.poll(async () => (await legsOn("camera")).legs.length).toBe(before.legs.length + 1);
    const cut = await legsOn("camera");
    // Cut a tenth of the way before the end, in the last leg but one: all before that.
    expect(cut.on?.legs).toHaveLength(before.legs.length - 1);
    expect((await legsOn("quilt")).on?.legs).toBeUndefined();
    expect((await legsOn("down-jacket")).on?.legs).toHaveLength(3);
    // The next change is made before the screen knows of this one: it is taken back to what was kept, not to what was shown.
    const slowly = `${app.url}/trips/${id}`;
    await page.route(slowly, async (route) => {
      const answer = await route.fetch();
      await new Promise((resolve) => setTimeout(resolve, 2000));
      await route.fulfill({ response: answer });
    });
    await page.getByRole("button", { name: "Undo" }).first().click();
    await expect.poll(async () => (await legsOn("camera")).on?.legs).toBeUndefined();
    // The cut that nobody uses any more is gone with it.
    expect((await legsOn("camera")).legs).toHaveLength(before.legs.length);

    // Typed, too: what can't be is told by the field, and changes nothing.
    await page.getByRole("button", { name: "Camera: type where it was along" }).click();
    const typed = page.getByLabel("Camera: along from – to, km");
    await typed.fill("0–9000");
    await page.getByRole("button", { name: "Set it" }).click();
    await page.getByText(/^The way is .* long\.$/).waitFor();
    await typed.fill("0–120");
    // What the undo made of it comes late, and takes neither the form nor what is typed.
    await page.waitForTimeout(2500);
    expect(await typed.inputValue()).toBe("0–120");
    await page.getByRole("button", { name: "Set it" }).click();
    await page.getByText(/^Camera: 0.*km to 120.*km/).waitFor();
    await page.unroute(slowly);
    await page.getByRole("button", { name: "Undo" }).first().click();
    await expect.poll(async () => (await legsOn("camera")).legs.length).toBe(before.legs.length);

    // Shared with a companion: half of its weight is on another back.
    await page.getByText("Shared with companions").click();
    await page.getByRole("button", { name: "Add what was shared" }).click();
    await page.getByText("Choose what was shared.").waitFor();
    await page.getByLabel("What", { exact: true }).selectOption({ label: "Two-pole tent" });
    await page.getByRole("button", { name: "Add what was shared" }).click();
    await page.getByText("Give it a name.").waitFor();
    await page.getByLabel("With", { exact: true }).fill("Companion");
    await page.getByRole("button", { name: "Add what was shared" }).click();
    await page.getByText("with Companion, yours: half of it").waitFor();
    expect((await legsOn("two-pole-tent")).on).toMatchObject({ shared: { with: "Companion", part: 0.5 } });
    await page.getByRole("button", { name: "Remove Two-pole tent" }).click();
    await expect.poll(async () => Object.hasOwn((await legsOn("two-pole-tent")).on!, "shared")).toBe(false);

    // Carried again, and what is marked can't be taken off its last stretch.
    await page.getByRole("button", { name: "Down jacket: carried again" }).click();
    await expect.poll(async () => (await legsOn("down-jacket")).on?.legs?.length ?? 0).not.toBe(3);
    expect(faults).toEqual([]);
    await page.close();
  }));

test("two tracks are one walk: what both tell is counted once, days become legs, and it comes out again as GPX", () =>
  withApp("demo", async (app) => {
    const gpx = (from: string, lon: number, points: number) => ({
      name: `${from.slice(0, 10)}.gpx`,
      mimeType: "application/gpx+xml",
      buffer: Buffer.from(
        `<gpx version="1.1"><trk><name>${from.slice(0, 10)}</name><trkseg>${Array.from({ length: points }, (_, n) => `<trkpt lat="0" lon="${(lon + n / 1000).toFixed(5)}"><ele>${100 + n}</ele><time>${new Date(Date.parse(from) + n * 120_000).toISOString()}</time></trkpt>`).join("")}</trkseg></trk></gpx>`,
      ),
    });
    const { page, faults } = await openPage(browser, `${app.url}/trips/new`);
    const files = page.locator("input[type=file]");
    await files.setInputFiles({
      name: "jump.gpx",
      mimeType: "application/gpx+xml",
      buffer: Buffer.from(
        `<gpx><trk><trkseg><trkpt lat="0" lon="0"><time>2026-10-01T08:00:00Z</time></trkpt><trkpt lat="0" lon="3"><time>2026-10-01T08:01:00Z</time></trkpt></trkseg></trk></gpx>`,
      ),
    });
    await page.getByText(/point 2 lies 334 km from the one before it/).waitFor();
    await files.setInputFiles([
      gpx("2026-10-02T08:00:00Z", 0.2, 150),
      gpx("2026-10-01T08:00:00Z", 0, 201),
      gpx("2026-10-02T12:00:00Z", 0.32, 81),
    ]);
    await page.getByText(/tells again of a time that another track told already/).waitFor();
    await page.getByText("a leg for each day (2)").click();
    expect(await page.getByLabel("Leg 1").inputValue()).toBe("1 October 2026");
    expect(await page.getByLabel("First day").inputValue()).toBe("2026-10-01");
    await page.getByLabel("Name", { exact: true }).fill("Two days east");
    await page.getByRole("textbox", { name: "Nights" }).nth(1).fill("5");
    await page.getByRole("button", { name: "Save, and unpack" }).click();
    await page.getByText("5 nights don't fit into 1–2 October 2026.").waitFor();
    await page.getByRole("textbox", { name: "Nights" }).nth(1).fill("1");
    await page.getByRole("textbox", { name: "Nights" }).nth(2).fill("1");
    await page.getByRole("button", { name: "Save, and unpack" }).click();
    await page.getByText("The legs have 2 nights together, and the trip has 1.").waitFor();
    await page.getByRole("textbox", { name: "Nights" }).nth(2).fill("");
    await page.getByRole("button", { name: "Save, and unpack" }).click();
    await page.waitForURL(/unpack/);
    await page.goto(`${app.url}/trips/two-days-east-2026-10-01`);
    await page.getByRole("img", { name: /^Profile: 44.km, between 100.m and 300.m/ }).waitFor();
    await page.getByRole("img", { name: "Plan of the way, north up" }).waitFor();
    const written = await (await fetch(`${app.url}/api/track/two-days-east-2026-10-01`)).text();
    expect(written).toMatch(/<gpx version="1.1" creator="Nettle Tally"/);
    const log = (await exported(app)) as unknown as { tracks: { trip: string; metres: number }[] };
    expect(log.tracks.map(({ trip }) => trip)).toContain("two-days-east-2026-10-01");
    expect(faults).toEqual([]);
    await page.close();
  }));

test("lists against lists: what came out and went in adds up to the change, and a list is to be handed on", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/trips`);
    await page.getByRole("link", { name: "Lists against lists" }).click();
    await page.getByLabel("This list").selectOption({ label: "Hask plateau, 25–27 January 2025" });
    await page.waitForURL(/a=hask/);
    await page.getByLabel("against that one").selectOption({ label: "Low fells, 30–31 August 2025" });
    await page.getByText(/^Low fells is .* lighter\.$/).waitFor();
    const grams = (text: string) => {
      const [, sign, number, unit] = /([−+]?)([\d.,\s\u202f\u00a0]+)(kg|g)/.exec(text)!;
      return Number(number!.replace(/[^\d.]/g, "")) * (unit === "kg" ? 1000 : 1) * (sign === "−" ? -1 : 1);
    };
    const heads = await page.locator("section[aria-label] h2 .num").allInnerTexts();
    const sum = heads.filter((text) => text !== "–").reduce((all, text) => all + grams(text), 0);
    const whole = await page
      .getByRole("row", { name: /^in all/ })
      .locator("td")
      .last()
      .innerText();
    expect(Math.abs(sum - grams(whole))).toBeLessThan(150);
    await page.getByRole("region", { name: "One in place of another" }).getByText("for Boots").waitFor();
    await page.getByRole("img", { name: /^Saltpan loop: \d+\sthings used/ }).waitFor();
    const markdown = await (await fetch(`${app.url}/api/list/low-fells-2025-08-30`)).text();
    expect(markdown).toMatch(/^# Low fells\n\n30–31 August 2025: \d+.things, /);
    expect(markdown).toMatch(/## Main bag\n\n- \[ \] /);
    const csv = await (await fetch(`${app.url}/api/list/low-fells-2025-08-30?as=csv`)).text();
    expect(csv.split("\r\n")[0]).toBe("where,thing,pieces,weight,grams");
    expect((await fetch(`${app.url}/api/list/nowhere`)).status).toBe(404);
    const told = await (await fetch(`${app.url}/api/told/low-fells-2025-08-30`)).text();
    expect(told).toMatch(/^# /);
    expect(told).toContain("| thing | weight | used | what was said | next |");
    expect((await fetch(`${app.url}/api/told/nowhere`)).status).toBe(404);
    await expectAccessible(page);
    expect(faults).toEqual([]);
    await page.close();
  }));
