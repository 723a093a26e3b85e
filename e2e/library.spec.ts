import { readFileSync } from "node:fs";
import { expect, expectAccessible, openWorkbench, PLACE, pull, readInHand, section, test } from "./fixtures";

test("a new design from a tape: pick the rig, measure, draw it", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("n");
  const sheet = page.getByRole("dialog");
  await sheet.getByLabel("Its name").fill("Zaunkönig");
  await expectAccessible(page);
  await sheet.getByRole("button", { name: "Trailer" }).click();
  await sheet.getByLabel("Floor, length").fill("13 ft 9 in");
  await sheet.getByRole("button", { name: /^Next: heights/ }).click();
  await expect(sheet).toContainText("Drill 4 mm or 5/32 in where the drain will go");
  await sheet.getByLabel("Floor, thickness").fill("thick");
  await sheet.getByLabel("Floor, thickness").press("Enter");
  await expect(sheet.getByRole("alert")).toContainText("That is not a number");
  await sheet.getByLabel("Floor, thickness").fill("52");
  await sheet.getByRole("button", { name: /^Next: under the floor/ }).click();
  await sheet.getByRole("button", { name: /^Next: the sink/ }).click();
  await sheet.getByRole("button", { name: /^Next: the tank/ }).click();
  await sheet.getByRole("button", { name: /^Next: days/ }).click();
  await sheet.getByLabel("People").fill("3");
  await sheet.getByRole("button", { name: /^Next: what else goes aboard/ }).click();
  await sheet.getByLabel("Shower tray").check();
  await sheet.getByLabel("Toilet").selectOption("Vacuum toilet");
  await expectAccessible(page);
  await sheet.getByRole("button", { name: "Draw it" }).click();
  await expect(page.getByRole("button", { name: "Designs; Zaunkönig is open" })).toBeVisible();
  await expect(section(page)).toBeVisible();
  // it comes whole, with nothing that must be settled
  await expect(page.getByRole("region", { name: "Findings" })).not.toContainText("to settle before you drill");
  await expect(page.getByRole("button", { name: /^Tanks/ })).toContainText("usable");
  await page.keyboard.press("1");
  await expect(page.getByLabel("Floor, length")).toHaveValue("4191");
});

test.describe("in a browser of its own", () => {
  test.use({ isApart: true });

  test("work is found again after the tab was closed", async ({ page, context }) => {
    await openWorkbench(page);
    await pull(page, section(page).getByRole("button", { name: "Move Grey tank" }), 0, 6);
    const inHand = await readInHand(page, "level");
    await expect(page.getByTestId("save-state")).toHaveText("kept in this browser");
    await page.waitForTimeout(600);
    await page.close();
    const again = await context.newPage();
    await openWorkbench(again);
    expect(await readInHand(again, "level")).toBe(inHand);
  });

  test("two tabs on one design: nothing of either is lost", async ({ page, context }) => {
    await openWorkbench(page);
    const other = await context.newPage();
    await openWorkbench(other);
    await pull(other, section(other).getByRole("button", { name: "Move Grey tank" }), 0, 6);
    const theirs = await readInHand(other, "level");
    // the first tab had nothing unsaved, so it follows
    await expect(page.getByRole("status")).toContainText("Another tab changed this design");
    expect(await readInHand(page, "level")).toBe(theirs);
  });
});

test("several designs: duplicate, rename, delete with undo", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("Control+o");
  const sheet = page.getByRole("dialog");
  await sheet.getByRole("button", { name: "Duplicate Kranich" }).click();
  await expect(sheet.getByRole("button", { name: /^Kranich copy/ })).toBeVisible();
  await sheet.getByRole("button", { name: "Rename Kranich copy" }).click();
  await sheet.getByLabel("New name of Kranich copy").fill("Kranich, second try");
  await page.keyboard.press("Enter");
  await expect(sheet.getByRole("button", { name: /^Kranich, second try/ })).toBeVisible();
  await sheet.getByRole("button", { name: "Delete Kranich, second try" }).click();
  await expect(sheet.getByRole("button", { name: /^Kranich, second try/ })).toHaveCount(0);
  // it is undone where it was done: by the button in the sheet, by keys, or out of the bin
  await sheet.getByRole("button", { name: "Undo" }).click();
  await expect(
    page.getByRole("button", { name: "Designs; Kranich, second try is open", includeHidden: true }),
  ).toBeVisible();
  await sheet.getByRole("button", { name: "Delete Kranich, second try" }).click();
  await expect(sheet.getByText(/is in the bin/)).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(sheet.getByRole("button", { name: /^Kranich, second try/ })).toBeVisible();
  await sheet.getByRole("button", { name: "Delete Kranich, second try" }).click();
  await sheet.getByText(/^In the bin: 1/).click();
  await expect(sheet.getByText("gone for good in 30 days")).toBeVisible();
  await expectAccessible(page);
  await sheet.getByRole("button", { name: "Put Kranich, second try back" }).click();
  await expect(sheet.getByRole("button", { name: /^Kranich, second try/ })).toBeVisible();
});

test("an edit made right before the page is left is there again", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("3");
  const height = page.getByRole("group", { name: /^Place of its/ }).getByLabel(PLACE.z);
  for (const z of [-301, -302, -303]) {
    await height.fill(String(z));
    await height.press("Enter");
    await page.reload();
    await expect(page.locator('[data-phase="ready"]')).toBeVisible();
    await page.keyboard.press("3");
    await expect(height).toHaveValue(`\u2212${-z}`);
  }
});

test("the wizard holds what it does not understand, and closing it loses no measure; its first drain runs", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.getByRole("region", { name: "How to begin" }).getByRole("button", { name: "New design" }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByRole("button", { name: "Boat" }).click();
  await sheet.getByLabel("Sole, length").fill("abc");
  await sheet.getByRole("button", { name: /^Next: heights/ }).click();
  await expect(sheet.getByLabel("Sole, length")).toHaveValue("abc");
  await expect(sheet.getByRole("alert")).toContainText("That is not a number");
  await sheet.getByLabel("Sole, length").fill("5000");
  await sheet.getByRole("button", { name: /^Next: heights/ }).click();
  await expect(sheet).not.toContainText(/metal|tyre|door|ground/i);
  await page.keyboard.press("Escape");
  await expect(sheet).toBeHidden();
  await page.keyboard.press("n");
  await sheet.getByRole("button", { name: "Back" }).click();
  await expect(sheet.getByLabel("Sole, length")).toHaveValue("5000");
  for (const next of [/heights/, /in the bilge/, /the sink/, /the tank/, /days/, /what else goes aboard/]) {
    await sheet.getByRole("button", { name: new RegExp(`^Next: ${next.source}`) }).click();
    if (next.source === "in the bilge") await sheet.getByLabel("Ballast or an engine in the bilge").check();
  }
  await sheet.getByRole("button", { name: "Draw it" }).click();
  await expect(page.getByRole("button", { name: "Designs; My boat is open" })).toBeVisible();
  await expect(page.getByRole("region", { name: "Findings" })).not.toContainText("to settle before you drill");
  await expect(section(page).getByText("waterline")).toBeVisible();
  await expect(section(page).getByText("underside of the keel")).toBeVisible();
});

test("save to a file, change the design, open the file again", async ({ page }) => {
  await openWorkbench(page);
  const [download] = await Promise.all([page.waitForEvent("download"), page.keyboard.press("Control+s")]);
  expect(download.suggestedFilename()).toBe("kranich.schleuse.json");
  const text = readFileSync(await download.path(), "utf8");
  expect(JSON.parse(text)).toEqual(JSON.parse(readFileSync("demo/kranich.json", "utf8")));
  await page.keyboard.press("Control+o");
  await page
    .getByLabel("Design file")
    .setInputFiles({ name: "again.json", mimeType: "application/json", buffer: Buffer.from(text) });
  await expect(page.getByRole("status")).toContainText("again.json is open.");
});

const BAD: readonly (readonly [string, string, RegExp])[] = [
  ["notes.txt", "buy hose", /not JSON/],
  ["other.json", '{"format":"other"}', /not a Schleuse design/],
  ["new.json", '{"format":"schleuse-design","version":99}', /newer Schleuse/],
  ["evil.json", '{"format":"schleuse-design","version":1,"__proto__":{"x":1}}', /never has/],
  ["deep.json", `${"[".repeat(200_000)}${"]".repeat(200_000)}`, /nested deeper|not a Schleuse|not JSON/],
  ["huge.json", " ".repeat(10_000_000), /larger than a design/],
];

test("bad files dropped on the page are refused with a sentence; the open design stays", async ({ page }) => {
  await openWorkbench(page, "Otter");
  for (const [name, text, why] of BAD) {
    const transfer = await page.evaluateHandle(
      ([fileName, content]) => {
        const data = new DataTransfer();
        data.items.add(new File([content!], fileName!, { type: "application/json" }));
        return data;
      },
      [name, text],
    );
    await page.dispatchEvent('[data-phase="ready"]', "drop", { dataTransfer: transfer });
    await expect(page.getByRole("alert").filter({ hasText: `${name} was not opened.` })).toContainText(why);
    await expect(page.getByRole("button", { name: "Designs; Otter is open" })).toBeVisible();
  }
});

test("a file with an impossible value names its place", async ({ page }) => {
  await openWorkbench(page);
  const design = JSON.parse(readFileSync("demo/kranich.json", "utf8"));
  design.tanks[0].solid.lengthMm = -600;
  await page.keyboard.press("Control+o");
  await page.getByLabel("Design file").setInputFiles({
    name: "short.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify(design)),
  });
  await expect(page.getByRole("alert").filter({ hasText: "short.json" })).toContainText(/tank 1.*length.*too small/);
});

test("the palette finds a command by its name", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("Control+k");
  await expect(page.getByPlaceholder("What would you like to do?")).toBeFocused();
  await page.keyboard.type("worst");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("attitude")).not.toHaveText("Standing level");
  for (const [word, answer] of [
    ["help", "Keyboard shortcuts"],
    ["toilet", "hang a black tank"],
    ["delete", "Designs: open, duplicate, rename, delete"],
  ] as const) {
    await page.keyboard.press("Control+k");
    await page.keyboard.type(word);
    await expect(page.getByRole("option", { name: answer }).first()).toBeVisible();
    await page.keyboard.press("Escape");
  }
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog")).toContainText("Move the selected point 1 mm");
  await expectAccessible(page);
});
