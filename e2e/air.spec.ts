import { expect, expectAccessible, oneRig, openRig, openWorkbench, test } from "./fixtures";

for (const name of oneRig("Kranich")) {
  test(`${name}: a second tank is hung and vented, its breather joins the first by a tee; never fresh with waste`, async ({
    page,
  }) => {
    await openRig(page, name);
    if (name === "Puppenwagen") {
      // its grey tank has no breather yet
      await page.keyboard.press("5");
      await page.getByRole("button", { name: "Breather for Grey tank" }).click();
    }
    await page.keyboard.press("3");
    // it comes with its breather
    await page.getByRole("button", { name: "Black tank", exact: true }).click();
    // what is changed while a place is looked for does not lose the press
    const field = page.getByRole("group", { name: "How it stands while it is dumped" }).getByLabel("Nose down");
    await field.fill("0.5");
    // what is typed is taken as the field is left
    await field.blur();
    await expect(page.getByRole("group", { name: "Black tank" }).first()).toBeVisible();
    await page.keyboard.press("5");
    const breather = page.getByRole("group", { name: "Breather of Black tank" });
    await breather.getByLabel("Ends").selectOption({ label: "In Breather, by a tee" });
    const air = page.getByRole("region", { name: "Measures: Air" });
    await expect(air).toContainText("through the breather they share");
    if (name === "Kranich") await expectAccessible(page);
    // the same tank for drinking water must not share it, and the remedy parts them
    await page.keyboard.press("3");
    await page.getByRole("group", { name: "Black tank" }).getByLabel("Holds").selectOption({ label: "Fresh water" });
    const findings = page.getByRole("region", { name: "Findings" });
    await findings.getByRole("button", { name: /shares its air with/ }).click();
    await findings.getByRole("button", { name: "Take this breather to the open air by itself" }).click();
    await findings.getByRole("button", { name: "Do it" }).click();
    await expect(findings).not.toContainText("shares its air with");
  });
}

test("the mesh costs air: without it the tank is under less suction", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("5");
  const suction = page
    .getByRole("region", { name: "Measures: Air" })
    .getByRole("button", { name: /^Suction while dumping/ });
  const before = Number.parseFloat((await suction.textContent())!);
  await page.getByRole("group", { name: "Breather", exact: true }).getByLabel("Mesh on the end").uncheck();
  await expect.poll(async () => Number.parseFloat((await suction.textContent())!)).toBeLessThan(before);
});

test("a breather that others join can be taken out: they end in the open air then", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("5");
  await page.getByRole("button", { name: "Breather for Grey tank" }).click();
  const second = page.getByRole("group", { name: "Breather", exact: true }).nth(1);
  await second.getByLabel("Ends").selectOption({ label: "In Breather, by a tee" });
  await expect(second.getByLabel("Ends")).toHaveValue("grey-vent");
  await page.getByRole("button", { name: "Take Breather out" }).first().click();
  await expect(page.getByRole("group", { name: "Breather", exact: true })).toHaveCount(1);
  await expect(page.getByLabel("Ends")).toHaveValue("open air");
});

test("Lesesaal, heads: what is said of the second breather puts it on the stage, with its fields first", async ({
  page,
}) => {
  await openWorkbench(page, "Lesesaal, heads");
  await page.keyboard.press("5");
  const shown = page.getByLabel("Breather shown");
  await expect(shown.locator("option")).toHaveCount(2);
  const [first, second] = await shown.locator("option").allInnerTexts();
  await expect(shown.locator("option:checked")).toHaveText(first!);
  const bore = page.getByRole("region", { name: "Measures: Air" }).getByLabel("Bore", { exact: true });
  await bore.nth(1).fill("6");
  await bore.nth(1).press("Enter");
  await page
    .getByRole("region", { name: "Findings" })
    .getByRole("button", { name: new RegExp(`${second} is (too )?narrow`) })
    .first()
    .click();
  await expect(shown.locator("option:checked")).toHaveText(second!);
  await expect(bore.first()).toHaveValue("6");
});
