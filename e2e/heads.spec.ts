import { expect, expectAccessible, openWorkbench, PLACE, plan, test } from "./fixtures";

test("Otter, heads: the loop that stands too low is seen as she heels; hoses, sump and stability are told", async ({
  page,
}) => {
  await openWorkbench(page, "Otter, heads");
  await page.keyboard.press("-");
  const line = page.getByTestId("stage-line");
  await expect(line).toContainText(/Discharge loop: top 90.mm over the water here; 150.mm wanted/);
  const heel = page.getByRole("slider", { name: /^Heel/ });
  await heel.focus();
  for (let i = 0; i < 16; i++) await heel.press("ArrowLeft");
  await expect(line).toContainText(/under the water here|over the water here/);
  await expect(heel).toHaveAttribute("aria-valuetext", /8\.0° to port/);
  const runs = page.getByTestId("hose-runs");
  await expect(runs).toContainText(/Waste hose.*flush/);
  const panel = page.getByRole("region", { name: "Measures: Heads" });
  await expect(panel).toContainText(/Basin sump: Float band 7\.0.L/);
  await expect(panel).toContainText(/Part full, the tanks take/);
  // gear and hoses lie in plan, and gear is pulled there
  await expect(page.getByTestId("plan-gear").locator("rect")).toHaveCount(17);
  const toilet = plan(page).getByRole("button", { name: "Move Toilet in plan" });
  await toilet.press("Shift+ArrowRight");
  await expect(panel.getByLabel(PLACE.x)).toHaveValue("1460");
  await page.keyboard.press("Control+z");
  await toilet.press("ArrowLeft");
  await expect(panel.getByLabel(PLACE.x)).toHaveValue("1449");
  await panel.getByLabel("You are").selectOption({ label: "No-discharge zone" });
  await expect(panel).toContainText("locked, tied or its handle off");
  await expectAccessible(page);
});

test("Lesesaal: a gravity toilet is added over a black tank and wants its trap of no one; in a grey one it is a must", async ({
  page,
}) => {
  await openWorkbench(page, "Lesesaal");
  await page.keyboard.press("3");
  await page.getByLabel("Holds", { exact: true }).selectOption({ label: "Black water" });
  await page.keyboard.press("Escape");
  await page.keyboard.press("-");
  const heads = page.getByRole("region", { name: "Measures: Heads" });
  await heads.getByLabel("Kind", { exact: true }).first().selectOption({ label: "Gravity toilet over its tank" });
  await heads.getByRole("button", { name: "Fit it with tank and pipes" }).click();
  await expect(page.getByText(/fitted with tank/)).toBeVisible();
  const findings = page.getByRole("region", { name: "Findings" });
  await expect(findings).not.toContainText("Gravity toilet has no drain");
  await page.keyboard.press("3");
  await page.getByLabel("Holds", { exact: true }).selectOption({ label: "Grey water" });
  await expect(findings).toContainText("falls into grey water");
});

test("a boat's hull is begun, pulled by keys, read from offsets with a fault told by its line, and says how she floats", async ({
  page,
}) => {
  await openWorkbench(page, "Otter");
  await page.getByRole("navigation", { name: "Stations" }).getByRole("button", { name: /^Rig/ }).click();
  const hull = page.getByRole("group", { name: "Hull", exact: true });
  await hull.getByRole("button", { name: "Begin with a round bilge" }).click();
  await expect(hull.getByTestId("afloat")).toContainText(/displaces .*kg of sea water/);
  const before = await hull.getByTestId("afloat").textContent();
  const point = hull.getByRole("button", { name: "Move point 3 of the section" });
  await point.press("Shift+ArrowRight");
  await expect(hull.getByTestId("afloat")).not.toHaveText(before!);
  await hull.getByRole("button", { name: "Section before it" }).click();
  await expect(hull.getByLabel("Section", { exact: true })).toHaveValue("2");
  const read = (text: string) =>
    hull
      .getByLabel("Table of offsets as CSV")
      .setInputFiles({ name: "offsets.csv", mimeType: "text/csv", buffer: Buffer.from(text) });
  await read("x,y,z\n0,0,-500\n0,wide,0\n");
  await expect(hull.getByRole("alert")).toContainText("Line 3, column y: “wide” is no number.");
  const box = [0, 2_600, 5_200].flatMap((x) => [`${x},800,-500`, `${x},800,900`]);
  await read(`x,y,z\n${box.join("\n")}\n`);
  // 5.2 m by 1.6 m, 620 mm deep, in sea water
  await expect(hull.getByTestId("afloat")).toContainText(/displaces 5287.kg/);
  await expectAccessible(page);
});

test("Otter, heads: her fittings are tried in the slings", async ({ page }) => {
  await openWorkbench(page, "Otter, heads");
  await page.keyboard.press("0");
  const run = page.getByRole("group", { name: "Run a trial" });
  const proof = page.getByRole("group", { name: "State of proof" });
  await proof.getByRole("button", { name: "Sea intake; not tried" }).press("Enter");
  await expect(run.getByRole("combobox", { name: "Trial" })).toHaveValue("trialLaunch:all");
  await run.getByRole("button", { name: "Held" }).click();
  await expect(proof.getByRole("button", { name: "Sea intake; held" })).toBeVisible();
});

test("Otter: a toilet is fitted whole, with tank, loops and seacocks, nothing to settle; undone as one step; a low tray is pumped up", async ({
  page,
}) => {
  await openWorkbench(page, "Otter");
  await page.keyboard.press("-");
  const heads = page.getByRole("region", { name: "Measures: Heads" });
  const findings = page.getByRole("region", { name: "Findings" });
  await heads.getByLabel("Kind", { exact: true }).first().selectOption({ label: "Hand pump toilet" });
  await heads.getByLabel("Waste goes").selectOption({ label: "tank or sea" });
  await expect(heads).toContainText("locked, tied or its handle off");
  await heads.getByRole("button", { name: "Fit it with tank and pipes" }).click();
  await expect(page.getByText(/fitted with tank, breather and pipes/)).toBeVisible();
  await expect(heads.getByRole("list", { name: "Gear of the heads" })).toContainText("Waste vented loop");
  await expect(findings).not.toContainText("to settle before you drill");
  await expect(page.getByRole("region", { name: "The heads from behind" })).toContainText("Black tank");
  await expectAccessible(page);
  await page.keyboard.press("Control+z");
  await expect(heads.getByRole("list", { name: "Gear of the heads" })).not.toContainText("Waste vented loop");
  // what lies too low is led into a sump, from either station
  await page.keyboard.press("4");
  await page.getByLabel("Add a fixture", { exact: true }).selectOption("showerTray");
  const drawing = page.getByRole("group", { name: "Long section of Shower tray drain" });
  await expect(drawing).toBeVisible();
  await page.getByRole("button", { name: "Pump it overboard" }).click();
  await expect(page.getByText(/Shower tray runs into a sump now/)).toBeVisible();
  await expect(drawing).toContainText("Shower tray sump");
  await expect(findings).not.toContainText("to settle before you drill");
});
