import { expect, expectAccessible, oneRig, openRig, PLACE, readInHand, test } from "./fixtures";

for (const name of oneRig("Puppenwagen")) {
  test(`${name}: a variant beside its original: figures, maps, where they differ, a part taken over and the way back`, async ({
    page,
  }) => {
    await openRig(page, name);
    const original = await readInHand(page, "level");
    await page.keyboard.press("Control+o");
    await page.getByRole("button", { name: `Duplicate ${name}` }).click();
    await page.keyboard.press("Escape");
    await expect(page.getByRole("button", { name: `Designs; ${name} copy is open` })).toBeVisible();
    await page.keyboard.press("3");
    const height = page
      .getByRole("group", { name: /^Place of its/ })
      .first()
      .getByLabel(PLACE.z);
    await height.fill(String(Number((await height.inputValue()).replace("\u2212", "-")) + 60));
    await height.press("Enter");
    await height.blur();
    await page.keyboard.press("4");
    await expect.poll(() => readInHand(page, "level")).not.toBe(original);
    const changed = await readInHand(page, "level");
    expect(changed).not.toBe(original);
    await page.keyboard.press("c");
    const sheet = page.getByRole("dialog", { name: "Compare" });
    await sheet.getByLabel("The other design").selectOption({ label: name });
    const row = sheet.getByRole("row", { name: /Sink drain, in hand level/ });
    await expect(row).toContainText(String(original).replace("-", "\u2212"));
    await expect(row).toContainText(String(changed).replace("-", "\u2212"));
    await expect(sheet.getByText("Grey tank is different: place")).toBeVisible();
    // what is alike is folded away until it is asked for
    await expect(sheet.getByRole("row", { name: /Pumps, filters, valves/ })).toHaveCount(0);
    await sheet.getByRole("button", { name: /the same: show$/ }).click();
    await expect(sheet.getByRole("row", { name: /Pumps, filters, valves/ })).toBeVisible();
    if (name === "Puppenwagen") await expectAccessible(page);
    await sheet
      .getByRole("listitem")
      .filter({ hasText: "Grey tank" })
      .getByRole("button", { name: "Copy it here" })
      .click();
    await expect(sheet.getByText(/^Nowhere: rig, parts, gear/)).toBeVisible();
    await page.keyboard.press("Escape");
    await expect.poll(() => readInHand(page, "level")).toBe(original);
    await page.keyboard.press("Control+z");
    await expect.poll(() => readInHand(page, "level")).toBe(changed);
  });
}

test("with one design there is nothing to compare: a copy to change is one press away", async ({ page }) => {
  await openRig(page, "Kranich");
  await page.keyboard.press("c");
  await page.getByRole("dialog", { name: "Compare" }).getByRole("button", { name: "Duplicate Kranich" }).click();
  await expect(page.getByRole("button", { name: "Designs; Kranich copy is open" })).toBeVisible();
  await page.keyboard.press("c");
  await expect(page.getByRole("dialog").getByLabel("The other design")).toHaveText("Kranich");
});
