import { readFileSync } from "node:fs";
import ical from "node-ical";
import { expect, expectAccessible, openWorkbench, test } from "./fixtures";

test("a journey: stops by hand and from a file, a plan that holds, one closed, two days more, out as calendar", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("9");
  await page.getByLabel("What Road shows").selectOption({ label: "Journey" });
  await page.getByRole("button", { name: "Try it with invented stops" }).click();
  const line = page.getByTestId("stage-line");
  await expect(line).toContainText(/4 stops to dump or fill: nothing runs over or dry, 9\d times in 100/);
  const plan = page.getByTestId("dump-plan").getByRole("listitem");
  await expect(plan).toHaveCount(4);
  await expect(plan.first()).toContainText("Dump Grey tank, fill fresh water");
  await expect(page.getByRole("img", { name: /^Map of 7 stops/ })).toBeVisible();
  await expectAccessible(page);
  // shut, it is planned again; taken back, it holds as before
  // the weir lies out of the way: it is driven to only when the pitch on the way is shut
  await expect(plan.filter({ hasText: "Heron weir" })).toHaveCount(0);
  await plan.filter({ hasText: "Quarry pitch" }).first().getByRole("button", { name: "It is closed" }).click();
  await expect(plan.filter({ hasText: "Quarry pitch" })).toHaveCount(0);
  await expect(plan.filter({ hasText: "Heron weir" })).toHaveCount(1);
  await expect(line).toContainText("It does not hold: from");
  // the card that is printed says so too, and of which rig it is
  await page.evaluate(() => {
    window.print = () => undefined;
  });
  await page.getByRole("button", { name: "Print as a card" }).click();
  await expect(page.locator(".paper")).toContainText(/Kranich.*It does not hold: from.*Planned on/);
  await page.getByRole("button", { name: "Open again" }).click();
  await expect(plan).toHaveCount(4);
  await page.getByRole("button", { name: "2 days more" }).first().click();
  await expect(line).toContainText("It does not hold");
  await page.getByRole("button", { name: "Undo", exact: true }).last().click();
  await expect(line).toContainText("4 stops");
  const [calendar] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Calendar" }).click(),
  ]);
  const events = Object.values(ical.sync.parseICS(readFileSync((await calendar.path())!, "utf8")));
  expect(events.filter((event) => event?.type === "VEVENT").length).toBeGreaterThanOrEqual(4);
  // a broken file is refused with its place, and nothing is lost
  const file = page.getByLabel("File of places");
  await file.setInputFiles({ name: "a.gpx", mimeType: "text/xml", buffer: Buffer.from("<gpx><wpt></gpx>") });
  await expect(page.getByRole("alert").filter({ hasText: "a.gpx" })).toContainText(/a\.gpx: .*line 1, column/);
  const kml =
    "<kml><Placemark><name>Old ford</name><Point><coordinates>11.9,53.4</coordinates></Point></Placemark></kml>";
  await file.setInputFiles({ name: "b.kml", mimeType: "text/xml", buffer: Buffer.from(kml) });
  await expect(page.getByRole("list", { name: "Stops" }).getByRole("listitem")).toHaveCount(8);
  // a pitch that leans takes room, and its hours are kept
  const stop = page.getByRole("list", { name: "Stops" }).getByRole("listitem").filter({ hasText: "Harbour meadow" });
  await stop.getByRole("button", { name: /^Harbour meadow/ }).click();
  await stop.getByLabel("The pitch leans").selectOption({ label: "Hide over the reeds" });
  await expect(page.getByText(/Counted with the pitch that leans worst: Grey tank takes \d+/)).toBeVisible();
  await stop.getByLabel("Open").fill("9 to 18");
  await stop.getByLabel("Open").press("Enter");
  await expect(page.getByRole("list", { name: "Days of the journey" })).toContainText("open 9 to 18");
  // kept beside the design
  await page.reload();
  await expect(page.locator('[data-phase="ready"]')).toBeVisible();
  await page.keyboard.press("9");
  await page.getByLabel("What Road shows").selectOption({ label: "Journey" });
  await expect(page.getByRole("list", { name: "Stops" })).toContainText("Old ford");
});

test("Lesesaal, furnished: the way round before frost is walked step by step; care that is done is due again", async ({
  page,
}) => {
  await openWorkbench(page, "Lesesaal, furnished");
  await page.keyboard.press("9");
  await page.getByLabel("What Road shows").selectOption({ label: "Care" });
  const traps = page.getByTestId("care").getByRole("listitem").filter({ hasText: "Fill the traps" });
  await expect(traps).toContainText("never written down");
  await traps.getByRole("button", { name: "Done today" }).click();
  await expect(traps).toContainText(/due \d+ \w+, in 56 days/);
  await page.getByRole("button", { name: "Walk through it: Before frost" }).click();
  const walk = page.getByTestId("drain-walk");
  await expect(walk).toContainText(/Step 1 of \d+/);
  for (let step = 0; step < 40 && !(await walk.textContent())!.includes("All steps done"); step++)
    await walk.getByRole("button", { name: "Done, next" }).click();
  await expect(walk).toContainText("All steps done");
  await walk.getByRole("button", { name: "Write it down" }).click();
  const lines = page.getByRole("list", { name: "Lines of the logbook" });
  await expect(lines).toContainText("Emptied before frost");
  // and the way back: closed, sanitised with this rig's litres, every trap filled, a bucket through everything
  await page.getByRole("button", { name: "Walk through it: After frost" }).click();
  const back = page.getByTestId("spring-walk");
  const said: string[] = [];
  for (let step = 0; step < 60 && !(await back.textContent())!.includes("All steps done"); step++) {
    said.push((await back.textContent())!);
    await back.getByRole("button", { name: "Done, next" }).click();
  }
  expect(said.filter((text) => /Fill the trap .* \d+\.\d+.L/.test(text)).length).toBeGreaterThan(3);
  expect(said.filter((text) => text.includes("Pour a bucket into")).length).toBeGreaterThan(3);
  await expectAccessible(page);
  await back.getByRole("button", { name: "Write it down" }).click();
  await expect(lines).toContainText("Brought back after frost");
});

test("a week of Kranich is kept: filled and dumped, read by a stick, written down later, sifted; the next stop and job stand over it", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("9");
  const now = page.getByRole("group", { name: "Levels now" });
  await now.getByRole("button", { name: "Filled up" }).click();
  await now.getByRole("button", { name: "Dumped" }).click();
  // 25 mm in the middle of a box: its plan by its depth
  await now.getByLabel("How Grey tank is read").selectOption({ label: "by a stick" });
  const stick = now.getByLabel("How deep the stick is wet in Grey tank");
  await stick.fill("9000");
  await now.getByRole("button", { name: "Write reading" }).last().click();
  await expect(now.getByRole("alert")).toContainText("no deeper than the tank");
  await stick.fill("25");
  await now.getByRole("button", { name: "Write reading" }).last().click();
  const lines = page.getByRole("list", { name: "Lines of the logbook" }).getByRole("listitem");
  await expect(lines.first()).toContainText(/Read Grey tank, \d+\.\d.L: stick wet 25.mm/);
  await expect(now).toContainText(/Last read \d+ \w+, \d\d:\d\d: \d+\.\d.L/);
  // what was done yesterday stands under today's lines; what is still to come is refused
  await page.getByLabel("What", { exact: true }).selectOption({ label: "Smell" });
  await page.getByLabel("When, if not now").fill("2031-01-01T10:00");
  await page.getByRole("button", { name: "Write it" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "still to come" })).toBeVisible();
  await page.getByLabel("When, if not now").fill("2026-01-02T10:00");
  await page.getByRole("button", { name: "Write it" }).click();
  await expect(lines).toHaveCount(4);
  await expect(lines.last()).toContainText("2026-01-02 10:00");
  await page.getByLabel("Lines shown").selectOption({ label: "Read" });
  await expect(lines).toHaveCount(1);
  await page.getByLabel("Lines shown").selectOption({ label: "Grey tank" });
  await expect(lines).toHaveCount(2);
  // columns that do not say what they are are asked for
  await page.getByLabel("Lines shown").selectOption({ label: "All lines" });
  await page.getByLabel("Logbook as CSV").setInputFiles({
    name: "old.csv",
    mimeType: "text/csv",
    buffer: Buffer.from("Day of it,Done\n2026-01-03,Dumped\n"),
  });
  const columns = page.getByRole("group", { name: "Which column of old.csv is which?" });
  await expect(columns.getByRole("button", { name: "Read it so" })).toBeDisabled();
  await columns.getByLabel("When").selectOption({ label: "Day of it" });
  await columns.getByLabel("What").selectOption({ label: "Done" });
  await expectAccessible(page);
  await columns.getByRole("button", { name: "Read it so" }).click();
  await expect(lines).toHaveCount(5);
  // the next job and, once there is a journey, the next stop: each a press from where it is done
  await now.getByRole("button", { name: /^Next job/ }).click();
  await page.getByLabel("What Road shows").selectOption({ label: "Journey" });
  await page.getByRole("button", { name: "Try it with invented stops" }).click();
  await expect(page.getByTestId("dump-plan")).toBeVisible();
  await page.getByLabel("What Road shows").selectOption({ label: "Now" });
  await expect(now.getByRole("button", { name: /^Next stop/ })).toContainText(/Reed lake hide|Quarry pitch/);
  // gallons are typed as gallons
  await page.keyboard.press("u");
  await page.getByLabel("What", { exact: true }).selectOption({ label: "Filled" });
  await page.getByLabel("How much, if known").fill("10");
  await page.getByRole("button", { name: "Write it" }).click();
  await expect(lines.first()).toContainText(/Filled Fresh water, 10\.0.gal/);
});

test("a line of the book is put right and taken back; a CSV is read with what does not fit told; devices run live, marked as simulated", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("9");
  const lines = page.getByRole("list", { name: "Lines of the logbook" }).getByRole("listitem");
  await page.getByLabel("Logbook as CSV").setInputFiles({
    name: "log.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(
      "at,what,of,litres\n2026-05-01 09:00,Dumped,Grey tank,\n2026-99-01,Dumped,,\n2026-05-02 09:00,Read,Grey tank,20\n",
    ),
  });
  await expect(lines).toHaveCount(2);
  await expect(page.getByRole("alert").filter({ hasText: "1 left out, the first at line 3" })).toBeVisible();
  await lines.first().getByRole("button").first().click();
  await lines.first().getByLabel("What it held").fill("21");
  await lines.first().getByRole("button", { name: "Keep" }).click();
  await expect(lines.first()).toContainText(/21.0.L/);
  // what it said before stays with it
  await lines.first().getByRole("button").first().click();
  await expect(lines.first().getByRole("list", { name: "What it said before" })).toContainText(/20.0.L/);
  await page.getByRole("button", { name: "Undo", exact: true }).last().click();
  await expect(lines.first()).toContainText(/20.0.L/);
  // a line taken out comes back with undo; of a long book the older lines are a press away
  await lines.first().getByRole("button", { name: "Take out" }).click();
  await expect(lines).toHaveCount(1);
  // only its own notice brings it back, and that comes when it has been kept
  await expect(page.getByText("Taken out.")).toBeVisible();
  await page.getByRole("button", { name: "Undo", exact: true }).last().click();
  await expect(lines).toHaveCount(2);
  await page.getByLabel("Logbook as CSV").setInputFiles({
    name: "older.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(
      `at,what,of,litres\n${Array.from({ length: 20 }, (_, i) => `2025-03-${10 + i} 09:00,Dumped,Grey tank,\n`).join("")}`,
    ),
  });
  await expect(page.getByText("20 lines read.")).toBeVisible();
  await page.getByRole("button", { name: "Older lines" }).click();
  await expect(lines).toHaveCount(22);
  await expect(page.getByRole("button", { name: "Older lines" })).toBeHidden();
  const devices = page.getByRole("group", { name: "Devices, simulated" });
  await devices.getByRole("button", { name: "Run it live" }).click();
  await expect(page.getByTestId("devices")).toContainText(/Grey tank: sender .*by the book/);
  // a dead man's switch: nothing opens before it was said that the hose is over a dump, and letting go shuts
  const hold = devices.getByRole("button", { name: /open the dump valve/ });
  await expect(hold).toBeDisabled();
  await devices.getByLabel("The hose is over a dump place, and I see it").check();
  await hold.hover();
  await page.mouse.down();
  await expect(page.getByTestId("valve")).toContainText("Simulated: open");
  await page.mouse.up();
  await expect(page.getByTestId("valve")).toContainText("Simulated: shut");
  await devices.getByRole("button", { name: "Stop" }).click();
});
