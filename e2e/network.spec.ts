import { expect, oneRig, openRig, openWorkbench, PLACE, plan, pull, RIGS, readInHand, section, test } from "./fixtures";

for (const name of oneRig("Kranich")) {
  test(`${name}: a basin joins the sink's drain: one line to the tank, seen from both, and undone`, async ({
    page,
  }) => {
    await openRig(page, name);
    await page.keyboard.press("4");
    await page.getByLabel("Add a fixture").selectOption("basin");
    await expect(section(page)).toHaveAccessibleName("Long section of Basin drain");
    const alone = await page.getByRole("button", { name: /^Leg \d, level/ }).count();
    await page.getByLabel("Ends in").selectOption({ label: "Sink drain" });
    await expect(page.getByLabel("Joins by a")).toHaveValue("wye");
    await expect(page.getByRole("button", { name: /^Leg \d, level/ })).toHaveCount(alone + 1);

    await page
      .getByRole("group", { name: "Fixtures" })
      .getByRole("button", { name: new RegExp(`^${RIGS[name]}`) })
      .click();
    await expect(section(page).getByText("Basin drain")).toBeVisible();

    // the junction is a bend of the sink's drain: pulling it moves both
    const before = await readInHand(page, "level");
    await page
      .getByRole("button", { name: /^Basin/ })
      .first()
      .click();
    const branch = await readInHand(page, "level");
    await pull(page, plan(page).getByRole("button", { name: /^Move Sink drain, bend 3/ }), 24, 0);
    await expect.poll(() => readInHand(page, "level")).not.toBe(branch);
    await page.keyboard.press("Control+z");
    await expect.poll(() => readInHand(page, "level")).toBe(branch);
    await page.keyboard.press("Control+z");
    await expect(page.getByLabel("Joins by a")).toBeHidden();
    expect(before).toBeGreaterThan(0);
  });
}

test("a tee into a lying pipe is found, and a wye is one tap away", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("4");
  await page.getByLabel("Add a fixture").selectOption("basin");
  await expect(section(page)).toHaveAccessibleName("Long section of Basin drain");
  // ahead of the sink, so that it comes in the way the water runs: the fixture first, then the bends under it
  for (const bend of [null, "Bend 1", "Bend 2"]) {
    if (bend) await page.getByRole("button", { name: new RegExp(`^${bend}`) }).click();
    for (const [label, value] of [
      [PLACE.x, bend ? "2650" : "2700"],
      [PLACE.y, "300"],
    ] as const) {
      const field = page.getByLabel(label).last();
      await field.fill(value);
      await field.press("Enter");
    }
  }
  await page.getByLabel("Ends in").selectOption({ label: "Sink drain" });
  await page.getByLabel("Joins by a").selectOption("tee");
  const findings = page.getByRole("region", { name: "Findings" });
  await findings.getByRole("button", { name: /joins a lying pipe by a tee/ }).click();
  await findings.getByRole("button", { name: "Use a wye instead of the tee" }).click();
  await findings.getByRole("button", { name: "Do it" }).click();
  await expect(page.getByLabel("Joins by a")).toHaveValue("wye");
  await expect(findings.getByText(/joins a lying pipe by a tee/)).toBeHidden();
});

test("the sink taken out, the basin keeps its way to the tank", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("4");
  await page.getByLabel("Add a fixture").selectOption("basin");
  await expect(section(page)).toHaveAccessibleName("Long section of Basin drain");
  await page.getByLabel("Ends in").selectOption({ label: "Sink drain" });
  await page.getByRole("button", { name: "Kitchen sink", exact: true }).click();
  await page.getByRole("button", { name: "Take Kitchen sink out" }).click();
  await expect(section(page)).toHaveAccessibleName("Long section of Basin drain");
  await expect(page.getByLabel("Joins by a")).toBeHidden();
  await expect(page.getByTestId("verdict")).not.toBeEmpty();
});

test("an inlet that is taken says so; led there all the same it is a must, and one press cuts a hole of its own", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("4");
  await page.getByLabel("Add a fixture").selectOption("basin");
  await expect(section(page)).toHaveAccessibleName("Long section of Basin drain");
  const ends = page.getByLabel("Ends in");
  const taken = await ends.locator("option", { hasText: "Sink drain sits there" }).getAttribute("value");
  await ends.selectOption(taken!);
  const findings = page.getByRole("region", { name: "Findings" });
  await findings.getByRole("button", { name: /Sink drain and Basin drain sit on one fitting/ }).click();
  await findings.getByRole("button", { name: "Cut a hole of its own for Basin drain" }).click();
  await findings.getByRole("button", { name: "Do it" }).click();
  await expect(findings.getByText(/sit on one fitting/)).toBeHidden();
  await page.keyboard.press("4");
  expect(await ends.inputValue()).not.toBe(taken);
});
