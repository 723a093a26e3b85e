import { expect, openSample, openWorkbench, test } from "./fixtures";

test.use({ keepsOffline: true });

test("after the first load the whole application works without a network", async ({ page, context }) => {
  await openWorkbench(page);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  await context.setOffline(true);
  await page.reload();
  await expect(page.locator('[data-phase="ready"]')).toBeVisible();
  await openSample(page, "Lesesaal, furnished");
  await openSample(page, "Lesesaal");
  await expect(page.getByTestId("map-status")).toHaveAttribute("data-status", "ready");
  await page.keyboard.press("w");
  await expect(page.getByTestId("attitude")).not.toHaveText("Standing level");
  expect(await page.evaluate(async () => (await fetch("/manifest.webmanifest")).ok)).toBe(true);
  for (const address of ["/?from=a-link", "/no/such/page"]) {
    await page.goto(address);
    await expect(page.locator('[data-phase="ready"]')).toBeVisible();
  }
  await context.setOffline(false);
});

test("the page says what it may load, and can be installed", async ({ page, request }) => {
  const answer = await request.get("/");
  const policy = answer.headers()["content-security-policy"]!;
  expect(policy).toContain("default-src 'self'");
  expect(policy).not.toMatch(/script-src[^;]*unsafe-(inline|eval)/);
  await openWorkbench(page);
  const manifest = await (await request.get("/manifest.webmanifest")).json();
  expect(manifest.display).toBe("standalone");
  for (const icon of manifest.icons) expect((await request.get(icon.src)).ok()).toBe(true);
});
