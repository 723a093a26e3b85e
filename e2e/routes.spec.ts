import { expect, layBestWay, oneRig, openRig, openWorkbench, readInHand, test } from "./fixtures";

test("Lesesaal: ways are looked for in the worker; what lacks is said, drawn, laid and undone", async ({ page }) => {
  await openWorkbench(page, "Lesesaal");
  await page.keyboard.press("4");
  const before = await readInHand(page, "worst");
  expect(before).toBeLessThan(0);
  await page.getByRole("button", { name: "Find ways under the floor" }).click();
  const ways = page.getByTestId("routes");
  await expect(ways).toContainText(/the best lacks \d+\smm/);
  await ways.getByRole("button", { name: /^Hang Grey tank \d+\smm lower/ }).click();
  await expect(page.getByTestId("ghost")).toBeVisible();
  await ways.getByRole("button", { name: "Use this route" }).click();
  await expect.poll(() => readInHand(page, "worst")).toBeGreaterThanOrEqual(0);
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect.poll(() => readInHand(page, "worst")).toBe(before);
});

test("Kranich: a drain that runs is left alone and that is said", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("4");
  await page.getByRole("button", { name: "Find ways under the floor" }).click();
  await expect(page.getByTestId("routes")).toContainText("It runs as it is laid");
  await expect(page.getByTestId("routes").getByRole("listitem")).toHaveCount(0);
});

for (const name of oneRig("Puppenwagen")) {
  test(`${name}: a new basin's drain is laid by the finder without a coordinate typed`, async ({ page }) => {
    await openRig(page, name);
    await page.keyboard.press("4");
    await page.getByLabel("Add a fixture", { exact: true }).selectOption("basin");
    await expect(page.getByRole("group", { name: /^Basin/ })).toBeVisible();
    await layBestWay(page);
    await expect.poll(() => readInHand(page, "worst")).toBeGreaterThanOrEqual(0);
    await expect.poll(() => readInHand(page, "level")).toBeGreaterThanOrEqual(0);
  });
}
