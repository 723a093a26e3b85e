import { readFileSync } from "node:fs";
import { expect, expectAccessible, oneRig, openRig, openWorkbench, test, toNumber, type } from "./fixtures";

for (const name of oneRig("Kranich")) {
  test(`${name}: the building is ticked off step by step, and is there again after a reload`, async ({ page }) => {
    await openRig(page, name);
    await page.keyboard.press("8");
    // done before it was settled is done all the same
    const first = page.getByRole("group", { name: "Steps" }).getByRole("checkbox", { checked: false }).first();
    const label = (await first.getAttribute("aria-label"))!;
    await first.click();
    const done = page.getByRole("list", { name: "Done" });
    await expect(done.getByRole("checkbox", { name: label })).toBeChecked();
    await expect(page.getByRole("table", { name: "Pieces to cut" })).toContainText("P1");
    const part = page.getByRole("combobox", { name: /^How .* stands$/ }).first();
    await part.selectOption({ label: "Ordered" });
    if (name === "Kranich") await expectAccessible(page);
    // it is in the store before the page goes
    await expect.poll(() => page.evaluate(readBuilds)).toContain('"ordered"');
    await page.reload();
    await expect(page.locator('[data-phase="ready"]')).toBeVisible();
    await page.keyboard.press("8");
    await expect(done.getByRole("checkbox", { name: label })).toBeChecked();
    await expect(part).toHaveValue("ordered");
    // not part of the design, and so not of its undo
    await expect(page.getByRole("button", { name: "Undo", exact: true })).toBeDisabled();
  });
}

test("the parts go out as a table with price and shop and come back; steps are moved as far as they may", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("8");
  const parts = page.getByRole("group", { name: /^Parts/ });
  await parts.getByRole("button", { name: "dump outlet socket to weld in, 38 mm" }).click();
  await parts.getByLabel(/^Price of dump outlet/).fill("12,50");
  await parts.getByLabel(/^Shop for dump outlet/).fill("Yard");
  await page.keyboard.press("Tab");
  await expect(parts.getByTestId("goods-total")).toContainText("12.50 for 1 of");
  const download = page.waitForEvent("download");
  await parts.getByRole("button", { name: "Parts as CSV" }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe("kranich-parts.csv");
  const text = readFileSync((await file.path())!, "utf8");
  expect(text).toContain("12.5,Yard");
  const csv = `${text.replace("Wanted,12.5,Yard", "Here,13,Yard")}any,1,unobtainium,Here,,\r\n`;
  await parts
    .getByLabel("Parts from a CSV file")
    .setInputFiles({ name: "parts.csv", mimeType: "text/csv", buffer: Buffer.from(csv) });
  await expect(parts.getByRole("alert")).toContainText(/1 left out, the first at line \d+: “unobtainium” is no part/);
  await expect(parts.getByTestId("goods-total")).toContainText("13.00 for 1 of");
  // the last that can be done now goes first; what waits for it cannot come before it
  const now = page.getByRole("list", { name: "Now" });
  const last = (await now.getByRole("checkbox").last().getAttribute("aria-label"))!;
  const count = await now.getByRole("checkbox").count();
  for (let i = 1; i < count; i++) await now.getByRole("button", { name: `${last}: earlier` }).click();
  await expect(now.getByRole("checkbox").first()).toHaveAttribute("aria-label", last);
  const waits = page.getByRole("list", { name: "Waits for that" });
  await waits.getByRole("button", { name: "Fill Grey tank to the brim and look for drips: earlier" }).click();
  await expect(page.getByText(/^Not there: .* needs “Lay Breather/)).toBeVisible();
  await page.getByLabel("What can be done").selectOption({ label: "While it rains" });
  await expect(now).not.toContainText("Drill the hole");
  const drawing = page.waitForEvent("download");
  await page.getByRole("button", { name: "Plan as DXF" }).click();
  expect((await drawing).suggestedFilename()).toBe("kranich-plan.dxf");
});

test("what is not settled is not built: under the step stands why, a press leads there, and the phone says it too", async ({
  page,
}) => {
  await openWorkbench(page, "Lesesaal, heads");
  await page.keyboard.press("8");
  const held = page.getByRole("list", { name: "Settle first" });
  const hole = held.getByRole("listitem").filter({ hasText: "Drill the hole for Sink drain" });
  await expect(hole).toContainText(/from the rear edge 5030.mm/);
  await expect(page.getByRole("list", { name: "Now" })).not.toContainText("Sink drain");
  await expectAccessible(page);
  await hole.getByRole("button", { name: /Settle first: Sink drain, leg 3 runs backwards/ }).click();
  await expect(page.getByRole("button", { name: /^Must Sink drain, leg 3 runs backwards/ })).toHaveAttribute(
    "aria-expanded",
    "true",
  );
  await page.keyboard.press("8");
  await page.getByRole("button", { name: "Open on this device" }).click();
  await expect(page).toHaveURL(/\/under$/);
  await page.getByRole("button", { name: "Holes", exact: true }).click();
  const card = page.getByTestId("under-card");
  await expect(card).toContainText("Settle first: Sink drain, leg 3 runs backwards");
  await page.keyboard.press("ArrowRight");
  await expect(card).not.toContainText("Settle first");
});

test("metal does not move with the drawing: what is built and drawn otherwise is told at once, and under Build until it is done over", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("8");
  const steps = page.getByRole("group", { name: "Steps" });
  for (const name of ["Drill the hole for Sink drain through the floor", "Fit the ports of Grey tank on the bench"])
    await steps.getByRole("checkbox", { name }).click();
  const redrawn = page.getByRole("list", { name: "Built, and drawn anew since" });
  await expect(redrawn).toHaveCount(0);
  await page.keyboard.press("4");
  await page.getByRole("button", { name: "Move Sink drain, bend 1 in plan" }).focus();
  for (let i = 0; i < 2; i++) await page.keyboard.press("Shift+ArrowRight");
  await expect(page.getByText(/^Built already, and drawn otherwise now: “Drill the hole for Sink drain/)).toBeVisible();
  await page.getByRole("button", { name: "Build", exact: true }).last().click();
  const item = redrawn.getByRole("listitem").filter({ hasText: "Drill the hole for Sink drain" });
  await expect(item).toContainText(/drawn up to [\d.]+.mm away from where it was built/);
  await expect(redrawn).not.toContainText("Fit the ports");
  await expectAccessible(page);
  await item.getByRole("button", { name: "Done over" }).click();
  await expect(redrawn).toHaveCount(0);
  for (let i = 0; i < 2; i++) await page.getByRole("button", { name: /^Undo: Move Sink drain, bend 1/ }).click();
  await expect(item).toBeVisible();
});

test("the road: dumped, read, taken back, searched, and there again after a reload", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("9");
  const now = page.getByRole("region", { name: "Now", exact: true });
  await now.getByRole("button", { name: "Dumped" }).click();
  await expect(now).toContainText("days until full");
  await now.getByLabel("Litres read of Grey tank").fill("900");
  await now.getByRole("button", { name: "Write reading" }).last().click();
  await expect(now.getByRole("alert")).toContainText("more than it holds");
  await now.getByLabel("Litres read of Grey tank").fill("12");
  await now.getByRole("button", { name: "Write reading" }).last().click();
  await expect(now).toContainText(/12\.0\sL by the sum/);
  const book = page.getByRole("list", { name: "Lines of the logbook" });
  await expect(book.getByRole("listitem")).toHaveCount(2);
  await expectAccessible(page);
  await page.reload();
  await expect(page.locator('[data-phase="ready"]')).toBeVisible();
  await page.keyboard.press("9");
  await expect(book.getByRole("listitem")).toHaveCount(2);
  await page.getByLabel("Search the logbook").fill("dumped");
  await expect(book.getByRole("listitem")).toHaveCount(1);
  await book.getByRole("button", { name: /Dumped/ }).click();
  await book.getByRole("button", { name: "Take out" }).click();
  await expect(page.getByText("No line has these words.")).toBeVisible();
});

// the core's own tests plant a fault everywhere in every sample
for (const [name, drain] of [
  ...oneRig("Kranich").map((rig) => [rig, "Sink drain"] as const),
  ["Otter", "Galley drain"] as const,
]) {
  test(`${name}: a planted leak is found by answering truthfully`, async ({ page }) => {
    await openWorkbench(page, name);
    await page.keyboard.press("0");
    const trial = page.getByTestId("next-trial");
    await expect(trial).toContainText("Did it drip");
    if (name === "Kranich") await expectAccessible(page);
    // planted: the joint where the sink drain enters its tank, shown only when all of the drain stands under water
    for (let asked = 0; asked < 12 && (await trial.isVisible()); asked++) {
      const text = await trial.innerText();
      const shows = text.includes(`Plug the pipe where ${drain} ends`);
      await trial.getByRole("button", { name: shows ? "Yes" : "No", exact: true }).click();
    }
    await expect(page.getByTestId("stage-line")).toContainText(`Most likely: ${drain}: where it ends`);
  });
}

test("what was built and the logbook go into the design's file, and come out of it again", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("9");
  await page.getByRole("region", { name: "Now", exact: true }).getByRole("button", { name: "Dumped" }).click();
  await page.keyboard.press("8");
  const first = page.getByRole("list", { name: "Now" }).getByRole("checkbox").first();
  const label = (await first.getAttribute("aria-label"))!;
  await first.click();
  await expect(page.getByRole("list", { name: "Done" }).getByRole("checkbox", { name: label })).toBeChecked();
  const download = page.waitForEvent("download");
  await page.keyboard.press("Control+s");
  const path = await (await download).path();
  const chooser = page.waitForEvent("filechooser");
  await page.keyboard.press("Control+o");
  await page
    .getByRole("dialog")
    .getByRole("button", { name: /^Open a file/ })
    .click();
  await (await chooser).setFiles(path);
  await expect(page.getByText(/is open\.$/)).toBeVisible();
  await page.keyboard.press("8");
  await expect(page.getByRole("list", { name: "Done" }).getByRole("checkbox", { name: label })).toBeChecked();
  await page.keyboard.press("9");
  await expect(page.getByRole("list", { name: "Lines of the logbook" }).getByRole("listitem")).toHaveCount(1);
});

test("the book of the build comes as a PDF with the parts that were chosen; two ends are held together", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("8");
  const book = page.getByRole("group", { name: "Book" });
  await book.getByText("What is in it").click();
  await book.getByLabel("Waterway").uncheck();
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    book.getByRole("button", { name: "Book as PDF" }).click(),
  ]);
  expect(file.suggestedFilename()).toBe("kranich-book.pdf");
  const bytes = readFileSync((await file.path())!);
  expect(bytes.subarray(0, 5).toString()).toBe("%PDF-");
  expect(bytes.length).toBeGreaterThan(20_000);
  const joint = page.getByRole("group", { name: "Will it screw together?" });
  await expect(joint.getByTestId("joint")).toContainText("It starts, turns tight and leaks");
  await joint.getByLabel("The other").selectOption({ label: "BSP tapered (R)" });
  await expect(joint.getByTestId("joint")).toContainText("They fit.");
});

test("a trial is run: what sank says leak or not, it is kept, and what held is ticked in the building", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("0");
  const run = page.getByRole("group", { name: "Run a trial" });
  // nothing read, nothing said
  await expect(page.getByTestId("trial-outcome")).toContainText("Nothing read yet");
  await run.getByLabel("Minutes").fill("15");
  await run.getByLabel("Level sank by").fill("12");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("trial-outcome")).toContainText(/It loses \d/);
  const proof = page.getByRole("group", { name: "State of proof" });
  await expect(proof.getByTestId("proof-line")).toContainText("Close nothing up");
  await run.getByRole("button", { name: "Leaks" }).click();
  await expect(proof.getByTestId("proof-line")).toContainText("One trial showed a leak: mend it, then try again.");
  await expect(proof.getByRole("button", { name: /^Grey tank, .*; leaks$/ })).toBeVisible();
  await run.getByLabel("Level sank by").fill("0");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("trial-outcome")).toContainText("Look at the paper");
  await run.getByLabel("Paper under the joints").selectOption("dry");
  await expect(page.getByTestId("trial-outcome")).toContainText("stayed dry");
  await run.getByRole("button", { name: "Held" }).click();
  await expect(run.getByRole("list", { name: "Trials that were run" }).getByRole("listitem")).toHaveCount(2);
  await expect(page.getByRole("group", { name: "Trials before closing up" })).toContainText(/Done on \d{4}-/);
  await expect(proof.getByRole("button", { name: /^Grey tank, .*; held$/ })).toBeVisible();
  await proof.getByRole("button", { name: /^Kitchen sink to Grey tank.*; not tried$/ }).press("Enter");
  await expect(run.getByRole("combobox", { name: "Trial" })).toHaveValue(/^trialDrain:/);
  await proof.getByRole("button", { name: /^Grey tank, / }).press("Enter");
  // dump and breather by bucket and watch: too slow shut, right open; a photograph stays with it
  await run.getByRole("combobox", { name: "Trial" }).selectOption("trialDump:grey");
  await run.getByLabel("Seconds, hatch shut").fill("600");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("trial-outcome")).toContainText("open the hatch");
  await run.getByLabel("Seconds, hatch open").fill("5");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("trial-outcome")).toContainText("the breather is blocked");
  const dot = Buffer.from(
    "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==",
    "base64",
  );
  await run
    .getByLabel("Photograph of it from a file")
    .setInputFiles({ name: "gauge.png", mimeType: "image/png", buffer: dot });
  await expect(run.getByRole("img", { name: "Number 1" })).toBeVisible();
  await run.getByLabel("Signed by").fill("M. Amsel");
  await run.getByRole("button", { name: "Leaks" }).click();
  const held = run.getByRole("list", { name: "Trials that were run" });
  await expect(held).toContainText("Signed M. Amsel.");
  await expect(held.getByRole("img", { name: "Number 1" })).toBeVisible();
  await run.getByRole("combobox", { name: "Trial" }).selectOption("trialTank:grey");
  await page.reload();
  await page.reload();
  await expect(page.locator('[data-phase="ready"]')).toBeVisible();
  await page.keyboard.press("0");
  await expect(run.getByRole("list", { name: "Trials that were run" }).getByRole("listitem")).toHaveCount(2);
});

test("measured as built: a bend that came lower takes the fall, says so at once, and is there after a reload", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("8");
  const built = page.getByRole("group", { name: "Measured as built" });
  await built.getByLabel("Part").selectOption({ label: "Sink drain, bend 2" });
  await built.getByLabel("Lower than drawn").fill("40");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("as-built")).toContainText(/24\.9.mm in hand at the worst as drawn, −\d/);
  await expect(page.getByTestId("as-built")).toContainText("runs backwards");
  await page.reload();
  await expect(page.locator('[data-phase="ready"]')).toBeVisible();
  await page.keyboard.press("8");
  await expect(page.getByTestId("as-built")).toContainText("runs backwards");
  await page.getByRole("button", { name: /^Forget what was measured/ }).click();
  await expect(page.getByTestId("as-built")).toHaveCount(0);
});

test("worktop before the carcass: an own rule orders the steps, and one against it is refused with why", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("8");
  const own = page.getByRole("group", { name: "Your own steps and rules" });
  for (const name of ["Carcass", "Worktop"]) {
    await own.getByLabel("One more step").fill(name);
    await own.getByLabel("One more step").press("Enter");
    await expect(own.getByRole("button", { name: `Take the step ${name} out` })).toBeVisible();
  }
  const now = page.getByRole("list", { name: "Now" });
  await expect(now.getByRole("checkbox", { name: "Carcass" })).toBeVisible();
  await own.getByLabel("First", { exact: true }).selectOption({ label: "Worktop" });
  await own.getByLabel("and then").selectOption({ label: "Carcass" });
  await own.getByRole("button", { name: "Keep this order" }).click();
  await expect(now.getByRole("checkbox", { name: "Carcass" })).toHaveCount(0);
  await expect(
    page.getByRole("list", { name: "Waits for that" }).getByRole("checkbox", { name: "Carcass" }),
  ).toBeVisible();
  await own.getByLabel("First", { exact: true }).selectOption({ label: "Carcass" });
  await own.getByLabel("and then").selectOption({ label: "Worktop" });
  await own.getByRole("button", { name: "Keep this order" }).click();
  await expect(own.getByRole("alert")).toContainText("“Carcass” needs “Worktop” first");
  await now.getByRole("checkbox", { name: "Worktop" }).click();
  await expect(now.getByRole("checkbox", { name: "Carcass" })).toBeVisible();
  await expectAccessible(page);
});

// All build records of this browser, as text.
function readBuilds(): Promise<string> {
  return new Promise((resolve) => {
    const open = indexedDB.open("schleuse");
    open.onsuccess = () => {
      const read = open.result.transaction("builds").objectStore("builds").getAll();
      read.onsuccess = () => {
        open.result.close();
        resolve(JSON.stringify(read.result));
      };
    };
  });
}

test("Kranich: a heating pad is fitted and has its cable; the battery said once holds for the table, the steps and the parts, and is undone like any change", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("3");
  const night = page.getByTestId("cold-night");
  await expect(night).toContainText("freezing point");
  await page.getByRole("button", { name: /^Fit a pad of \d+ W or more/ }).click();
  await expect(night).toContainText("it does not freeze");
  await page.getByRole("textbox", { name: "Heating pad" }).fill("40");
  await page.getByRole("textbox", { name: "Heating pad" }).press("Enter");
  const findings = page.getByRole("region", { name: "Findings" });
  await findings.getByRole("button", { name: /pad on Grey tank is too weak/ }).click();
  await findings.getByRole("button", { name: /^Fit a stronger heating pad/ }).click();
  await findings.getByRole("button", { name: "Do it" }).click();
  await expect(findings).not.toContainText("too weak");
  await page.keyboard.press("8");
  const table = page.getByRole("table", { name: "Cables and fuses" });
  const cell = table
    .getByRole("row", { name: /Grey tank/ })
    .getByRole("cell")
    .first();
  // what is not in view is not laid out, and has no inner text
  const amps = async () => toNumber((await cell.textContent())!);
  const before = await amps();
  const fuse = page.getByRole("listitem").filter({ hasText: /fuse \d+ A with its holder/ });
  const fuseBefore = (await fuse.textContent())!;
  await page.getByLabel("Battery").selectOption({ label: "24 V" });
  await expect.poll(amps).toBeCloseTo(before / 2, 0);
  await expect(fuse).not.toHaveText(fuseBefore);
  const box = page.getByLabel("Fuse box, from the rear edge");
  await type(box, "300000");
  await expect(page.getByRole("alert").filter({ hasText: /too large/ })).toBeVisible();
  await box.press("Escape");
  // it waits for its tank, and can be read beforehand
  const cable = page.getByRole("button", { name: /^Run the cable to the heating pad of Grey tank/ }).first();
  await cable.click();
  await expect(cable).toContainText(/fuse, at the box/);
  await expect(page.getByRole("checkbox", { name: /^Run the cable to the heating pad/ })).toBeDisabled();
  await page.getByRole("button", { name: /^Undo: / }).click();
  await expect.poll(amps).toBe(before);
});
