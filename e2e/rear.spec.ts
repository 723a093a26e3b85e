import { expect, expectAccessible, oneRig, openRig, PLACE, pull, RIGS, test, toNumber } from "./fixtures";

for (const name of oneRig("Puppenwagen")) {
  test(`${name} from behind: it leans with its roll, and the sink can be set higher by hand`, async ({ page }) => {
    await openRig(page, name);
    await page.keyboard.press("b");
    const rear = page.getByRole("group", { name: `${name} from behind` });
    const tank = rear.getByRole("button", { name: "Move Grey tank from behind" });
    await expect(tank).toBeVisible();
    if (name === "Puppenwagen") await expectAccessible(page);
    await page.keyboard.press("4");
    const height = page.getByRole("group", { name: `${RIGS[name]}, underside` }).getByLabel(PLACE.z);
    const before = toNumber(await height.inputValue());
    await pull(page, rear.getByRole("button", { name: `Move the outlet of ${RIGS[name]} from behind` }), 0, -6);
    await expect.poll(async () => toNumber(await height.inputValue())).toBeGreaterThan(before);
    const grip = tank.locator(".halo");
    const level = await grip.getAttribute("points");
    await page.keyboard.press("Escape");
    await page.getByLabel("Right side low").fill("4");
    await page.getByLabel("Right side low").press("Enter");
    await expect.poll(() => grip.getAttribute("points")).not.toBe(level);
    await page.getByRole("button", { name: "Plan", exact: true }).click();
    await expect(page.getByRole("group", { name: new RegExp(`^Plan of ${name}`) })).toBeVisible();
  });
}
