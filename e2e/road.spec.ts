import { readFileSync } from "node:fs";
import ical from "node-ical";
import { expect, expectAccessible, openSample, openWorkbench, test } from "./fixtures";

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
  await openWorkbench(page);
  await openSample(page, "Lesesaal, furnished");
  await page.keyboard.press("9");
  await page.getByLabel("What Road shows").selectOption({ label: "Care" });
  const traps = page.getByTestId("care").getByRole("listitem").filter({ hasText: "Fill the traps" });
  await expect(traps).toContainText("never written down");
  await traps.getByRole("button", { name: "Done today" }).click();
  await expect(traps).toContainText(/due \d+ \w+, in 56 days/);
  await page.getByRole("button", { name: "Walk through it" }).click();
  const walk = page.getByTestId("drain-walk");
  await expect(walk).toContainText(/Step 1 of \d+/);
  for (let step = 0; step < 40 && !(await walk.textContent())!.includes("All steps done"); step++)
    await walk.getByRole("button", { name: "Done, next" }).click();
  await expect(walk).toContainText("All steps done");
  await walk.getByRole("button", { name: "Close" }).click();
  await expectAccessible(page);
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
  await lines
    .first()
    .getByRole("button", { name: /^Change/ })
    .click();
  await lines.first().getByLabel("Litres").fill("21");
  await lines.first().getByRole("button", { name: "Keep" }).click();
  await expect(lines.first()).toContainText(/21.0.L/);
  await page.getByRole("button", { name: "Undo", exact: true }).last().click();
  await expect(lines.first()).toContainText(/20.0.L/);
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
