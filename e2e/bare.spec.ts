import { expect, openSample, openWorkbench, readInHand, test } from "./fixtures";

// From the empty rig to a drain side that runs, without a coordinate that is not known: tank, fixtures and ways are
// placed and found; the hand picks, drags and decides.
const SECOND = {
  Lesesaal: ["basin", "Basin"],
  Kranich: ["showerTray", "Shower tray"],
  Puppenwagen: ["basin", "Basin"],
} as const;

for (const name of ["Lesesaal", "Kranich", "Puppenwagen"] as const) {
  test(`${name}, bare: tank, breather, two fixtures and their ways, and nothing left to settle`, async ({ page }) => {
    await openWorkbench(page);
    await openSample(page, `${name}, bare`);
    await page.keyboard.press("3");
    await page.getByRole("button", { name: "Grey tank", exact: true }).click();
    const findings = page.getByRole("region", { name: "Findings" });
    await findings.getByRole("button", { name: /has no breather/ }).click();
    await findings.getByRole("button", { name: /^Fit a breather/ }).click();
    await findings.getByRole("button", { name: "Do it" }).click();
    await page.keyboard.press("4");
    for (const [kind, called] of [["kitchenSink", "Kitchen sink"], SECOND[name]] as const) {
      await page.getByLabel("Add a fixture").selectOption(kind);
      await expect(page.getByRole("group", { name: new RegExp(`^${called}`) })).toBeVisible();
      await page.getByRole("button", { name: "Find ways under the floor" }).click();
      const ways = page.getByTestId("routes");
      await ways.getByRole("listitem").first().getByRole("button").first().click();
      await ways.getByRole("button", { name: "Lay it so" }).click();
      await expect.poll(() => readInHand(page, "worst")).toBeGreaterThanOrEqual(0);
    }
    await expect(findings).not.toContainText("to settle before you drill");
    await expect(page.getByRole("group", { name: "Parts" })).toContainText("Waste pipe");
  });
}
