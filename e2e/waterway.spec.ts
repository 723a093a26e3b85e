import { expect, expectAccessible, openWorkbench, TWO_SAMPLES, test } from "./fixtures";

for (const name of TWO_SAMPLES) {
  test(`${name}: the Waterway shows the whole rig, and a press on a part opens its station`, async ({ page }) => {
    await openWorkbench(page, name);
    const tank = name === "Otter" ? "Bilge tank" : "Grey tank";
    await page.keyboard.press("y");
    const sheet = page.getByRole("dialog", { name: "Waterway" });
    const drawing = sheet.getByRole("group", { name: /^Waterway/ });
    await expect(drawing.getByRole("button", { name: new RegExp(`^${tank}, `) })).toBeVisible();
    await expect(drawing.getByRole("button", { name: new RegExp(`to ${tank}`) }).first()).toBeVisible();
    if (name === "Lesesaal") await expectAccessible(page);
    await drawing.getByRole("button", { name: new RegExp(`^${tank}, `) }).press("Enter");
    await expect(sheet).toBeHidden();
    await expect(page.getByRole("region", { name: "The tank" })).toContainText("it takes");
  });
}

test("sums: one is looked for, worked with any unit, and solved backwards", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("f");
  const sheet = page.getByRole("dialog", { name: "Sums" });
  await sheet.getByLabel("Search the sums").fill("trap air longest");
  await sheet.getByRole("button", { name: "Longest pipe from a trap to its air" }).click();
  await sheet.getByLabel("D, bore").fill("1.5 in");
  await sheet.getByLabel("D, bore").press("Enter");
  await sheet.getByLabel("S, slope").fill("0.25 in/ft");
  await sheet.getByLabel("S, slope").press("Enter");
  // IPC table 909.1, from memory: 6 ft
  await expect(sheet.getByTestId("sum-result")).toContainText(/1829\smm/);
  await sheet.getByLabel("Wanted Lmax").fill("2000");
  await sheet.getByLabel("Wanted Lmax").press("Enter");
  await expect(sheet.getByText("alone would have to be").first()).toBeVisible();
  await expectAccessible(page);
});

test("a working lets other values be tried without touching the design", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("5");
  const air = page.getByRole("region", { name: "Measures: Air" });
  await air.getByRole("button", { name: /^Suction while dumping/ }).click();
  const slip = page.getByRole("dialog");
  await slip.getByRole("button", { name: "Try other values" }).click();
  const before = await slip.getByTestId("sum-result").innerText();
  await slip.getByLabel("d, bore of the breather").fill("9.5");
  await slip.getByLabel("d, bore of the breather").press("Enter");
  await expect(slip.getByTestId("sum-result")).not.toHaveText(before);
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "Undo", exact: true })).toBeDisabled();
});
