import { expect, expectAccessible, oneRig, openRig, openWorkbench, test } from "./fixtures";

for (const name of oneRig("Kranich")) {
  test(`${name}: a shower that uses its water again is laid out, poured, and one stuck valve is found`, async ({
    page,
  }) => {
    await openRig(page, name);
    await page.keyboard.press("4");
    await page.getByLabel("Add a fixture", { exact: true }).selectOption("showerTray");
    const stations = page.getByRole("navigation", { name: "Stations" });
    await stations.getByRole("button", { name: "Loop" }).click();
    const panel = page.getByRole("region", { name: "Measures: Loop" });
    await panel.getByLabel("Fresh water comes").selectOption({ label: "Parted by one motor valve" });
    await panel.getByRole("button", { name: "Lay out the loop" }).click();
    const findings = page.getByRole("region", { name: "Findings" });
    await expect(findings).toContainText("Loop water can get to Drinking tap");
    const drawing = page.getByTestId("loop-waterway");
    await page.getByLabel("Working state").selectOption({ label: "Shower from the loop" });
    await expect(drawing.getByRole("button", { name: "Loop pump, on" })).toBeVisible();
    await expect(page.getByTestId("stage-line")).toContainText("at the head");
    // a press turns a valve: tried only, until it is kept
    await drawing.getByRole("button", { name: "Motor valve, shut" }).press("Enter");
    await expect(drawing.getByRole("button", { name: "Motor valve, open" })).toBeVisible();
    await page.getByRole("button", { name: "Back", exact: true }).click();
    await expect(drawing.getByRole("button", { name: "Motor valve, shut" })).toBeVisible();
    // one more state begins as the one shown, and is one step back
    await panel.getByLabel("One more state").selectOption({ label: "Dump" });
    await expect(page.getByLabel("Working state", { exact: true })).toHaveValue("dump");
    await expect(drawing.getByRole("button", { name: "Loop pump, on" })).toBeVisible();
    await page.keyboard.press("Control+z");
    // every position is proven in the worker; a way that is pressed is turned on the stage and drawn
    await panel.getByRole("button", { name: "Prove every position" }).click();
    const proof = panel.getByTestId("every-position");
    await expect(proof).toContainText(/Over all \d+ positions/);
    await proof.getByRole("button", { name: /Loop water gets to Drinking tap: .*one turn: Motor valve open/ }).click();
    await expect(page.getByTestId("stage-line")).toContainText("Motor valve open");
    await expect(drawing.getByRole("button", { name: "Motor valve, open" })).toBeVisible();
    await page.getByRole("button", { name: "Clear" }).click();
    await expect(page.getByTestId("stage-line")).toContainText("at the head");
    if (name === "Kranich") await expectAccessible(page);
    // one press parts the waters, and Undo joins them again
    await findings.getByRole("button", { name: /Loop water can get to Drinking tap.*more like it/ }).click();
    await findings.getByRole("button", { name: /In the state .Refill., with Loop pump left on/ }).click();
    // what it is about is taken in hand, with its fields
    await expect(page.getByRole("group", { name: "Drinking tap", exact: true })).toBeVisible();
    await findings.getByRole("button", { name: /^Let the fresh water fall/ }).click();
    await findings.getByRole("button", { name: "Do it" }).click();
    await expect(findings).not.toContainText("Loop water can get to");
    await expect(drawing.getByRole("button", { name: "Air gap", exact: true })).toBeVisible();
    await page.keyboard.press("Control+z");
    await expect(findings).toContainText("Loop water can get to");
    await page.keyboard.press("Control+z");
    await expect(findings).not.toContainText("Loop water can get to");
    // filled through an air gap nothing comes back
    await panel.getByLabel("Fresh water comes").selectOption({ label: "Filled through an air gap" });
    await panel.getByRole("button", { name: "Lay out the loop" }).click();
    await expect(panel).toContainText("Loop water is never drunk");
    await expect(findings).not.toContainText("can get to");
  });
}

test("Kranich: water is laid in one step and heated in one more; a basin set down later gets both from what is there", async ({
  page,
}) => {
  await openWorkbench(page);
  const findings = page.getByRole("region", { name: "Findings" });
  const musts = await findings.getByRole("img", { name: "Must" }).count();
  const stations = page.getByRole("navigation", { name: "Stations" });
  const panel = page.getByRole("region", { name: "Measures: Loop" });
  const lay = panel.getByRole("button", { name: "Lay water to the taps" });
  const heat = panel.getByRole("button", { name: "Fit hot water" });
  await stations.getByRole("button", { name: "Loop" }).click();
  await expect(panel).toContainText(/No tap yet over Kitchen sink\. From the fresh tank/);
  await lay.click();
  await expect(page.getByText("Water is laid to the tap.")).toBeVisible();
  await expect(lay).toBeHidden();
  await expect(panel).toContainText("Fresh water pump");
  // and hot water to a warm tap beside it
  await heat.click();
  await expect(page.getByText(/Hot water comes to a warm tap/)).toBeVisible();
  await expect(heat).toBeHidden();
  await expect(panel).toContainText("Water heater");
  // what comes later is led on from there, with no second pump and no second heater
  await stations.getByRole("button", { name: "Falls" }).click();
  await page.getByLabel("Add a fixture", { exact: true }).selectOption("basin");
  await expect(page.getByRole("group", { name: /^Basin/ })).toBeVisible();
  await stations.getByRole("button", { name: "Loop" }).click();
  await expect(panel).toContainText("No tap yet over Basin. From a tee at the nearest cold tap of Fresh water pump");
  await lay.click();
  await expect(lay).toBeHidden();
  const leadOn = panel.getByRole("button", { name: "Lead hot water on" });
  await expect(panel).toContainText("No warm tap yet over Basin. From a tee at the nearest warm tap of Water heater");
  await leadOn.click();
  await expect(page.getByText(/Hot water comes to one more tap/)).toBeVisible();
  await expect(leadOn).toBeHidden();
  await expect(findings.getByRole("img", { name: "Must" })).toHaveCount(musts);
  await expectAccessible(page);
  await page.keyboard.press("Control+z");
  await expect(leadOn).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(lay).toBeVisible();
});
