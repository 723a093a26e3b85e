import { expect, expectAccessible, findBox, openWorkbench, readInHand, test } from "./fixtures";

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
  const before = await readInHand(page, "worst");
  const handle = page.getByRole("group", { name: /^Long section/ }).getByRole("button", { name: "Move Grey tank" });
  const box = await findBox(handle);
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
  await expect.poll(() => readInHand(page, "worst")).toBeGreaterThan(before);
});

test("stations, fields and remedies have room for a thumb", async ({ page }) => {
  await openWorkbench(page);
  // a station is chosen over its drawing, which comes first, or over its measures
  const stations = page.getByRole("navigation", { name: "Stations" });
  const views = page.getByRole("navigation", { name: "Views" });
  await stations.getByRole("button", { name: "Tanks", exact: true }).tap();
  await expect(views.getByRole("button", { name: "Tank", exact: true })).toHaveAttribute("aria-current", "page");
  await views.getByRole("button", { name: "Measures" }).tap();
  await stations.getByRole("button", { name: "Days", exact: true }).tap();
  const people = page.getByLabel("People", { exact: true });
  expect((await people.boundingBox())!.height).toBeGreaterThanOrEqual(40);
  await people.fill("3");
  await people.press("Enter");
  await expect(page.getByTestId("stay")).toContainText("days");
  // the levels over the days by thumb: the line is put on the day wished
  await views.getByRole("button", { name: "Levels" }).tap();
  const wish = page.getByRole("slider", { name: "Days the stay should last" });
  await wish.scrollIntoViewIfNeeded();
  const box = (await wish.boundingBox())!;
  await page.touchscreen.tap(box.x + box.width / 2 + 120, box.y + 14);
  await expect(page.getByText(/wished/)).toBeVisible();
  await expectAccessible(page);
});

test("a remedy by thumb: shown, done, and seen in the section", async ({ page }) => {
  await openWorkbench(page);
  await page.getByRole("button", { name: /^Designs/ }).tap();
  await page.getByRole("dialog").getByRole("button", { name: "Lesesaal", exact: true }).tap();
  const views = page.getByRole("navigation", { name: "Views" });
  await views.getByRole("button", { name: "Findings" }).tap();
  const findings = page.getByRole("region", { name: "Findings" });
  await findings.getByRole("button", { name: /runs backwards/ }).tap();
  await findings.getByRole("button", { name: /^Hang Grey tank/ }).tap();
  await findings.getByRole("button", { name: "Do it" }).tap();
  await views.getByRole("button", { name: "Section" }).tap();
  await expect(page.getByTestId("verdict")).toContainText("Runs wherever you park");
});

test("on a tall screen the plan stands nose up, and a pull up the screen goes forward", async ({ page }) => {
  await openWorkbench(page);
  await page.getByRole("navigation", { name: "Views" }).getByRole("button", { name: "Plan" }).tap();
  const handle = page.getByRole("group", { name: /nose up$/ }).getByRole("button", { name: "Move Grey tank in plan" });
  const box = await findBox(handle);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 30, { steps: 4 });
  await page.mouse.up();
  const moved = await findBox(handle);
  expect(Math.abs(moved.y - box.y + 30)).toBeLessThan(4);
  expect(Math.abs(moved.x - box.x)).toBeLessThan(4);
});

test("the rig tilts under a finger on the level", async ({ page }) => {
  await openWorkbench(page);
  await page.getByRole("navigation", { name: "Views" }).getByRole("button", { name: "Level" }).tap();
  const field = page.getByRole("slider", { name: "Tilt of the rig" });
  const box = (await field.boundingBox())!;
  await page.touchscreen.tap(box.x + box.width * 0.2, box.y + box.height * 0.5);
  await expect(page.getByTestId("attitude")).toHaveText(/^Nose down/);
});
