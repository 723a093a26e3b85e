import { expect, expectAccessible, openWorkbench, readInHand, test } from "./fixtures";

test("a variant beside its original: figures, maps, where they differ, a part taken over and the way back", async ({
  page,
}) => {
  await openWorkbench(page);
  const original = await readInHand(page, "level");
  await page.keyboard.press("Control+o");
  await page.getByRole("button", { name: "Duplicate Kranich" }).click();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "Designs; Kranich copy is open" })).toBeVisible();
  await page.keyboard.press("4");
  const height = page.getByRole("group", { name: "Kitchen sink, underside" }).getByLabel("Over the floor");
  await height.fill("640");
  await height.press("Enter");
  const changed = await readInHand(page, "level");
  expect(changed).not.toBe(original);
  await height.blur();
  await page.keyboard.press("c");
  const sheet = page.getByRole("dialog", { name: "Compare" });
  await sheet.getByLabel("The other design").selectOption({ label: "Kranich" });
  const row = sheet.getByRole("row", { name: /Sink drain, in hand level/ });
  await expect(row).toContainText(String(original));
  await expect(row).toContainText(String(changed));
  await expect(sheet.getByText("Kitchen sink is different")).toBeVisible();
  await expectAccessible(page);
  await sheet
    .getByRole("listitem")
    .filter({ hasText: "Kitchen sink" })
    .getByRole("button", { name: "Take it over" })
    .click();
  await expect(sheet.getByText("In no part.")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect.poll(() => readInHand(page, "level")).toBe(original);
  await page.keyboard.press("Control+z");
  await expect.poll(() => readInHand(page, "level")).toBe(changed);
});
