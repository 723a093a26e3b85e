import { expect, expectAccessible, oneRig, openRig, openWorkbench, RIGS, section, test } from "./fixtures";

for (const name of oneRig("Kranich")) {
  test(`${name}: the sink is let go: the water runs, can be stopped in time, and what came of it is said`, async ({
    page,
  }) => {
    await openRig(page, name);
    await page.getByRole("button", { name: "Pour", exact: true }).click();
    const bar = page.getByRole("region", { name: "Water in motion" });
    await expect(bar.getByTestId("pour-says")).toContainText(new RegExp(`${RIGS[name]} is empty after \\d+ s`));
    await expect(section(page).getByTestId("pour-water").locator("path")).not.toHaveCount(0);
    await bar.getByRole("button", { name: "Pause" }).click();
    const time = bar.getByRole("slider", { name: "Time" });
    await time.focus();
    await page.keyboard.press("Home");
    await expect(bar.getByTestId("pour-now")).toContainText("0 s · 0 L in the tank");
    await page.keyboard.press("End");
    await expect(bar.getByTestId("pour-now")).toContainText(`${name === "Puppenwagen" ? "6.0" : "8.0"} L in the tank`);
    if (name === "Kranich") await expectAccessible(page);
    await bar.getByRole("button", { name: "Close the pour" }).click();
    await expect(bar).toBeHidden();
    await page.keyboard.press("p");
    await expect(bar).toBeVisible();
  });
}

test("a hose too narrow for it is seen to fill the sink; a shower beside it can be poured with it", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("4");
  await page.getByLabel("Add a fixture").selectOption("showerTray");
  // it is laid, and then it is what is shown
  await expect(page.getByRole("group", { name: "Shower tray, underside of the waste" })).toBeVisible();
  await page.getByRole("button", { name: "Pour", exact: true }).click();
  const bar = page.getByRole("region", { name: "Water in motion" });
  await expect(bar.getByTestId("pour-says")).toContainText("Shower tray");
  await bar.getByLabel("What is poured").selectOption({ label: "All of them at once" });
  await expect(bar.getByTestId("pour-says")).toContainText(/Kitchen sink is empty/);
  await page.getByRole("button", { name: "Kitchen sink", exact: true }).click();
  await page.getByRole("group", { name: "Kitchen sink, underside" }).getByLabel("One use").fill("60");
  await page.keyboard.press("Enter");
  await expect(bar.getByTestId("pour-says")).toContainText("Kitchen sink runs over its rim.");
});
