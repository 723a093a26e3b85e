import type { Page } from "@playwright/test";
import {
  expect,
  expectAccessible,
  oneRig,
  openRig,
  openWorkbench,
  PLACE,
  pull,
  type RigName,
  readInHand,
  section,
  test,
  toNumber,
} from "./fixtures";

// A wall across the way of the sink's drain, and a window beside the breather's end, by their three coordinates.
const PLACES = {
  Kranich: { wall: ["2050", "0", "-400"], window: ["1600", "800", "850"] },
  Lesesaal: { wall: ["4000", "100", "-400"], window: ["2400", "800", "1850"] },
  Puppenwagen: { wall: ["1030", "-750", "-400"], window: ["0", "-450", "580"] },
} as const;

/** Puppenwagen comes without trap and breather, as it was found. */
async function complete(page: Page, name: RigName): Promise<void> {
  if (name !== "Puppenwagen") return;
  await page.keyboard.press("5");
  await page.getByRole("button", { name: "Breather for Grey tank" }).click();
  await page.keyboard.press("4");
  await page.getByRole("group", { name: "Trap", exact: true }).getByLabel("Kind").selectOption("pTrap");
}

for (const name of oneRig("Puppenwagen")) {
  test(`${name}: the fall of a leg is typed and the far end follows; even between the ends`, async ({ page }) => {
    await openRig(page, name);
    await page.keyboard.press("4");
    const falls = page.getByRole("group", { name: "Fall of each leg" });
    const last = falls.getByLabel(/^Leg 3/);
    await last.fill("80");
    await last.press("Enter");
    await expect(last).toHaveValue("80");
    // the first leg ends at the drop, whose head comes down with it
    const first = falls.getByLabel(/^Leg 1/);
    await first.fill("40");
    await first.press("Enter");
    await expect(first).toHaveValue("40");
    await last.fill("5000");
    await last.press("Enter");
    await expect(falls.getByRole("alert")).toContainText(/From −500.mm\/m to 1000.mm\/m\./);
  });

  test(`${name}: a whole leg is pulled in the section: it keeps its fall and takes the inlet along`, async ({
    page,
  }) => {
    await openRig(page, name);
    await page.keyboard.press("4");
    const fall = page.getByRole("group", { name: "Fall of each leg" }).getByLabel(/^Leg 3/);
    const drop = section(page).locator("..").getByRole("button", { name: "Drop, leg 2: show the working" });
    const first = page.getByRole("group", { name: "Fall of each leg" }).getByLabel(/^Leg 1/);
    const before = {
      first: await first.inputValue(),
      fall: await fall.inputValue(),
      drop: toNumber(await drop.innerText()),
    };
    const leg = section(page).getByRole("button", { name: /, leg 3, keeping its fall$/ });
    await pull(page, leg, 0, 4);
    await expect.poll(async () => toNumber(await drop.innerText())).toBeGreaterThan(before.drop);
    // a longer drop and the same falls before and after it: the inlet went down as well
    await expect(first).toHaveValue(before.first);
    await expect(fall).toHaveValue(before.fall);
    await expect(page.getByRole("button", { name: /^Undo: / })).toBeEnabled();
    await page.keyboard.press("Control+z");
    await expect.poll(async () => toNumber(await drop.innerText())).toBe(before.drop);
    await leg.focus();
    await leg.press("Shift+ArrowDown");
    await expect.poll(async () => toNumber(await drop.innerText())).toBeCloseTo(before.drop + 10, 0);
    await expect(fall).toHaveValue(before.fall);
  });

  test(`${name}: from a bend on the drain goes on in hose: joined by a barb, on the list of parts, and told of where it narrows`, async ({
    page,
  }) => {
    await openRig(page, name);
    await page.keyboard.press("4");
    const bends = page.getByRole("group", { name: "Bends, inverts" });
    await bends.getByRole("button", { name: /^Bend 2/ }).click();
    await bends.getByLabel("From bend 2 on").selectOption({ label: "Smooth hose 25 mm" });
    await expect(bends).toContainText("Joined by a hose barb to Smooth hose 25 mm.");
    await expect(bends.getByRole("button", { name: /^Bend 2, hose barb/ })).toBeVisible();
    await expect(page.getByRole("region", { name: "Findings" })).toContainText("narrows the way");
    await expect(page.getByRole("group", { name: "Parts" })).toContainText("hose barb and clamp");
    await bends.getByLabel("From bend 2 on").selectOption({ label: "Same pipe goes on" });
    await bends.getByRole("button", { name: "A union here, to take it apart" }).click();
    await expect(page.getByRole("group", { name: "Parts" })).toContainText("union, ");
    // a flap at the bend is bought, and said not to be counted on
    await bends.getByLabel("Sits there").selectOption({ label: "Non-return flap" });
    await expect(bends.getByRole("button", { name: /^Bend 2, union, non-return flap/ })).toBeVisible();
    await expect(page.getByRole("group", { name: "Parts" })).toContainText("Non-return flap, ");
    await expect(page.getByRole("region", { name: "Findings" })).toContainText("is not counted on");
    await bends.getByLabel("Sits there").selectOption({ label: "Nothing" });
    await expect(page.getByRole("region", { name: "Findings" })).not.toContainText("is not counted on");
  });

  test(`${name}: a trap in the line behind a trap is told of, and the remedy keeps one`, async ({ page }) => {
    await openRig(page, name);
    await complete(page, name);
    await page.keyboard.press("4");
    const line = page.getByRole("group", { name: "Running trap in the line" });
    await line.getByLabel("Where").selectOption({ label: "At bend 2" });
    const findings = page.getByRole("region", { name: "Findings" });
    await findings.getByRole("button", { name: /stands behind another trap/ }).click();
    await findings.getByRole("button", { name: "Take the trap under the fixture out" }).click();
    await findings.getByRole("button", { name: "Do it" }).click();
    await expect(findings).not.toContainText("stands behind another trap");
    await expect(findings).toContainText("freezes on a cold night");
    await expect(page.getByRole("group", { name: "Trap", exact: true }).getByLabel("Kind")).toHaveValue("none");
  });

  test(`${name}: each cause that takes from the seal says what it leaves, and opens to its sum`, async ({ page }) => {
    await openRig(page, name);
    await complete(page, name);
    await page.keyboard.press("4");
    const trap = page.getByRole("group", { name: "Trap", exact: true });
    for (const [cause, sum] of [
      ["Seal left after the pipe ran full", "max(0, f − D)"],
      ["Seal left after driving", "s a / (2 g)"],
      ["Seal left after dumping", "p / (2 ρ g)"],
      ["Seal while the tank fills", "p / (2 ρ g)"],
      ["Until the trap is dry", "T = H / e"],
    ] as const) {
      await trap.getByRole("button", { name: new RegExp(`^${cause}`) }).click();
      await expect(page.getByRole("dialog")).toContainText(sum);
      await page.keyboard.press("Escape");
    }
  });

  test(`${name}: a wall in the way is drilled: the hole, its edge and the side are said; a window near a breather is told of`, async ({
    page,
  }) => {
    await openRig(page, name);
    await complete(page, name);
    await page.keyboard.press("1");
    const place = async (kind: string, [x, y, z]: readonly [string, string, string]) => {
      await page.getByRole("group", { name: "Under and in the way" }).getByRole("button", { name: "Add" }).click();
      const fields = page.getByRole("group", { name: "Under and in the way" });
      await fields.getByLabel("Kind").selectOption({ label: kind });
      for (const [label, value] of [
        [PLACE.x, x],
        [PLACE.y, y],
        [PLACE.z, z],
      ] as const) {
        await fields.getByLabel(label).fill(value);
        await fields.getByLabel(label).press("Enter");
      }
    };
    await place("Wall or bulkhead", PLACES[name].wall);
    const height = page.getByRole("group", { name: "Under and in the way" }).getByLabel("Height");
    await height.fill("400");
    await height.press("Enter");
    await height.blur();
    await page.keyboard.press("6");
    const holes = page.getByRole("group", { name: "Holes to drill" });
    await expect(holes).toContainText("to its edge");
    await holes
      .getByRole("button", { name: /^Hole in the wall/ })
      .first()
      .click();
    await expect(page.getByRole("dialog")).toContainText("t tan θ");
    await page.keyboard.press("Escape");
    await page.keyboard.press("1");
    await place("Window or door", PLACES[name].window);
    await expect(page.getByRole("region", { name: "Findings" })).toContainText("ends near Window or door");
  });

  test(`${name}: the rig says what ridge and ramps it takes, with the working`, async ({ page }) => {
    await openRig(page, name);
    await page.keyboard.press("1");
    const ramps = page.getByRole("region", { name: "The rig from the side" });
    // a trailer has one axle: no ridge, but a ramp behind it
    const [ridge, sum] =
      name === "Puppenwagen"
        ? ["Ramp behind the last axle", "atan(h / a)"]
        : ["Ridge between the axles", "atan(h / a) + atan(h / b)"];
    await ramps.getByRole("button", { name: new RegExp(`^${ridge}`) }).click();
    await expect(page.getByRole("dialog")).toContainText(sum);
    await page.keyboard.press("Escape");
    if (name === "Puppenwagen") await expectAccessible(page);
  });
}

test("Lesesaal furnished: twelve fixtures, none to settle; one of them pours into the shared pipe", async ({
  page,
}) => {
  await openWorkbench(page, "Lesesaal, furnished");
  await page.keyboard.press("4");
  await expect(page.getByRole("region", { name: "Findings" })).not.toContainText("to settle before you drill");
  await page.getByRole("group", { name: "Fixtures" }).getByRole("button", { name: "Nursery basin" }).click();
  await expect(page.getByRole("group", { name: /^Nursery basin, underside/ })).toBeVisible();
  expect(await readInHand(page, "worst")).toBeGreaterThanOrEqual(0);
  await page.keyboard.press("p");
  await page.getByLabel("What is poured").selectOption({ label: "All of them at once" });
  await expect(page.getByTestId("pour-says")).toContainText("Kitchen sink");
  await page.getByRole("button", { name: "Close the pour" }).click();
  await page.getByRole("button", { name: "Find ways under the floor" }).click();
  await expect(page.getByTestId("routes").getByRole("listitem").first()).toContainText(
    /of pipe, \d+ bends?, (to|into) /,
  );
});
