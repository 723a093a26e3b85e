import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import {
  expect,
  expectAccessible,
  findBox,
  openWorkbench,
  PLACE,
  plan,
  pull,
  readInHand,
  readUnfolded,
  section,
  test,
  toNumber,
} from "./fixtures";

test("the page opens on a sample rig and says in one line whether it runs", async ({ page }) => {
  await openWorkbench(page);
  await expect(page.getByTestId("verdict")).toHaveText(/^Runs wherever you park: .* in hand at the worst/);
  expect(await readInHand(page, "level")).toBeGreaterThan(await readInHand(page, "worst"));
  await expect(section(page)).toBeVisible();
  await expect(plan(page)).toBeVisible();
});

/** What a figure that is none reads as. */
const BROKEN = /NaN|undefined|Infinity|\[object/;

/** What nobody says afloat. */
const ASHORE =
  /the floor|over floor|rear edge|tank's rear|right bottom|\b(left|right) of the middle|axle|\bjack\b|nose (down|up)|the rig\b/i;

// a bus and a boat have every kind of control there is
for (const [name, broken] of [
  ["Lesesaal", [BROKEN]],
  ["Otter, heads", [BROKEN, ASHORE]],
] as const) {
  test(`${name} opens, is free of accessibility faults in light and dark, and no station shows a broken figure or speaks of another kind of rig`, async ({
    page,
  }) => {
    await openWorkbench(page, name);
    for (const station of ["1", "2", "3", "4", "5", "6", "7", "8", "9", "0", "-"]) {
      await page.keyboard.press(station);
      const said = await readUnfolded(page);
      for (const never of broken) expect(said).not.toMatch(never);
      await expect(page.locator("body")).not.toContainText(BROKEN);
    }
    await page.keyboard.press("5");
    await expectAccessible(page);
    await page.keyboard.press("d");
    await expectAccessible(page);
  });
}

test("pulling the tank down in the section gives fall; undo and redo walk the same way", async ({ page }) => {
  await openWorkbench(page);
  const before = await readInHand(page, "worst");
  await pull(page, section(page).getByRole("button", { name: "Move Grey tank" }), 0, 8);
  const after = await readInHand(page, "worst");
  expect(after).toBeGreaterThan(before);
  await page.keyboard.press("Control+z");
  expect(await readInHand(page, "worst")).toBe(before);
  await page.keyboard.press("Control+y");
  expect(await readInHand(page, "worst")).toBe(after);
});

test("the sink outlet, a bend, the passage and the inlet can be pulled in the section; the plan follows", async ({
  page,
}) => {
  await openWorkbench(page);
  for (const [name, dx, dy] of [
    ["Move the outlet of Kitchen sink", 0, -6],
    ["Move bend 2 of Sink drain", 0, -2],
    ["Move the floor passage of Sink drain", 12, 0],
    ["Move the inlet of Grey tank", 0, 3],
  ] as const) {
    const seen = await findBox(section(page).getByRole("button", { name }));
    await pull(page, section(page).getByRole("button", { name }), dx, dy);
    await expect(page.getByRole("button", { name: /^Undo: Move/ })).toBeEnabled();
    expect(await findBox(section(page).getByRole("button", { name }))).not.toEqual(seen);
  }
});

test("what is pulled in plan moves the section: the tank further away has less fall", async ({ page }) => {
  await openWorkbench(page);
  const before = await readInHand(page, "level");
  await pull(page, plan(page).getByRole("button", { name: "Move Grey tank in plan" }), -40, 0);
  expect(await readInHand(page, "level")).toBeLessThanOrEqual(before);
  await expect(page.getByRole("button", { name: "Undo: Move Grey tank" })).toBeEnabled();
});

test("arrow keys nudge by 1 mm, with Shift by 10; a hold is one step", async ({ page }) => {
  await openWorkbench(page);
  const handle = plan(page).getByRole("button", { name: "Move Grey tank in plan" });
  await page.keyboard.press("3");
  const height = page.getByRole("group", { name: /^Place of its/ }).getByLabel(PLACE.y);
  const start = toNumber(await height.inputValue());
  await handle.focus();
  await page.keyboard.press("ArrowDown");
  expect(toNumber(await height.inputValue())).toBe(start - 1);
  await page.keyboard.press("Shift+ArrowDown");
  expect(toNumber(await height.inputValue())).toBe(start - 11);
  await page.keyboard.press("Control+z");
  expect(toNumber(await height.inputValue())).toBe(start - 1);
});

test("typed figures: inches with fractions, refused letters, an impossible tank; the design stays", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("3");
  const length = page.getByLabel("Inside, length");
  const before = await length.inputValue();
  await length.fill("26 1/4 in");
  await length.press("Enter");
  await expect(length).toHaveValue("667");
  await length.fill("long");
  await length.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "That is not a number" })).toBeVisible();
  await length.fill("-5");
  await length.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: /too small/ })).toBeVisible();
  await length.press("Escape");
  await expect(length).toHaveValue("667");
  const height = page.getByLabel("Inside, height");
  await height.fill("20");
  await height.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: /smaller than its fitting/ })).toBeVisible();
  await height.press("Escape");
  await page.getByRole("button", { name: "Undo: Resize Grey tank" }).click();
  await expect(length).toHaveValue(before);
});

test("zero people are refused with a sentence; habits move the days", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("2");
  const people = page.getByLabel("People", { exact: true });
  await people.fill("0");
  await people.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: /at least 1/ })).toBeVisible();
  await people.press("Escape");
  const days = async () =>
    toNumber(await page.getByRole("button", { name: "Grey tank full: show the working" }).innerText());
  const before = await days();
  await people.fill("4");
  await people.press("Enter");
  expect(await days()).toBeCloseTo(before / 2, 0);
  await expect(page.getByTestId("stay")).toContainText(/ends the stay/);
});

test("a figure opens to its working, with the limit and where it comes from", async ({ page }) => {
  await openWorkbench(page);
  await page.getByRole("button", { name: "Fall in hand, worst: show the working" }).click();
  const working = page.getByRole("dialog");
  await expect(working).toContainText("F = min(R, w)");
  await expect(working).toContainText("outlet over tank inlet");
  await expect(working).toContainText("What builders do (practice)");
  await expectAccessible(page);
});

test("every height of the strip and of the section opens to its working", async ({ page }) => {
  await openWorkbench(page);
  for (const [figure, sum] of [
    ["Height the trap takes, level", "t = u · (dx, dy, dz)"],
    ["Height spent in drops, worst", "d = the sum over the drops"],
    ["Leg 3, level", "F = f − N"],
    ["Leg 3, worst, the weakest run: it decides", "F = f − N"],
    ["Drop, leg 2", "f = u · (dx, dy, dz)"],
    ["Trap seal", "Ht = u"],
    ["Full at", "Vf = volume below the first opening that floods"],
  ] as const) {
    await page
      .getByRole("button", { name: `${figure}: show the working` })
      .first()
      .click();
    await expect(page.getByRole("dialog", { name: "Working" })).toContainText(sum);
    await page.keyboard.press("Escape");
  }
});

test("a finding opens to the sum it rests on", async ({ page }) => {
  await openWorkbench(page, "Lesesaal");
  const finding = page.getByRole("region", { name: "Findings" }).getByRole("button", { expanded: false }).first();
  await finding.click();
  await page.getByText("How it is worked out").click();
  await expect(page.getByRole("dialog", { name: "Working" }).getByRole("row")).not.toHaveCount(0);
});

test("the rules can be changed, a limit edited and given back", async ({ page }) => {
  await openWorkbench(page);
  const before = await readInHand(page, "level");
  await page.getByLabel("Pack").selectOption("australiaNewZealand");
  expect(await readInHand(page, "level")).toBeLessThan(before);
  await page.getByText("Every limit, to be changed").click();
  const least = page.getByLabel("Least fall, standing level");
  await least.fill("200");
  await least.press("Enter");
  await expect(page.getByTestId("verdict")).toContainText("is too flat");
  await page.getByRole("button", { name: /Back to the pack's figure: Least fall, standing level/ }).click();
  await expect(page.getByTestId("verdict")).toContainText("Runs wherever you park");
});

test("a finding's remedy is drawn first, then done, then undone", async ({ page }) => {
  await openWorkbench(page, "Lesesaal");
  const finding = page.getByRole("region", { name: "Findings" }).getByRole("button", { name: /runs backwards/ });
  await finding.click();
  const remedy = page.getByRole("button", { name: /^Hang Grey tank 33/ });
  await remedy.click();
  await expect(page.getByTestId("ghost")).toBeVisible();
  await expect(page.getByRole("button", { name: "Undo", exact: true })).toBeDisabled();
  await page.getByRole("button", { name: "Do it" }).click();
  await expect(page.getByTestId("verdict")).toContainText("Runs wherever you park");
  await page.getByRole("status").getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("verdict")).toContainText("runs backwards");
});

test("both faults of Puppenwagen can be mended from their findings", async ({ page }) => {
  await openWorkbench(page, "Puppenwagen");
  const findings = page.getByRole("region", { name: "Findings" });
  await findings.getByRole("button", { name: /has no trap/ }).click();
  await findings
    .getByRole("button", { name: /^Fit a P-trap/ })
    .first()
    .click();
  await findings.getByRole("button", { name: "Do it" }).click();
  await findings.getByRole("button", { name: /has no breather/ }).click();
  await findings.getByRole("button", { name: /^Fit a breather/ }).click();
  await findings.getByRole("button", { name: "Do it" }).click();
  await expect(findings.getByRole("img", { name: "Must" })).toHaveCount(0);
});

test("a bend is added, and taken out with the Delete key", async ({ page }) => {
  await openWorkbench(page);
  const bends = section(page).getByRole("button", { name: /^Move bend/ });
  await expect(bends.first()).toBeVisible();
  const before = await bends.count();
  await page.getByRole("button", { name: "One before the end" }).click();
  await expect(bends).toHaveCount(before + 1);
  await section(page).getByRole("button", { name: "Move bend 1 of Sink drain" }).focus();
  await page.keyboard.press("Delete");
  await expect(bends).toHaveCount(before);
});

test("units change everywhere and stay changed", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("u");
  await expect(page.getByTestId("verdict")).toContainText(/\d\/\d+\u00a0in in hand|\d\u00a0in in hand/);
  await page.reload();
  await expect(page.getByTestId("verdict")).toContainText(/\u00a0in in hand/);
});

test("the command line says what the page says", async ({ page }) => {
  await openWorkbench(page);
  // a process of its own, as it is run by hand: the test runner would translate the bundle anew
  const out = execFileSync(process.execPath, ["cli/bin.mjs", "check", "demo/kranich.json", "--json"], {
    encoding: "utf8",
  });
  const json = JSON.parse(out);
  expect(await readInHand(page, "level")).toBeCloseTo(json.drains[0].level.inHandMm, 1);
  expect(readFileSync("demo/kranich.json", "utf8")).toContain(json.design.name);
});
