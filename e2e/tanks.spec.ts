import { expect, expectAccessible, openSample, openWorkbench, test } from "./fixtures";

const litresOf = (text: string | null) => Number.parseFloat(text ?? "");

test("a tank changes its shape in the room it takes: round lying, standing, profile corner by corner", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("3");
  const tank = page.getByRole("group", { name: "Grey tank", exact: true });
  const whole = page.getByRole("button", { name: /^The whole tank/ });
  const box = litresOf(await whole.textContent());
  await tank.getByLabel("Shape").selectOption({ label: "Round, lying along" });
  await expect(tank.getByLabel("Inside, diameter")).toHaveValue("190");
  // π d²/4 of 190 mm over 800 mm
  await expect.poll(async () => litresOf(await whole.textContent())).toBeCloseTo(22.7, 1);
  await tank.getByLabel("Shape").selectOption({ label: "Profile, by its corners" });
  await tank.getByRole("button", { name: "A corner after corner 2" }).click();
  await expect(tank.getByLabel("Corner 5, across")).toBeVisible();
  await tank.getByRole("button", { name: "Take corner 3 out" }).click();
  await expect(tank.getByLabel("Corner 5, across")).toBeHidden();
  await tank.getByLabel("Shape").selectOption({ label: "Box" });
  expect(litresOf(await whole.textContent())).toBeLessThan(box);
});

test("dip chart, gauge, running empty and a cold night: each tells what is true of the tank", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("3");
  const dips = page.getByRole("group", { name: "Dip stick, in its middle" });
  // 190 mm of inside in ten steps: half of it is 34.2 L of 68.4
  await expect(dips.getByRole("row", { name: /^95 34.2 34.2/ })).toBeVisible();
  await page.keyboard.press("w");
  await expect(dips).toContainText("as it stands: nose down 3°");
  const gauge = page.getByRole("group", { name: "Gauge" });
  await gauge.getByLabel("Kind").selectOption({ label: "Float on an arm" });
  await gauge.getByLabel("From the tank's rear").fill("20");
  await page.keyboard.press("Enter");
  const error = gauge.getByTestId("gauge-error");
  const before = await error.textContent();
  await gauge.getByRole("button", { name: "Put it where it is least out" }).click();
  await expect(gauge.getByLabel("From the tank's rear")).toHaveValue("400");
  await expect(error).not.toHaveText(before!);
  await expect(page.getByRole("group", { name: "Running empty" })).toContainText(/From full it runs/);
  await expect(page.getByRole("img", { name: /^Starts with/ })).toBeVisible();
  const night = page.getByTestId("cold-night");
  const bare = await night.textContent();
  const lagging = page.getByRole("group", { name: "Grey tank", exact: true }).getByLabel("Lagged with foam of");
  await lagging.fill("30");
  await lagging.press("Enter");
  await expect(night).not.toHaveText(bare!);
  await expectAccessible(page);
});

test("the tanks weigh on axles and sides; an axle that may not carry it is a must", async ({ page }) => {
  await openWorkbench(page);
  await openSample(page, "Lesesaal");
  await page.keyboard.press("3");
  await expect(page.getByRole("table", { name: "Weight on the axles" })).toContainText("Rear axle");
  await page.keyboard.press("1");
  const carry = page.getByLabel("may still carry").first();
  await carry.fill("40");
  await carry.press("Enter");
  await expect(page.getByRole("region", { name: "Findings" })).toContainText("Rear axle carries too much");
});

test("the fixing is held against road, track and crash; what has no rating is told of", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("3");
  const fixing = page.getByRole("group", { name: "Fixing" });
  await fixing.getByLabel("Held by").selectOption({ label: "Straps and J-bolts" });
  const findings = page.getByRole("region", { name: "Findings" });
  await expect(findings).toContainText("has no rating");
  await fixing.getByLabel("What each sits in bears").fill("2");
  await page.keyboard.press("Enter");
  await expect(findings).toContainText("does not hold");
  await expect(fixing.getByRole("row", { name: /^A crash forward/ })).toContainText("of what they sit in");
  await fixing.getByLabel("Bolts, class 8.8").fill("12");
  await page.keyboard.press("Enter");
  await fixing.getByLabel("What each sits in bears").fill("10");
  await page.keyboard.press("Enter");
  await expect(findings).not.toContainText("does not hold");
});

test("the largest tank that fits a bare rig is looked for, drawn, hung and undone", async ({ page }) => {
  await openWorkbench(page);
  await openSample(page, "Lesesaal, bare");
  await page.keyboard.press("3");
  const largest = page.getByTestId("largest");
  await largest.getByRole("button", { name: "Find the largest that fits" }).click();
  const first = largest.getByRole("listitem").first();
  await expect(first).toContainText(/L, \d+ × \d+ × \d+.mm inside/);
  await first.getByRole("button").first().click();
  await largest.getByRole("button", { name: "Hang it there" }).click();
  await expect(page.getByRole("group", { name: "Grey tank", exact: true })).toBeVisible();
  await expect(page.getByRole("region", { name: "Findings" })).not.toContainText("runs into");
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("group", { name: "Grey tank", exact: true })).toBeHidden();
});
