import type { Locator, Page } from "@playwright/test";
import type { Design } from "@/core/design/design";
import type { Gear, HoseEnd, WorkingState } from "@/core/design/gear";
import { findBranchVent, findTrap } from "@/core/design/lineItems";
import type { Drain, DumpLine, Fixture, Hose, Port, Tank, Vent } from "@/core/design/plumbing";
import type { Obstacle, Supply } from "@/core/design/rig";
import type { Vec3 } from "@/core/geometry/vec";
import { findPipeSize } from "@/core/parts/pipes";
import { findFace } from "@/core/templates/tankFaces";
import { speakFor } from "@/words/afloat";
import { TRAP_NAMES } from "@/words/drainLabels";
import { GEAR_NAMES, POSITION_NAMES } from "@/words/gear";
import { GEAR_CHOICES, GEAR_FIELDS, GEAR_TICKS, PORT_WORDS } from "@/words/gearFields";
import { DISCHARGE_NAMES, HOSE_WALL_NAMES } from "@/words/heads";
import { HULL_NAMES } from "@/words/hull";
import { BRANCH_VENT_NAMES, FIXTURE_NAMES, PORT_NAMES } from "@/words/labels";
import { nameSide } from "@/words/ports";
import { OBSTACLE_NAMES } from "@/words/rigLabels";
import { FASTENER_NAMES, FIXING_NAMES } from "@/words/tankLabels";
import { formatParts } from "@/words/units";
import { choose, expect, PLACE, type } from "./fixtures";

/*
 * Lays out by hand what a design has more than the one that is open, station by station, with the fields and lists any
 * builder has. What comes out is saved as a file by whoever wants to hold it against the design.
 */

/** Goes to a station and gives its column of measures. */
export async function goTo(page: Page, station: string): Promise<Locator> {
  const stations = page.getByRole("navigation", { name: "Stations" });
  await stations.getByRole("button", { name: new RegExp(`^${station}`) }).click();
  return page.getByRole("region", { name: `Measures: ${station}` });
}

const AXES = ["x", "y", "z"] as const;

async function typePlace(group: Locator, at: Vec3): Promise<void> {
  for (const axis of AXES) await type(group.getByLabel(PLACE[axis]), at[axis]);
}

/** Points of a line, in a list where none is yet. */
async function typePoints(list: Locator, points: readonly Vec3[]): Promise<void> {
  for (const point of points) {
    await list.getByRole("button", { name: "One before the end" }).click();
    await typePlace(list, point);
  }
}

// A line that keeps its end: the points that came with it go, the wanted ones are put in before the end, which is typed last.
async function layCourse(group: Locator, pointsMm: readonly Vec3[]): Promise<void> {
  const rows = group.getByRole("button", { name: /^(Point|Open end|End)/ });
  while ((await rows.count()) > 1) {
    const before = await rows.count();
    await rows.first().click();
    await group.getByRole("button", { name: "Take it out" }).click();
    await expect(rows).toHaveCount(before - 1);
  }
  await typePoints(group, pointsMm.slice(0, -1));
  await rows.last().click();
  await typePlace(group, pointsMm.at(-1)!);
}

const CORNER = /^Place of its (rear right|after starboard) bottom corner$/;
export const groupOf = (panel: Locator, name: string | RegExp): Locator =>
  panel.getByRole("group", typeof name === "string" ? { name, exact: true } : { name });

/** A row of a list, which may say more after its name. */
const startsWith = (list: Locator, name: string): Locator =>
  list.getByRole("button", { name: new RegExp(`^${name}`) }).first();

// A tank comes with its breather and its way out; who lays his own takes them out first.
async function hangBare(page: Page, name: string, isPumpedOut: boolean): Promise<void> {
  await (await goTo(page, "Tanks")).getByRole("button", { name, exact: true }).click();
  await expect(page.getByRole("group", { name, exact: true }).first()).toBeVisible();
  await (await goTo(page, "Air")).getByRole("button", { name: `Take Breather of ${name} out` }).click();
  const panel = await goTo(page, "Tanks");
  const line = panel.getByRole("button", { name: `Take Dump line of ${name} out` });
  if (await line.isVisible()) await line.click();
  if (!isPumpedOut) return;
  const loop = await goTo(page, "Loop");
  await startsWith(groupOf(loop, "Pieces"), `${name}, pump-out`).click();
  await loop.getByRole("button", { name: `Take ${name}, pump-out away` }).click();
}

export async function layTank(page: Page, tank: Tank, rig: Design["rig"]): Promise<void> {
  const name = `${{ grey: "Grey", black: "Black", fresh: "Fresh", loop: "Loop" }[tank.holds]} tank`;
  await hangBare(page, name, rig.kind === "boat" && tank.holds !== "fresh");
  const panel = await goTo(page, "Tanks");
  const shown = page.getByLabel("Tank shown", { exact: true });
  if (await shown.isVisible()) await shown.selectOption({ index: (await shown.locator("option").count()) - 1 });
  const { solid } = tank;
  if (solid.shape !== "box") throw new Error("only boxes are laid out here");
  await type(panel.getByLabel("Inside, length", { exact: true }), solid.lengthMm);
  await type(panel.getByLabel("Inside, width", { exact: true }), solid.widthMm);
  await type(panel.getByLabel("Inside, height", { exact: true }), solid.heightMm);
  await type(panel.getByLabel("Wall", { exact: true }), tank.wallMm);
  await type(panel.getByLabel("Lagged with foam of", { exact: true }), tank.insulationMm);
  await typePlace(groupOf(panel, CORNER), tank.atMm);
  if (tank.padW) await type(panel.getByLabel("Heating pad", { exact: true }), tank.padW);
  // ports that come with the tank and are not wanted go, those that lack are added
  const wanted = [...tank.ports];
  const order: Port[] = [];
  const holes = () => panel.getByRole("group").filter({ has: page.getByLabel("Sits in its", { exact: true }) });
  for (let i = 0; i < (await holes().count()); ) {
    const title = (await holes().nth(i).locator("legend").textContent()) ?? "";
    const at = wanted.findIndex(({ kind }) => title.toLowerCase().includes(PORT_NAMES[kind].toLowerCase()));
    if (at >= 0) {
      order.push(...wanted.splice(at, 1));
      i += 1;
    } else {
      const before = await holes().count();
      await holes()
        .nth(i)
        .getByRole("button", { name: /^Take this/ })
        .click();
      await expect(holes()).toHaveCount(before - 1);
    }
  }
  for (const port of wanted) {
    if (port.kind === "vent" || port.kind === "inlet") continue;
    const before = await holes().count();
    await groupOf(panel, "Ports").getByRole("button", { name: PORT_NAMES[port.kind], exact: true }).click();
    await expect(holes()).toHaveCount(before + 1);
    order.push(port);
  }
  for (const [i, port] of order.entries()) await typePort(holes().nth(i), tank, port, rig);
  if (tank.fixing) await layFixing(panel, tank.fixing, speakFor(rig.kind));
}

/** Moves the tank that is there to another place. */
export async function moveTank(page: Page, tank: Tank): Promise<void> {
  await typePlace(groupOf(await goTo(page, "Tanks"), CORNER), tank.atMm);
}

async function layFixing(
  panel: Locator,
  fixing: NonNullable<Tank["fixing"]>,
  say: (text: string) => string,
): Promise<void> {
  const group = groupOf(panel, "Fixing");
  await choose(group.getByLabel("Held by", { exact: true }), say(FIXING_NAMES[fixing.kind].name));
  await choose(group.getByLabel("Bolts sit in", { exact: true }), say(FASTENER_NAMES[fixing.fastener]));
  await type(group.getByLabel("Bolts, class 8.8", { exact: true }), fixing.bolts);
  await choose(group.getByLabel("Of size", { exact: true }), fixing.size);
  await group.getByLabel("Plate behind each bolt", { exact: true }).setChecked(fixing.hasPlate);
}

/** The port a breather brought along, or an inlet a drain did: the hole is measured once it is there. */
export async function typeLastPort(page: Page, tank: Tank, port: Port, rig: Design["rig"]): Promise<void> {
  const panel = await goTo(page, "Tanks");
  const shown = page.getByLabel("Tank shown");
  if (await shown.isVisible()) await shown.selectOption({ label: tank.name });
  const holes = panel.getByRole("group").filter({ has: page.getByLabel("Sits in its") });
  const wanted = new RegExp(PORT_NAMES[port.kind], "i");
  await typePort(holes.filter({ has: page.locator("legend", { hasText: wanted }) }).last(), tank, port, rig);
}

async function typePort(group: Locator, tank: Tank, port: Port, rig: Design["rig"]): Promise<void> {
  await choose(group.getByLabel("Sits in its", { exact: true }), nameSide(findFace(tank.solid, port).face, rig.kind));
  await type(group.getByLabel("Bore", { exact: true }), port.boreMm);
  await type(group.getByLabel(/^From the tank.s (rear|after end)$/), port.atMm.x);
  await type(group.getByLabel(/^From its (right|starboard) side$/), port.atMm.y);
  await type(group.getByLabel("Invert over its bottom", { exact: true }), port.atMm.z);
  if (port.kind === "outlet")
    await choose(group.getByLabel("Dump valve", { exact: true }), port.valve ? "By hand" : "Not chosen yet");
}

/** A breather: one more, or the one that is there, with its course typed anew. */
export async function layVent(page: Page, vent: Vent, tank: Tank, isThere: boolean): Promise<void> {
  const panel = await goTo(page, "Air");
  if (!isThere) await panel.getByRole("button", { name: `Breather for ${tank.name}` }).click();
  const groups = panel.getByRole("group").filter({ has: page.getByLabel("Ends", { exact: true }) });
  const group = isThere ? groups.first() : groups.last();
  await type(group.getByLabel("Name", { exact: true }), vent.name);
  // the wall comes first: no bore is wider than it
  await type(group.getByLabel("Outside diameter", { exact: true }), vent.pipe.outerMm);
  await type(group.getByLabel("Bore", { exact: true }), vent.pipe.innerMm);
  await layCourse(group, vent.pointsMm);
}

/** A dump line from the first outlet of a tank that has none yet. */
export async function layDumpLine(page: Page, line: DumpLine, tank: Tank): Promise<void> {
  const panel = await goTo(page, "Tanks");
  const shown = page.getByLabel("Tank shown", { exact: true });
  if (await shown.isVisible()) await shown.selectOption({ label: tank.name });
  await panel.getByRole("button", { name: "Lay a line to the side" }).first().click();
  const group = panel.getByRole("group").filter({ has: page.getByLabel("Valve at its end", { exact: true }) });
  await type(group.getByLabel("Name", { exact: true }), line.name);
  await type(group.getByLabel("Outside diameter", { exact: true }), line.pipe.outerMm);
  await type(group.getByLabel("Bore", { exact: true }), line.pipe.innerMm);
  await layCourse(group, line.pointsMm);
}

/** A piece of gear; a tap stands over the fixture that is named. */
export async function layGear(page: Page, piece: Gear, over: string): Promise<void> {
  const panel = await goTo(page, "Loop");
  const { kind, ...figures } = piece.spec;
  await panel.getByLabel("Piece of gear", { exact: true }).selectOption({ label: GEAR_NAMES[kind].name });
  await type(groupOf(panel, GEAR_NAMES[kind].name).getByLabel("Name", { exact: true }), piece.name);
  const group = groupOf(panel, piece.name);
  for (const [key, value] of Object.entries(figures)) {
    const field = GEAR_FIELDS[key];
    const choice = GEAR_CHOICES[key];
    const tick = GEAR_TICKS[key];
    if (field && (typeof value === "number" || value === null)) {
      const shown = value === null ? "" : formatParts(value / (field.times ?? 1), field.quantity, "metric").figure;
      await type(group.getByLabel(field.label, { exact: true }), shown);
    } else if (choice && typeof value === "string")
      await choose(group.getByLabel(choice.label, { exact: true }), choice.names[value]!);
    else if (tick && typeof value === "boolean") await group.getByLabel(tick, { exact: true }).setChecked(value);
  }
  if ("fixtureId" in figures && figures.fixtureId !== null)
    await choose(group.getByLabel("Stands over", { exact: true }), over);
  if (piece.isSecured) await group.getByLabel(/^Secured/).check();
  const place = groupOf(panel, CORNER);
  await typePlace(place, piece.atMm);
  await type(place.getByLabel("Length", { exact: true }), piece.sizeMm.x);
  await type(place.getByLabel("Width", { exact: true }), piece.sizeMm.y);
  await type(place.getByLabel("Height", { exact: true }), piece.sizeMm.z);
  await type(place.getByLabel("Room to open it, below", { exact: true }), piece.openBelowMm);
}

export async function layHose(page: Page, hose: Hose, target: Design): Promise<void> {
  const panel = await goTo(page, "Loop");
  const group = groupOf(panel, "Hoses");
  await choose(group.getByLabel("From", { exact: true }), nameEnd(target, hose.from));
  await choose(group.getByLabel("To", { exact: true }), nameEnd(target, hose.to));
  const rows = group.getByRole("listitem").filter({ has: page.getByText(" to ") });
  await group.getByRole("button", { name: "Join them by a hose" }).click();
  const row = group.locator("ul").first().locator(":scope > li").last();
  await row.getByRole("button").first().click();
  await type(row.getByLabel("Name", { exact: true }), hose.name);
  await type(row.getByLabel("Bore", { exact: true }), hose.pipe.innerMm);
  await type(row.getByLabel("Outside", { exact: true }), hose.pipe.outerMm);
  if (hose.insulationMm) await type(row.getByLabel("Lagged under the floor", { exact: true }), hose.insulationMm);
  if (hose.wall) await choose(row.getByLabel("Made of", { exact: true }), HOSE_WALL_NAMES[hose.wall]);
  await typePoints(row, hose.pointsMm);
  await expect(rows.first()).toBeVisible();
}

function nameEnd({ gear, tanks }: Design, end: HoseEnd): string {
  if (end.kind === "gear") return `${gear.find(({ id }) => id === end.gearId)!.name}, ${PORT_WORDS[end.port]}`;
  const tank = tanks.find(({ id }) => id === end.tankId)!;
  return `${tank.name}, ${PORT_NAMES[tank.ports.find(({ id }) => id === end.portId)!.kind].toLowerCase()}`;
}

export async function layFixture(page: Page, fixture: Fixture): Promise<void> {
  const panel = await goTo(page, "Falls");
  await panel.getByLabel("Add a fixture", { exact: true }).selectOption({ label: FIXTURE_NAMES[fixture.kind] });
  await typeFixture(panel, fixture);
}

async function typeFixture(panel: Locator, fixture: Fixture): Promise<void> {
  const group = groupOf(panel, /underside of the waste$/);
  // what lays a drain is fetched first
  await expect(group.getByLabel("Name", { exact: true })).toHaveValue(new RegExp(`^${FIXTURE_NAMES[fixture.kind]}`));
  await type(group.getByLabel("Name", { exact: true }), fixture.name);
  await typePlace(group, fixture.outletMm);
  await type(group.getByLabel("Bore", { exact: true }), fixture.boreMm);
  await type(group.getByLabel("Rim over the outlet", { exact: true }), fixture.rimMm);
  await type(
    group.getByLabel("Tap, full on", { exact: true }),
    formatParts(fixture.inflowLps, "flow", "metric").figure,
  );
  await type(
    group.getByLabel("One use", { exact: true }),
    formatParts(fixture.volumePerUseL, "volume", "metric").figure,
  );
  await group.getByLabel(/^Has a plug/).setChecked(fixture.hasPlug);
}

/** The drain of the fixture that is shown at Falls, its end named as the list of ends names it. */
export async function layDrain(page: Page, drain: Drain, fixture: Fixture, end: string): Promise<void> {
  const panel = await goTo(page, "Falls");
  await startsWith(panel, fixture.name).click();
  const trap = groupOf(panel, "Trap");
  await choose(trap.getByLabel("Kind", { exact: true }), TRAP_NAMES[findTrap(drain)?.kind ?? "none"].name);
  const own = findTrap(drain);
  if (own) {
    if (own.kind !== "membrane") await type(trap.getByLabel("Seal", { exact: true }), own.sealMm);
    await type(trap.getByLabel("Outlet down to weir", { exact: true }), own.dropMm);
    await type(trap.getByLabel("Outlet across to weir", { exact: true }), own.spanMm);
    await trap.getByLabel(/^Can be opened/).setChecked(own.hasCleanout);
  }
  const pipe = groupOf(panel, "Pipe");
  const ends = pipe.getByLabel("Ends in", { exact: true });
  const value = await ends.locator("option", { hasText: end }).first().getAttribute("value");
  if ((await ends.inputValue()) !== value) await ends.selectOption(value!);
  if ("atMm" in drain.to) await typePlace(groupOf(panel, "Where it ends"), drain.to.atMm);
  if (!findPipeSize(drain.pipe)) throw new Error(`${drain.name} is no pipe that is sold`);
  await type(pipe.getByLabel("Bore", { exact: true }), drain.pipe.innerMm);
  await type(pipe.getByLabel("Outside diameter", { exact: true }), drain.pipe.outerMm);
  await type(pipe.getByLabel("Roughness n", { exact: true }), drain.pipe.manningN);
  if (drain.to.kind === "junction")
    await choose(pipe.getByLabel("Joins by a", { exact: true }), drain.to.fitting === "wye" ? "Wye" : "Tee");
  const bends = groupOf(panel, "Bends, inverts");
  const rows = bends.getByRole("listitem");
  while ((await rows.count()) > 0) {
    const before = await rows.count();
    await rows.first().getByRole("button").first().click();
    await bends.getByRole("button", { name: "Take it out" }).click();
    await expect(rows).toHaveCount(before - 1);
  }
  await typePoints(bends, drain.bendsMm);
  const air = await goTo(page, "Air");
  const branch = groupOf(air, `Air on ${drain.name}`);
  await choose(branch.getByLabel("Kind", { exact: true }), BRANCH_VENT_NAMES[findBranchVent(drain)?.kind ?? "none"]);
  const air0 = findBranchVent(drain);
  if (air0) await type(branch.getByLabel("From the trap's weir", { exact: true }), air0.fromWeirMm);
}

/** What a boat's own sheet says: her measures, and her hull read from a table of offsets. */
export async function layBoat(page: Page, rig: Design["rig"]): Promise<void> {
  const panel = await goTo(page, "Rig");
  await type(panel.getByLabel("Sole, length", { exact: true }), rig.lengthMm);
  await type(panel.getByLabel("Sole, width", { exact: true }), rig.widthMm);
  await type(panel.getByLabel("Underside of the keel", { exact: true }), rig.groundZMm);
  if (rig.waterlineZMm !== null) await type(panel.getByLabel("Waterline", { exact: true }), rig.waterlineZMm);
  if (!rig.hull) return;
  const hull = groupOf(panel, "Hull");
  await hull.getByRole("button", { name: "Begin with a round bilge" }).click();
  const rows = rig.hull.sections.flatMap(({ xMm, pointsMm }) => pointsMm.map(({ y, z }) => `${xMm},${y},${z}`));
  await hull.getByLabel("Table of offsets as CSV").setInputFiles({
    name: "offsets.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(`x,y,z\n${rows.join("\n")}\n`),
  });
  await expect(hull.getByLabel("Section", { exact: true }).locator("option")).toHaveCount(rig.hull.sections.length);
  await choose(hull.getByLabel("Made of", { exact: true }), HULL_NAMES[rig.hull.material]);
  await type(hull.getByLabel("Thickness", { exact: true }), rig.hull.thicknessMm);
  const heads = await goTo(page, "Heads");
  if (rig.displacementKg) await type(heads.getByLabel("Weight as she floats", { exact: true }), rig.displacementKg);
  if (rig.gmMm) await type(heads.getByLabel("GM", { exact: true }), rig.gmMm);
}

/** What stands in the way: one more, or the one of that name with its measures typed anew. */
export async function layObstacle(page: Page, obstacle: Obstacle): Promise<void> {
  const group = groupOf(await goTo(page, "Rig"), "Under and in the way");
  const there = startsWith(group, obstacle.name);
  if (await there.isVisible()) await there.click();
  else await group.getByRole("button", { name: "Add", exact: true }).click();
  await type(group.getByLabel("Name", { exact: true }), obstacle.name);
  await choose(group.getByLabel("Kind", { exact: true }), OBSTACLE_NAMES[obstacle.kind]);
  await typePlace(group, obstacle.atMm);
  await type(group.getByLabel("Length", { exact: true }), obstacle.lengthMm);
  await type(group.getByLabel("Width", { exact: true }), obstacle.widthMm);
  await type(group.getByLabel("Height", { exact: true }), obstacle.heightMm);
}

export async function takeObstacleAway(page: Page, name: string): Promise<void> {
  const group = groupOf(await goTo(page, "Rig"), "Under and in the way");
  await startsWith(group, name).click();
  await group.getByRole("button", { name: "Take it away" }).click();
}

export async function layState(page: Page, state: WorkingState, gear: readonly Gear[]): Promise<void> {
  const panel = await goTo(page, "Loop");
  const group = groupOf(panel, "Working states");
  await group.getByLabel("One more state", { exact: true }).selectOption({ label: "Standby" });
  await type(group.getByLabel("Called", { exact: true }), state.name);
  if (state.place) await choose(group.getByLabel("Used where", { exact: true }), DISCHARGE_NAMES[state.place]);
  const drawing = page.getByTestId("loop-waterway");
  const nameOf = (id: string) => gear.find((piece) => piece.id === id)!.name;
  for (const { gearId, at } of state.positions) {
    const now = drawing.getByRole("button", { name: new RegExp(`^${nameOf(gearId)},`) });
    const isThere = async () =>
      ((await now.getAttribute("aria-label")) ?? (await now.textContent()) ?? "").endsWith(POSITION_NAMES[at]);
    await now.press("Enter");
    if (!(await isThere())) await now.press("Enter");
  }
  for (const id of state.openTaps) await drawing.getByRole("button", { name: `${nameOf(id)}, shut` }).press("Enter");
  for (const id of state.on)
    await drawing.getByRole("button", { name: new RegExp(`^${nameOf(id)}, (off|dark)$`) }).press("Enter");
  const keep = page.getByRole("button", { name: `Keep as ${state.name}` });
  if (await keep.isVisible()) await keep.click();
}

/** Says what feeds pumps and lamps, and where the fuse box hangs. */
export async function laySupply(page: Page, { volts, boxMm, dropShare }: Supply): Promise<void> {
  const group = groupOf(await goTo(page, "Build"), "Wiring of the water side");
  await choose(group.getByLabel("Battery", { exact: true }), `${volts} V`);
  await type(group.getByLabel("Fuse box, from the rear edge", { exact: true }), boxMm.x);
  await type(group.getByLabel("Fuse box, left of the middle", { exact: true }), boxMm.y);
  await type(group.getByLabel("Fuse box, over the floor", { exact: true }), boxMm.z);
  await type(group.getByLabel("May be lost on the way", { exact: true }), `${100 * dropShare} %`);
}
