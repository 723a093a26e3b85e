import { readFileSync } from "node:fs";
import { expect, expectAccessible, findBox, oneSample, openWorkbench, PLACE, plan, pull, test } from "./fixtures";

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
  // on paper its curves are drawn, also while they are out of sight
  await page.evaluate(() => {
    window.print = () => {
      document.body.dataset["printed"] = `${document.querySelectorAll(".paper svg path[stroke]").length} strokes`;
    };
  });
  await dips.getByRole("button", { name: "Print" }).click();
  await expect(page.locator("body")).toHaveAttribute("data-printed", /^[1-9]/);
  // a telephone goes on while it prints: the copy goes when the page is taken in hand again
  await expect(page.locator(".paper")).toContainText(/Kranich.*Grey tank/);
  // ink is dark on paper, also where the screen is
  const inkOf = () => page.locator("body").evaluate((body) => getComputedStyle(body).color);
  const ink = await inkOf();
  await page.keyboard.press("d");
  await expect(page.locator(".paper")).toHaveCount(0);
  await expect.poll(inkOf).not.toBe(ink);
  await page.emulateMedia({ media: "print" });
  expect(await inkOf()).toBe(ink);
  await page.emulateMedia({ media: null });
  await page.keyboard.press("w");
  await expect(dips).toContainText("as it stands: nose down 3°");
  const gauge = page.getByRole("group", { name: "Gauge" });
  await gauge.getByLabel("Kind").selectOption({ label: "Float on an arm" });
  await expect(gauge.getByRole("row", { name: /190 Ω 33 Ω/ })).toBeVisible();
  await expect(gauge).toContainText(/tells nothing of the lowest/);
  await gauge.getByLabel("From the tank's rear").fill("20");
  await page.keyboard.press("Enter");
  const error = gauge.getByTestId("gauge-error");
  const before = await error.textContent();
  await gauge.getByRole("button", { name: "Put it where it is least out" }).click();
  await expect(gauge.getByLabel("From the tank's rear")).toHaveValue("400");
  await expect(error).not.toHaveText(before!);
  const emptying = page.getByRole("group", { name: "Running empty" });
  await expect(emptying).toContainText(/Takes .* to empty from full/);
  // the curve is drawn once the chart library came, and says what it shows
  const curve = emptying.getByRole("img", { name: /Starts with .* empty after/ });
  await expect(curve.locator("svg path").first()).toBeAttached();
  await expect(curve).toContainText("0 s");
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
  await openWorkbench(page, "Lesesaal");
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
  await fixing.getByLabel("Bolts sit in").selectOption({ label: "Rivet nuts" });
  await expect(findings).toContainText("has no rating");
  // straps hold along themselves by friction only
  await expect(findings).toContainText("can slide out of its straps");
  await fixing.getByLabel("End stop before and behind").check();
  await expect(findings).not.toContainText("can slide out of its straps");
  const rate = async (kN: string) => {
    for (const label of ["Rated against pulling out", "Rated in shear"]) {
      await fixing.getByLabel(label).fill(kN);
      await page.keyboard.press("Enter");
    }
  };
  await rate("2");
  await expect(findings).toContainText("does not hold");
  await expect(fixing.getByRole("row", { name: /^A crash forward/ })).toContainText("of what they sit in");
  await fixing.getByLabel("Bolts, class 8.8").fill("12");
  await page.keyboard.press("Enter");
  await rate("10");
  await expect(findings).not.toContainText("does not hold");
});

test("each bolt has a place: nudged by the keys, put back in rows; all in one line holds nothing", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("3");
  const fixing = page.getByRole("group", { name: "Fixing" });
  const bolts = fixing.getByRole("group", { name: /^Bolts of the tank/ }).getByRole("button");
  await expect(bolts).toHaveCount(6);
  await bolts.first().focus();
  await page.keyboard.press("Shift+ArrowLeft");
  await expect(bolts.first()).toHaveAccessibleName(/Bolt 1: −35.mm forward/);
  await fixing.getByRole("button", { name: "Back in rows" }).click();
  await expect(bolts.first()).toHaveAccessibleName(/Bolt 1: −25.mm forward/);
  await fixing.getByLabel("Bolts, class 8.8").fill("1");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("region", { name: "Findings" })).toContainText("stand in one line");
});

test("a breeze takes the heat off faster; the night is the builder's own", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("3");
  const night = page.getByRole("group", { name: "Cold night" });
  await expect(page.getByTestId("cold-night")).toContainText("At −10");
  const before = await page.getByTestId("cold-night").textContent();
  await night.getByLabel("Wind", { exact: true }).selectOption({ label: "Breeze, 3 m/s" });
  await expect(page.getByTestId("cold-night")).not.toHaveText(before!);
  await night.getByText("The night it is worked out for").click();
  await night.getByLabel("Air on a cold night").fill("2");
  await page.keyboard.press("Enter");
  await expect(night).toContainText("nothing freezes");
});

for (const name of oneSample("Otter")) {
  test(`${name}, bare: the largest tank that fits is looked for, drawn, hung and undone`, async ({ page }) => {
    await openWorkbench(page, `${name}, bare`);
    await page.keyboard.press("3");
    const largest = page.getByTestId("largest");
    await largest.getByRole("button", { name: "Find the largest that fits" }).click();
    const first = largest.getByRole("listitem").first();
    await expect(first).toContainText(/L, \d+ × \d+ × \d+.mm inside/);
    await first.getByRole("button").first().click();
    await largest.getByRole("button", { name: "Hang it here" }).click();
    await expect(page.getByRole("group", { name: "Grey tank", exact: true })).toBeVisible();
    const findings = page.getByRole("region", { name: "Findings" });
    await expect(findings).not.toContainText("runs into");
    // what holds it is asked for on a boat too, and reckoned with what a boat does
    await expect(findings).toContainText("How Grey tank is held");
    await page.getByLabel("Held by").selectOption({ label: "On the sole inside" });
    await expect(findings).not.toContainText("How Grey tank is held");
    const loads = page.getByRole("table", { name: "What each load takes of the fixing" });
    await expect(loads.getByRole("row", { name: /^Lying upside down/ })).toBeVisible();
    await expect(loads).not.toContainText(/Braking|crash/);
    await page.keyboard.press("Control+z");
    await page.keyboard.press("Control+z");
    await expect(page.getByRole("group", { name: "Grey tank", exact: true })).toBeHidden();
  });
}

test("a profile is drawn: a corner put in by a double click, pulled, nudged, and taken out with Delete", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("3");
  const tank = page.getByRole("group", { name: "Grey tank", exact: true });
  await tank.getByLabel("Shape").selectOption({ label: "Profile, by its corners" });
  const sheet = tank.getByRole("group", { name: "Profile of the tank" });
  const whole = page.getByRole("button", { name: /^The whole tank/ });
  const box = litresOf(await whole.textContent());
  const corner = (n: number) => sheet.getByRole("button", { name: `Move corner ${n} of the profile` });
  await corner(1).scrollIntoViewIfNeeded();
  const [first, second] = [await findBox(corner(1)), await findBox(corner(2))];
  const y = first.y + first.height / 2;
  await page.mouse.dblclick((first.x + second.x + second.width) / 2, y);
  await expect(corner(5)).toBeVisible();
  // the new corner is the second; pulled up it takes room away
  const held = await findBox(corner(2));
  await page.mouse.move(held.x + held.width / 2, held.y + held.height / 2);
  await page.mouse.down();
  await page.mouse.move(held.x + held.width / 2, held.y - 20, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => litresOf(await whole.textContent())).toBeLessThan(box);
  const pulled = litresOf(await whole.textContent());
  await corner(2).focus();
  await page.keyboard.press("Shift+ArrowUp");
  await expect.poll(async () => litresOf(await whole.textContent())).toBeLessThan(pulled);
  await page.keyboard.press("Delete");
  await expect(corner(5)).toBeHidden();
  await tank.getByLabel("The profile runs").selectOption({ label: "Across the rig" });
  await expect(tank.getByLabel("The profile runs")).toHaveValue("y");
});

for (const name of oneSample("Lesesaal")) {
  test(`${name}: port, valve and hose, size, frost, hanging order, template and drawings, all from its tank`, async ({
    page,
  }) => {
    await openWorkbench(page, name);
    await page.keyboard.press("3");
    // a hatch with a thread and a fitting that is drawn
    await page.getByRole("button", { name: "Inspection hatch" }).click();
    const hatch = page.getByRole("group", { name: "Inspection hatch" });
    await hatch.getByLabel("Thread").selectOption({ label: "G 2 parallel" });
    const outlet = page.getByRole("group", { name: "Dump outlet" }).first();
    await outlet.getByLabel("Dump valve").selectOption({ label: "Electric" });
    await outlet.getByLabel("Bore of the valve").fill("20");
    await outlet.getByLabel("Bore of the valve").press("Enter");
    await expect(page.getByRole("region", { name: "Findings" })).toContainText("is narrower than the outlet");
    await outlet.getByLabel("Stands out from the wall").fill("60");
    await outlet.getByLabel("Stands out from the wall").press("Enter");
    await expect(plan(page).getByTestId("fitting")).toBeVisible();
    const emptying = page.getByRole("group", { name: "Running empty" });
    const before = await emptying.textContent();
    await page.getByLabel("Through a hose").check();
    await expect(emptying).not.toHaveText(before!);
    // the size slid up is drawn, then left
    const weigh = page.getByRole("slider", { name: "Capacity to weigh up" });
    const weighed = page.getByTestId("weighed");
    const own = await weighed.textContent();
    await weigh.focus();
    await page.keyboard.press("ArrowLeft");
    await expect(weighed).not.toHaveText(own!);
    await page.getByRole("button", { name: "Cancel" }).click();
    await expect(weighed).toHaveText(own!);
    // what it shows, and what holds it
    await page.getByRole("group", { name: "Gauge" }).getByLabel("Kind").selectOption({ label: "Electrode probes" });
    await expect(page.getByRole("table", { name: "What the gauge shows" }).getByRole("row")).toHaveCount(5);
    const fixing = page.getByRole("group", { name: "Fixing" });
    await fixing.getByLabel("Held by").selectOption({ label: "Folded tray" });
    await fixing.getByLabel("Bolts sit in").selectOption({ label: "Self-tapping screws" });
    await expect(page.getByRole("region", { name: "Findings" })).toContainText("hangs on self-tapping screws");
    await fixing.getByRole("button", { name: /^What the worst load takes of a bolt/ }).click();
    await expect(page.getByRole("dialog")).toContainText("u = V / VR + T / (1.4 TR)");
    await page.keyboard.press("Escape");
    await expect(page.getByTestId("frost-parts").getByRole("listitem").first()).toContainText("Valve at");
    await expect(page.getByTestId("drain-down")).toContainText("Leave the dump valves half open");
    await page.getByText("In what order it goes up").first().click();
    await expect(page.getByText(/Hold the empty tank in its place/).first()).toBeVisible();
    // files for the maker
    const templates = page.getByRole("group", { name: "Templates and order" });
    for (const [button, ending, begins] of [
      [/^Full-size PDF/, /front\.pdf$/, "%PDF-"],
      [/^Order sheet/, /order\.pdf$/, "%PDF-"],
      [/DXF$/, /faces\.dxf$/, "  0\nSECTION"],
    ] as const) {
      const [file] = await Promise.all([
        page.waitForEvent("download"),
        templates.getByRole("button", { name: button }).click(),
      ]);
      expect(file.suggestedFilename()).toMatch(ending);
      expect(
        readFileSync(await file.path(), "latin1")
          .replace(/^ *0\r?\n/, "  0\n")
          .startsWith(begins),
      ).toBe(true);
    }
    if (name === "Lesesaal") await expectAccessible(page);
  });
}

test("the SVG of Kranich's tank, measured by the browser: one unit is one millimetre, its front 462 × 202", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("3");
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "All sides, SVG" }).click(),
  ]);
  const text = readFileSync(await file.path(), "utf8");
  const measured = await page.evaluate((svg) => {
    const root = new DOMParser().parseFromString(svg, "image/svg+xml").documentElement as unknown as SVGSVGElement;
    document.body.append(root);
    const box = root.querySelector<SVGPathElement>("#front .outside")!.getBBox();
    const across = (kind: string) =>
      [...root.querySelectorAll<SVGCircleElement>(`#front .${kind}`)].map((c) => c.r.baseVal.value * 2);
    const [bores, holes] = [across("bore"), across("hole")];
    const unit = root.getAttribute("width") === `${root.viewBox.baseVal.width}mm`;
    root.remove();
    return { width: box.width, height: box.height, bores, holes, unit };
  }, text);
  expect(measured.unit).toBe(true);
  expect(measured.width).toBeCloseTo(462, 2);
  expect(measured.height).toBeCloseTo(202, 2);
  expect(measured.bores).toEqual([expect.closeTo(36.4, 3)]);
  // a plain fitting has a hole of its own, which nobody here knows
  expect(measured.holes).toEqual([]);
});

test("two tanks share a level: the stay is longer, the pipe is drawn, other water is not offered", async ({ page }) => {
  await openWorkbench(page);
  // water enough that it is the tanks that end the stay
  await page.keyboard.press("2");
  await page.getByLabel("Fresh water carried, holds").fill("400");
  await page.getByLabel("Fresh water carried, holds").press("Enter");
  await page.getByLabel("Fresh water carried, holds").blur();
  await page.keyboard.press("3");
  await page.getByRole("button", { name: "Grey tank", exact: true }).click();
  // what is hung stands on the stage
  await expect(page.getByLabel("Tank shown")).toHaveValue("grey-2");
  const second = page.getByRole("group", { name: "Grey tank 2", exact: true });
  const stay = page.getByRole("button", { name: /^Days/ });
  const before = await stay.textContent();
  await second.getByLabel("Goes on").selectOption({ label: "Level with Grey tank" });
  await expect(plan(page).getByTestId("tank-link")).toBeVisible();
  await expect(stay).not.toHaveText(before!);
  await second.getByLabel("Goes on").selectOption({ label: "Pumped into Grey tank" });
  await expect(second.getByLabel("Goes on")).toHaveValue("pumped:grey");
  await expect(second).toContainText("No pump is laid for it yet");
  await page.getByRole("button", { name: "Black tank", exact: true }).click();
  await expect(page.getByRole("group", { name: "Black tank", exact: true }).getByLabel("Goes on")).toBeHidden();
});

test("a tank pulled up near the floor takes hold under it; with Alt it goes where the hand is", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("3");
  const height = page.getByRole("group", { name: /^Place of its/ }).getByLabel(PLACE.z);
  const tank = page
    .getByRole("region", { name: "The rig from the side" })
    .getByRole("button", { name: "Move Grey tank from the side" });
  const pullUp = async (px: number, isFree = false) => {
    await page.keyboard.press("1");
    if (isFree) await page.keyboard.down("Alt");
    await pull(page, tank, 0, -px);
    if (isFree) await page.keyboard.up("Alt");
    await page.keyboard.press("3");
    const value = await height.inputValue();
    await page.keyboard.press("Control+z");
    return value;
  };
  expect(await pullUp(9)).toBe(await pullUp(11));
  const free = [await pullUp(9, true), await pullUp(11, true)];
  expect(free[0]).not.toBe(free[1]);
});

test("an exhaust without a shield wants more room of the tank", async ({ page }) => {
  await openWorkbench(page);
  await page.keyboard.press("1");
  const things = page.getByRole("group", { name: "Under and in the way" });
  await things.getByRole("button", { name: /^Exhaust/ }).click();
  const findings = page.getByRole("region", { name: "Findings" });
  await things.getByLabel(PLACE.y).fill("-240");
  await things.getByLabel(PLACE.y).press("Enter");
  await expect(findings).not.toContainText("Exhaust");
  await things.getByLabel("A metal shield before it, with an air gap").uncheck();
  await expect(findings.getByRole("button", { name: /Grey tank.*Exhaust/ })).toBeVisible();
  await things.getByLabel("A metal shield before it, with an air gap").check();
  await expect(findings.getByRole("button", { name: /Grey tank.*Exhaust/ })).toBeHidden();
});
