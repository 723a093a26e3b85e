import { expect, openWorkbench, test } from "./fixtures";

test("a field of the column and its place on the stage light each other up, by pointer and by keys", async ({
  page,
}) => {
  await openWorkbench(page, "Lesesaal");
  await page.keyboard.press("1");
  const stage = page.locator("svg .handle[data-part='measure:ground']").first();
  const field = page.locator("div[data-part='measure:ground']");
  await expect(stage).toBeVisible();
  await expect(stage).not.toHaveAttribute("data-lit");
  await field.hover();
  await expect(stage).toHaveAttribute("data-lit", "");
  await stage.hover();
  await expect(field).toHaveAttribute("data-lit", "");
  await page.getByRole("region", { name: "Findings" }).hover();
  await expect(field).not.toHaveAttribute("data-lit");
  // the pipe of a leg, its fall in the column and what it has in hand
  await page.keyboard.press("4");
  const leg = page.locator("div[data-part^='leg:']").nth(1);
  const legKey = await leg.getAttribute("data-part");
  const pipe = page.locator(`svg .pipe-edge[data-part="${legKey}"]`);
  const cell = page.locator(`button[data-part="${legKey}"]`).first();
  await expect(pipe).not.toHaveAttribute("data-lit");
  await leg.getByRole("textbox").focus();
  await expect(pipe).toHaveAttribute("data-lit", "");
  await expect(cell).toHaveAttribute("data-lit", "");
  await cell.hover();
  await expect(leg).toHaveAttribute("data-lit", "");
  await cell.focus();
  await page.getByRole("region", { name: "Findings" }).hover();
  // with the focus in the fields of a port, its hole in the tank and in the plan is lit
  await page.keyboard.press("3");
  await page
    .getByRole("button", { name: /^Move .*[Ii]nlet/ })
    .first()
    .focus();
  const port = page.locator("fieldset[data-part^='port:']").first();
  await expect(port).toHaveAttribute("data-lit", "");
  const key = await port.getAttribute("data-part");
  await port.getByLabel("Bore").focus();
  await expect(page.locator(`svg [data-part="${key}"]`).first()).toHaveAttribute("data-lit", "");
});
