import { expect, expectAccessible, oneRig, openRig, openWorkbench, test, toNumber } from "./fixtures";

for (const name of oneRig("Kranich")) {
  test(`${name}: when must we dump? Levels over the days, the day wished pulled, a way of living put in, the ladder climbed and undone`, async ({
    page,
  }) => {
    await openRig(page, name);
    await page.keyboard.press("2");
    const stage = page.getByRole("region", { name: "Days", exact: true });
    await expect(page.getByTestId("days-verdict")).toContainText(/ends the stay/);
    await expect(stage.getByRole("img", { name: /^Fresh water: level over/ })).toBeVisible();
    await expect(stage.getByRole("img", { name: /^Grey tank: level over/ })).toBeVisible();
    await expect(page.getByTestId("rhythm")).toContainText(/^Fill the fresh water/);
    // lived another way, the days are others
    const verdict = await page.getByTestId("days-verdict").innerText();
    await page.getByLabel("Add a way of living").selectOption({ label: "On a site" });
    await expect(page.getByTestId("days-verdict")).not.toHaveText(verdict);
    // the wish is pulled by keys and says what it would take
    const wish = stage.getByRole("slider", { name: "Days the stay should last" });
    await wish.focus();
    for (let i = 0; i < 4; i++) await page.keyboard.press("ArrowRight");
    await expect(page.getByTestId("needs")).toContainText(/more, .* in all/);
    await page.keyboard.press("Escape");
    await expect(page.getByTestId("needs")).toHaveCount(0);
    // the first rung, done and undone
    const rung = page.getByTestId("ladder").getByRole("listitem").first();
    const gain = toNumber(await rung.locator(".figures").innerText());
    expect(gain).toBeGreaterThan(0);
    const before = await page.getByTestId("days-verdict").innerText();
    await rung.getByRole("button").click();
    await expect(page.getByTestId("days-verdict")).not.toHaveText(before);
    await page.getByRole("button", { name: "Undo", exact: true }).last().click();
    await expect(page.getByTestId("days-verdict")).toHaveText(before);
    if (name === "Kranich") await expectAccessible(page);
  });
}

test("uses: one added, sent into a canister, refused where it is wrong; people and tap are kept; stretches are pulled", async ({
  page,
}) => {
  await openWorkbench(page, "Otter");
  await page.keyboard.press("2");
  const stay = page.getByTestId("stay");
  await page.getByLabel("Add a canister or bottle").selectOption({ label: "Black water or urine" });
  await page.getByLabel("Add a use").selectOption({ label: "Urine" });
  const uses = page.getByRole("group", { name: "Uses", exact: true });
  await uses.getByRole("button", { name: /^Urine/ }).click();
  await uses.getByLabel("into").selectOption({ label: "Black water or urine" });
  await expect(stay).toContainText("Black water or urine");
  const often = uses.getByLabel("How often");
  await often.fill("often");
  await often.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "That is not a number" })).toBeVisible();
  await often.fill("-2");
  await often.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: /too small/ })).toBeVisible();
  await often.press("Escape");
  await page.getByLabel("Add people").selectOption({ label: "Guests" });
  await expect(page.getByLabel("Guests, days a week aboard")).toHaveValue("2");
  const tap = page.getByRole("group", { name: "Bucket and watch" });
  await tap.getByLabel("in", { exact: true }).fill("0");
  await tap.getByLabel("in", { exact: true }).press("Enter");
  await expect(tap.getByRole("alert")).toContainText("More than nothing");
  await tap.getByLabel("in", { exact: true }).fill("30");
  await tap.getByLabel("in", { exact: true }).press("Enter");
  await expect(tap.getByTestId("measured-flow")).toHaveText(/10\.0/);
  await tap.getByRole("button", { name: "Keep it" }).click();
  await expect(tap.getByRole("listitem")).toHaveCount(1);
  // the tap was measured: minutes are litres now
  await uses.getByRole("button", { name: /^Shower/ }).click();
  const minutes = uses.getByLabel("Minutes, each time");
  await minutes.fill("3");
  await minutes.press("Enter");
  await expect(uses.getByLabel("Takes, each time")).toHaveValue("30.0");
  await page.getByLabel("Then live").selectOption({ label: "Ordinary days" });
  const edge = page.getByRole("slider", { name: "Standing wild, days" });
  await expect(edge).toHaveAttribute("aria-valuenow", "2");
  await edge.focus();
  await page.keyboard.press("ArrowLeft");
  await expect(edge).toHaveAttribute("aria-valuenow", "1");
  await expectAccessible(page);
});

test("a machine nobody counts is told and counted by one press; guests of the weekend are told while all are aboard", async ({
  page,
}) => {
  await openWorkbench(page, "Kranich");
  await page.keyboard.press("4");
  await page.getByLabel("Add a fixture", { exact: true }).selectOption("washingMachine");
  const findings = page.getByRole("region", { name: "Findings" });
  await expect(findings).toContainText("Nothing is counted for Washing machine");
  await page.keyboard.press("2");
  const verdict = await page.getByTestId("stay").innerText();
  await page.getByRole("button", { name: "Count the usual for Washing machine" }).click();
  await expect(findings).not.toContainText("Nothing is counted");
  await expect(page.getByTestId("stay")).not.toHaveText(verdict);
  const uses = page.getByRole("group", { name: "Uses", exact: true });
  await expect(uses.getByRole("button", { name: /^Washing machine/ })).toBeVisible();
  await expect(page.getByTestId("everyone-aboard")).toHaveCount(0);
  await page.getByLabel("Add people").selectOption({ label: "Guests" });
  await expect(page.getByTestId("everyone-aboard")).toContainText(/While everyone is aboard, it lasts \d/);
});

test("stays lived through in the worker: which tank ends how many; the same again says the same", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("2");
  const lived = page.getByTestId("simulated");
  await lived.getByRole("button", { name: "Live through 10,000 stays" }).click();
  await expect(lived.getByRole("listitem").first()).toContainText(/ends \d+ of 100 stays/);
  const said = await lived.getByRole("list").innerText();
  await lived.getByRole("button", { name: "Live through 10,000 stays" }).click();
  await expect(lived.getByRole("list")).toHaveText(said.replace(/\n/g, ""));
  // an edit makes what was lived through void
  await page.getByLabel("People", { exact: true }).fill("5");
  await page.getByLabel("People", { exact: true }).press("Enter");
  await expect(lived.getByRole("list")).toHaveCount(0);
});

test("sizes are weighed by days, water on the trailer counts while hitched, and a canister is held against the tank", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("2");
  await page.getByText("What each litre brings, and what bounds it").click();
  const size = page.getByRole("slider", { name: "Grey tank: try another size" });
  await size.focus();
  await size.press("End");
  await expect(size).toHaveAttribute("aria-valuetext", /108.*5\.\d.days/);
  await page.getByText("What a canister or the ground would spare").click();
  const schools = page.getByTestId("waste-schools");
  await expect(schools).toContainText("Canister under the drain");
  await expect(schools.getByRole("row", { name: /carried away a day/ })).toContainText("×");
  await page.getByLabel("Fresh water carried, carried on").selectOption({ label: "A trailer behind it" });
  await expect(page.getByTestId("two-units")).toContainText(/^Hitched 2\.6.days.*apart/);
});

test("the handbook: a word opened where it stands and looked up, the rules of another pack, the cautions", async ({
  page,
}) => {
  await openWorkbench(page, "Lesesaal");
  // where a finding speaks of it, behind a heading, and in a sentence
  const findings = page.getByRole("region", { name: "Findings" });
  await findings.getByRole("button", { expanded: false }).first().click();
  await findings.getByRole("link", { name: "fall", exact: true }).click();
  await expect(page.getByRole("dialog", { name: "Fall" })).toContainText("How far a drain goes down along its way");
  await expectAccessible(page);
  await page.keyboard.press("Escape");
  await page.keyboard.press("5");
  await page.getByRole("link", { name: "What is that: Breather" }).first().click();
  const slip = page.getByRole("dialog", { name: "Breather" });
  await expect(slip).toContainText("A pipe that lets air in and out of a tank");
  await slip.getByRole("button", { name: "All words, in the handbook" }).click();
  await expect(page.getByRole("dialog", { name: "Handbook" })).toBeVisible();
  await page.keyboard.press("Escape");
  // in a drawing: a press on the label of a port opens its word, and the next one closes it
  await page.keyboard.press("3");
  const label = page
    .getByRole("group", { name: /section/i })
    .getByText(/^Breather port/)
    .first();
  await label.click();
  await expect(slip).toContainText("A pipe that lets air in and out of a tank");
  await label.click();
  await expect(slip).toBeHidden();
  await page.keyboard.press("h");
  const book = page.getByRole("dialog", { name: "Handbook" });
  await book.getByRole("button", { name: "Breather", exact: true }).click();
  await expect(book.getByLabel("Search the words")).toHaveValue("Breather");
  await book.getByLabel("Search the words").fill("invert");
  await expect(book.getByRole("term")).toHaveCount(1);
  await book.getByRole("tab", { name: "Rules" }).click();
  await book.getByLabel("Pack").selectOption({ label: "England" });
  await expect(book.getByRole("row", { name: /Greatest fall/ })).toContainText("90");
  await book.getByRole("tab", { name: "Cautions" }).click();
  await expect(book).toContainText("axle stands");
  await expectAccessible(page);
});
