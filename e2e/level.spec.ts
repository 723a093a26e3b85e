import { expect, expectAccessible, oneRig, openRig, openWorkbench, pull, readInHand, section, test } from "./fixtures";

test("tilting with the keys: worst, level, and by the bubble", async ({ page }) => {
  await openWorkbench(page, "Lesesaal");
  const attitude = page.getByTestId("attitude");
  await page.keyboard.press("w");
  await expect(attitude).toHaveText("Nose down 3°, left low 2°");
  expect(await readInHand(page, "here")).toBe(await readInHand(page, "worst"));
  await page.keyboard.press("l");
  await expect(attitude).toHaveText("Standing level");
  await page.keyboard.press("t");
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("ArrowLeft");
  await expect(attitude).toHaveText("Nose down 0.4°");
  await page.keyboard.press("Shift+ArrowDown");
  await expect(attitude).toHaveText("Nose down 0.4°, left low 1°");
  await page.getByLabel("Nose down").fill("2.5");
  await page.getByLabel("Nose down").press("Enter");
  await expect(attitude).toHaveText("Nose down 2.5°, left low 1°");
});

test("the usual standing places are one key or one click away", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("s");
  await expect(page.getByTestId("attitude")).toHaveText("Nose down 2.5°, left low 1°");
  await page.getByRole("button", { name: "Dyke lay-by" }).click();
  await expect(page.getByTestId("attitude")).toHaveText("Nose up 1°, right low 2°");
});

test("at a bad standing the level says what to put under which wheel, and that much is enough", async ({ page }) => {
  await openWorkbench(page, "Lesesaal");
  await expect(page.getByTestId("ramps")).toHaveCount(0);
  await page.keyboard.press("w");
  const ramps = page.getByTestId("ramps");
  await expect(ramps).toContainText(/To run: \d+\u00a0mm under the front left wheel/);
  await expect(ramps).toContainText(/To stand level: \d+\u00a0mm under the front left wheel/);
  await page.keyboard.press("l");
  await expect(ramps).toHaveCount(0);
});

test("the bubble floats to the high side when it is pulled", async ({ page }) => {
  await openWorkbench(page);
  const field = page.getByRole("slider", { name: "Tilt of the rig" });
  const box = (await field.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.75, box.y + box.height * 0.5, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByTestId("attitude")).toHaveText(/^Nose up/);
});

for (const name of oneRig("Puppenwagen")) {
  test(`${name}: stood badly, it says what to put under which wheel to stand level`, async ({ page }) => {
    await openRig(page, name);
    await page.getByLabel("Right side low").fill("5");
    await page.getByLabel("Right side low").press("Enter");
    await expect(page.getByTestId("ramps")).toContainText(/To stand level: \d+\u00a0mm under the/);
  });

  test(`${name}: the standing map comes from the worker, and is shown large with where the rig may park`, async ({
    page,
  }) => {
    await openRig(page, name);
    const status = page.getByTestId("map-status");
    await expect(status).toHaveAttribute("data-status", "ready");
    await expect(status).toContainText("Runs");
    await page.keyboard.press("m");
    await expect(page.getByRole("dialog")).toContainText("Where the rig may park");
    if (name === "Puppenwagen") await expectAccessible(page);
  });
}

test("water lies in trap, pipe and tank as the rig stands, and the tank can be filled", async ({ page }) => {
  await openWorkbench(page, "Lesesaal");
  const water = section(page).getByTestId("standing-water");
  const level = await water.count();
  await page.keyboard.press("w");
  await expect(water).not.toHaveCount(level);
  const tank = section(page).getByRole("slider", { name: "Water in the tank" });
  await tank.focus();
  await page.keyboard.press("End");
  await expect(tank).toHaveAttribute("aria-valuenow", "100");
  await pull(page, tank, 0, 30);
  await expect(tank).not.toHaveAttribute("aria-valuenow", "100");
});
