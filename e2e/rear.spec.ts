import { expect, expectAccessible, openWorkbench, pull, readInHand, test } from "./fixtures";

test("from behind: the rig leans with its roll, and the sink can be set higher by hand", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("b");
  const rear = page.getByRole("group", { name: "Kranich from behind" });
  const tank = rear.getByRole("button", { name: "Move Grey tank from behind" });
  await expect(tank).toBeVisible();
  await expectAccessible(page);
  const before = await readInHand(page, "level");
  await pull(page, rear.getByRole("button", { name: "Move the outlet of Kitchen sink from behind" }), 0, -6);
  await expect.poll(() => readInHand(page, "level")).toBeGreaterThan(before);
  const level = await tank.getAttribute("transform");
  await page.keyboard.press("Escape");
  await page.getByLabel("Right side low").fill("4");
  await page.getByLabel("Right side low").press("Enter");
  await expect.poll(() => tank.getAttribute("transform")).not.toBe(level);
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await expect(page.getByRole("group", { name: /^Plan of Kranich/ })).toBeVisible();
});
