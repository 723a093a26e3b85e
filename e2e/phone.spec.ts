import { expect, expectAccessible, openWorkbench, readInHand, test } from "./fixtures";

test("one thing at a time under the rig: each view by thumb, nothing wider than the screen", async ({ page }) => {
  await openWorkbench(page);
  for (const name of ["Section", "Plan", "Level", "Findings", "Measures"]) {
    await page.getByRole("navigation", { name: "Views" }).getByRole("button", { name }).tap();
    await expect(page.locator("body")).not.toContainText(/NaN|undefined/);
    const width = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(width).toBeLessThanOrEqual(390);
    await expectAccessible(page);
  }
});

test("a bend follows the finger", async ({ page }) => {
  await openWorkbench(page);
  const before = await readInHand(page, "Worst");
  const handle = page.getByRole("group", { name: /^Long section/ }).getByRole("button", { name: "Move Grey tank" });
  const box = (await handle.locator(".halo").boundingBox())!;
  const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const client = await page.context().newCDPSession(page);
  const touch = (type: "touchStart" | "touchMove" | "touchEnd", dy: number) =>
    client.send("Input.dispatchTouchEvent", {
      type,
      touchPoints: type === "touchEnd" ? [] : [{ x: at.x, y: at.y + dy }],
    });
  await touch("touchStart", 0);
  for (const dy of [2, 4, 6, 8]) await touch("touchMove", dy);
  await touch("touchEnd", 8);
  await expect.poll(() => readInHand(page, "Worst")).toBeGreaterThan(before);
});

test("stations, fields and remedies have room for a thumb", async ({ page }) => {
  await openWorkbench(page);
  await page.getByRole("navigation", { name: "Views" }).getByRole("button", { name: "Measures" }).tap();
  await page.getByRole("button", { name: "Habits", exact: true }).tap();
  const people = page.getByLabel("People");
  expect((await people.boundingBox())!.height).toBeGreaterThanOrEqual(40);
  await people.fill("3");
  await people.press("Enter");
  await expect(page.getByTestId("stay")).toContainText("days");
});
