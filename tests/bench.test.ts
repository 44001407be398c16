import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { exported, goTo, openPage, reload, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test("a job is done where it is read, with its reading and cost, and taken back; the owner's own are ticked", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/bench`);
    const job = (name: string) =>
      page.getByRole("listitem").filter({ has: page.getByRole("link", { name, exact: true }) });
    const entries = async (item: string) =>
      (await exported(app)).entries.filter((entry) => entry.item === item);
    const before = (await entries("second-filter")).length;
    await job("Second filter")
      .getByRole("button", { name: /^How, .*service Second filter/ })
      .click();
    await job("Second filter").getByText("Soak it for half an hour.").waitFor();
    await job("Second filter").getByLabel("Litres a minute through it").fill("fast");
    await job("Second filter").getByRole("button", { name: /^Done/ }).click();
    await job("Second filter").getByRole("group", { name: "Is it right again?" }).waitFor();
    const right = job("Second filter").getByRole("button", { name: /^Yes/ });
    await right.click();
    await page.getByText("Write the reading as a number.").waitFor();
    expect(await job("Second filter").getByLabel("Litres a minute through it").inputValue()).toBe("fast");
    await job("Second filter").getByLabel("Litres a minute through it").fill("1.4");
    await job("Second filter").getByLabel("Cost").fill("3,50");
    await right.click();
    await page.getByText("Second filter: service logged").waitFor();
    expect((await entries("second-filter")).at(-1)).toMatchObject({
      what: "service",
      cost: 3.5,
      reading: { what: "flow", value: 1.4 },
    });
    await page
      .locator("[data-sonner-toast]")
      .filter({ hasText: "Second filter" })
      .getByRole("button", { name: "Undo" })
      .click();
    await expect.poll(async () => (await entries("second-filter")).length).toBe(before);

    // Flushed, and not right: that is logged, and clears no warning.
    await job("Second filter").getByRole("button", { name: /^Done/ }).click();
    await job("Second filter").getByRole("button", { name: /^No/ }).click();
    await expect
      .poll(async () => (await entries("second-filter")).at(-1))
      .toMatchObject({ what: "check", condition: 2 });
    await job("Second filter").waitFor();
    await page
      .locator("[data-sonner-toast]")
      .filter({ hasText: "check logged" })
      .getByRole("button", { name: "Undo" })
      .click();
    await expect.poll(async () => (await entries("second-filter")).length).toBe(before);

    // Agreed on its slip, it stands here as agreed.
    await goTo(page, `${app.url}/verdicts`);
    await page
      .getByRole("article", { name: "replace Air pad" })
      .getByRole("button", { name: "Agree" })
      .click();
    await page
      .getByText(/^You ruled on .*: agree\.$/)
      .first()
      .waitFor();
    await goTo(page, `${app.url}/bench`);
    await job("Air pad").getByText("agreed", { exact: true }).waitFor();
    await page.getByRole("row", { name: /Thick pad.*on the wish list.*Air pad.*495.*€165/ }).waitFor();

    // The owner's own.
    await page.getByRole("button", { name: "Add", exact: true }).click();
    await page.getByText("Give it a name.").waitFor();
    await page.getByLabel("A job of your own").fill("Shorten the strap");
    await page.getByLabel("on", { exact: true }).selectOption({ label: "Pack" });
    await page.getByLabel("by", { exact: true }).fill("2026-01-10");
    await page.getByRole("button", { name: "Add", exact: true }).click();
    await page.getByText("by 10 January 2026").waitFor();
    const calendar = await (await fetch(`${app.url}/api/bench.ics`)).text();
    expect(calendar).toContain("SUMMARY:Shorten the strap: Pack");
    expect(calendar).toContain("DTSTART;VALUE=DATE:20260110");
    await page.getByRole("button", { name: /^Done ?: Shorten the strap/ }).click();
    await expect
      .poll(async () => (await exported(app)).tasks)
      .toMatchObject([{ what: "Shorten the strap", item: "pack", done: expect.any(String) }]);
    await page.getByText("by 10 January 2026").waitFor({ state: "detached" });
    await page.getByRole("link", { name: "by what they want" }).click();
    await page
      .getByRole("heading", { name: /^Wants / })
      .first()
      .waitFor();
    expect(faults).toEqual([]);
    await page.close();
  }));

test("ready: thirty looks in under fifteen presses, one for all that is sound in one way", () =>
  withApp("today", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/ready`);
    const left = page.getByText(/of \d+\sthings still to be looked at/);
    expect(Number(/(\d+) of/.exec(await left.innerText())![1])).toBeGreaterThanOrEqual(28);
    let presses = 0;
    const looks = async () =>
      (await exported(app)).entries.filter(({ what }) => what === "check" || what === "damage").length;
    const press = async (name: RegExp) => {
      const before = await looks();
      await page.getByRole("button", { name }).first().click();
      await expect.poll(looks).toBeGreaterThan(before);
      presses += 1;
    };
    await press(/^Not right ?: Gas stove/);
    await press(/^All \d+ sound ?: Charge it/);
    await press(/^Sound ?: Quilt/);
    await press(/^All that is left is sound \(\d+\)$/);
    await page.getByText("everything has been looked at").waitFor();
    expect(presses).toBeLessThan(15);
    const all = await looks();
    await page.getByRole("button", { name: "Undo" }).first().click();
    await expect.poll(looks).toBeLessThan(all);
    expect(faults).toEqual([]);
    await page.close();
  }));

test("ready: a look is ticked, what is not right is on the bench at once", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/ready`);
    await page.getByText(/still to be looked at/).waitFor();
    await page.getByRole("button", { name: /^Sound ?: Quilt/ }).click();
    await page.getByText("Quilt: looked at").waitFor();
    await expect
      .poll(async () => (await exported(app)).entries.filter((entry) => entry.item === "quilt").at(-1))
      .toMatchObject({ what: "check" });
    await page.getByRole("button", { name: /^Not right ?: Gas stove/ }).click();
    await page.getByText("it is on the bench").waitFor();
    await goTo(page, `${app.url}/bench`);
    await page.getByRole("link", { name: "Gas stove", exact: true }).waitFor();
    expect(faults).toEqual([]);
    await page.close();
  }));

test("services by their count, a clock that runs through a reload, and a calendar read back without doubling", () =>
  withApp("today", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/item/camera/edit`);
    // A service of one's own, sooner.
    await page.getByLabel("every").fill("often");
    await page.getByRole("button", { name: "Save" }).click();
    await page.getByText("Write how often, as a number.").waitFor();
    expect(await page.getByLabel("every").inputValue()).toBe("often");
    await page.getByLabel("every").fill("8");
    await page.getByRole("button", { name: "Add a part" }).click();
    await page.getByLabel("Part", { exact: true }).fill("Strap");
    await page.getByRole("button", { name: "Save" }).click();
    await page.getByText(/^Clean the lens and its contacts: 9.trips so far/).waitFor();
    await goTo(page, `${app.url}/bench`);
    const row = page.getByRole("listitem").filter({ hasText: "clean the lens and its contacts" }).last();
    await row.getByText("due", { exact: true }).waitFor();
    await row.getByRole("button", { name: /^Done ?: clean the lens/ }).click();
    await page.getByText("Camera: clean the lens and its contacts logged").waitFor();
    await expect
      .poll(async () => (await exported(app)).entries.filter((entry) => entry.item === "camera"))
      .toMatchObject([{ what: "own service", service: "clean the lens and its contacts" }]);
    expect((await exported(app)).items.find(({ id }) => id === "camera")).toMatchObject({
      parts: [{ name: "Strap" }],
    });

    // A part goes on to another thing, and back.
    await goTo(page, `${app.url}/item/trail-shoes-pair-3`);
    await page.getByLabel("Move Insoles to").selectOption({ label: "Boots" });
    await page.getByRole("button", { name: "Move", exact: true }).click();
    await page.getByText("Insoles: on Boots now").waitFor();
    const partsOf = async (item: string) => (await exported(app)).items.find(({ id }) => id === item)!.parts;
    expect(await partsOf("boots")).toMatchObject([{ name: "Insoles", renewed: "2025-08-02" }]);
    expect(await partsOf("trail-shoes-pair-3")).toBeUndefined();
    await page.getByRole("button", { name: "Undo" }).click();
    await expect.poll(async () => partsOf("boots")).toBeUndefined();

    // What its owner wants done on everything of a kind.
    await goTo(page, `${app.url}/settings`);
    await page.getByLabel("Find a kind").fill("umbrella");
    await page.getByLabel("Find a kind").press("Enter");
    const kind = page.getByRole("region", { name: "Services of your own for every umbrella" });
    await kind.getByLabel("every", { exact: true }).fill("sometimes");
    await kind.getByRole("button", { name: /^Add/ }).click();
    await kind.getByText("Say what is to be done.").waitFor();
    await kind.getByText("Write how often, as a number.").waitFor();
    await kind.getByLabel("Have this done to every umbrella").fill("oil the joints");
    await kind.getByLabel("every", { exact: true }).fill("2");
    await kind.getByLabel("of", { exact: true }).selectOption("trips");
    await kind.getByRole("button", { name: /^Add/ }).click();
    await kind.getByText(/^oil the joints, every 2.trips$/).waitFor();
    await goTo(page, `${app.url}/bench`);
    await page.getByRole("listitem").filter({ hasText: "oil the joints" }).last().waitFor();

    // The clock: started, the page reloaded, stopped; a litre in so many seconds is a flow.
    const filter = page
      .getByRole("listitem")
      .filter({ has: page.getByRole("link", { name: "Second filter", exact: true }) })
      .first();
    await filter.getByRole("button", { name: /^How/ }).click();
    await filter.getByRole("button", { name: /^Start the clock/ }).press("Enter");
    await filter.getByRole("button", { name: /^Stop/ }).waitFor();
    await reload(page);
    await filter.getByRole("button", { name: /^How/ }).click();
    await filter.getByRole("button", { name: /^Stop/ }).press("Enter");
    const flow = Number(await filter.getByLabel("Litres a minute through it").inputValue());
    expect(flow).toBeGreaterThan(0.3);
    expect(flow).toBeLessThan(600);

    // What comes too late for the trip that is planned is said.
    await page.getByRole("row", { name: /Thick pad.*too late for Vask in the dark of the year/ }).waitFor();

    // The calendar: as it went out it says nothing new; edited elsewhere it is merged, and a new day is a new job, once.
    await page.getByText("Take in a calendar").click();
    const file = page.getByLabel("An iCalendar file");
    const calendar = (text: string) => ({
      name: "bench.ics",
      mimeType: "text/calendar",
      buffer: Buffer.from(text),
    });
    await file.setInputFiles(calendar("no calendar at all"));
    await page.getByText("That is no calendar that can be read").waitFor();
    const out = await (await fetch(`${app.url}/api/bench.ics`)).text();
    await file.setInputFiles(calendar(out));
    await page.getByText(/^Nothing in it that is not here\. 2.jobs as they are here\./).waitFor();
    const edited = out
      .replace("DTSTART;VALUE=DATE:20261205", "DTSTART;VALUE=DATE:20261208")
      .replace(
        "END:VCALENDAR",
        "BEGIN:VEVENT\r\nUID:other@elsewhere\r\nDTSTAMP:20261101T000000Z\r\nDTSTART;VALUE=DATE:20261210\r\nRRULE:FREQ=DAILY\r\nSUMMARY:pick up the tent\r\nEND:VEVENT\r\nEND:VCALENDAR",
      );
    await file.setInputFiles(calendar(edited));
    await page.getByText("was by 5 December 2026").waitFor();
    await page.getByText("new; it repeats, and is taken once").waitFor();
    await page.getByRole("button", { name: /^Take 2.jobs in$/ }).click();
    await page.getByText(/2.jobs taken in from the calendar/).waitFor();
    await file.setInputFiles(calendar(edited));
    await page.getByText(/^Nothing in it that is not here/).waitFor();
    expect((await exported(app)).tasks!.filter(({ what }) => what === "pick up the tent")).toHaveLength(1);

    // What is lent is not ready, and back by one press.
    await goTo(page, `${app.url}/ready`);
    await page.getByText("Oswin has it").waitFor();
    await page.getByRole("button", { name: /^It is back ?: Day pack/ }).click();
    await page.getByText("Oswin has it").waitFor({ state: "detached" });
    expect(faults).toEqual([]);
    await page.close();
  }));
