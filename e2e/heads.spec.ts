import { expect, expectAccessible, openSample, openWorkbench, test } from "./fixtures";

test("Otter, heads: the loop that stands too low is seen as she heels; hoses, sump and stability are told", async ({
  page,
}) => {
  await openWorkbench(page);
  await openSample(page, "Otter, heads");
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
  await panel.getByLabel("You are").selectOption({ label: "No-discharge zone" });
  await expect(panel).toContainText("locked, tied or its handle off");
  await expectAccessible(page);
});

test("Lesesaal: a gravity toilet is added over a black tank and wants its trap of no one; in a grey one it is a must", async ({
  page,
}) => {
  await openWorkbench(page);
  await openSample(page, "Lesesaal");
  await page.keyboard.press("3");
  await page.getByLabel("Holds", { exact: true }).selectOption({ label: "Black water" });
  await page.keyboard.press("Escape");
  await page.keyboard.press("-");
  await page.getByLabel("Add to the heads").selectOption({ label: "Gravity toilet" });
  const findings = page.getByRole("region", { name: "Findings" });
  await expect(findings).not.toContainText("Gravity toilet has no drain");
  await page.keyboard.press("3");
  await page.getByLabel("Holds", { exact: true }).selectOption({ label: "Grey water" });
  await expect(findings).toContainText("falls into a grey tank");
});
