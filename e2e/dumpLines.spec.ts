import { expect, expectAccessible, openWorkbench, PLACE, test } from "./fixtures";

test("Kranich: a dump line goes to the side, is shut, climbs when its end is lifted, falls again, is built and comes out", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("3");
  const findings = page.getByRole("region", { name: "Findings" });
  await page.getByLabel("Dump valve", { exact: true }).selectOption({ label: "Not chosen yet" });
  await expect(findings).toContainText("Nothing shuts Grey tank, dump outlet");
  await page.getByRole("button", { name: "Lay a line to the side" }).click();
  const line = page.getByRole("group", { name: "Dump line of Grey tank", exact: true });
  await expect(line.getByRole("img", { name: /unrolled, standing as you dump/ })).toBeVisible();
  await expect(line).toContainText("It runs empty.");
  // nothing shuts it yet: the finding fits the valve
  await findings.getByRole("button", { name: /Nothing shuts Dump line/ }).click();
  await findings.getByRole("button", { name: "Fit a hand valve at the outlet" }).click();
  await page.getByRole("button", { name: "Do it" }).click();
  await expect(findings.getByRole("button", { name: /Nothing shuts/ })).toHaveCount(0);
  await expectAccessible(page);
  // its end lifted over the outlet keeps the tank's water back, and says so
  await line.getByRole("button", { name: /^End/ }).click();
  await line.getByLabel(PLACE.z).fill("-250");
  await line.getByLabel(PLACE.z).press("Enter");
  const high = findings.getByRole("button", { name: /Dump line of Grey tank climbs over its outlet/ });
  await expect(high).toBeVisible();
  await high.click();
  await findings.getByRole("button", { name: /Lay it over the same points/ }).click();
  await page.getByRole("button", { name: "Do it" }).click();
  await expect(high).toHaveCount(0);
  // what stands before a valve at its end is told
  await line.getByLabel("Valve at its end").check();
  await expect(line).toContainText(/Before the valve at its end .*L stands in it/);
  await line.getByLabel("Valve at its end").uncheck();
  // it is a step of the building, with a cap to buy, and comes back after a reload
  await page
    .getByRole("navigation", { name: "Stations" })
    .getByRole("button", { name: /^Build/ })
    .click();
  await expect(page.getByText(/^Lay Dump line of Grey tank at its fall/).first()).toBeVisible();
  await page.reload();
  await expect(page.locator('[data-phase="ready"]')).toBeVisible();
  await page.keyboard.press("3");
  await line.getByRole("button", { name: "Take Dump line of Grey tank out" }).click();
  await expect(page.getByRole("button", { name: "Lay a line to the side" })).toBeVisible();
});

test("Lesesaal, heads: the grey tank's line joins the black one's, is shut off from it, and goes its own way again", async ({
  page,
}) => {
  await openWorkbench(page, "Lesesaal, heads");
  await page.keyboard.press("3");
  await page.getByLabel("Tank shown", { exact: true }).selectOption({ label: "Grey tank" });
  await page.getByLabel("Dump valve", { exact: true }).selectOption({ label: "Not chosen yet" });
  await page.getByRole("button", { name: "Lay a line to the side" }).click();
  const line = page.getByRole("group", { name: "Dump line of Grey tank", exact: true });
  const ends = line.getByLabel("Ends", { exact: true });
  await ends.selectOption({ label: "In Dump line of Black tank, by a wye" });
  await expect(line).toContainText("One coupling with Black tank: open one valve at a time; the black one first");
  await expectAccessible(page);
  // nothing shuts it off from the sewage yet
  const findings = page.getByRole("region", { name: "Findings" });
  const mixes = findings.getByRole("button", { name: /Nothing shuts Grey tank off from Black tank/ });
  await mixes.click();
  await findings.getByRole("button", { name: "Fit a hand valve at the outlet" }).click();
  await page.getByRole("button", { name: "Do it" }).click();
  await expect(mixes).toHaveCount(0);
  // the main one taken out leaves it an end of its own, and one step back brings both again
  await page.getByLabel("Tank shown", { exact: true }).selectOption({ label: "Black tank" });
  await page.getByRole("button", { name: "Take Dump line of Black tank out" }).click();
  await page.getByLabel("Tank shown", { exact: true }).selectOption({ label: "Grey tank" });
  await expect(ends).toHaveCount(0);
  await expect(line).toContainText("its end lies");
  await page.getByRole("button", { name: "Undo: Take a dump line out" }).click();
  await expect(ends.locator("option:checked")).toHaveText("In Dump line of Black tank, by a wye");
});
