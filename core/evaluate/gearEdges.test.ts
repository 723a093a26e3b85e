import { readDemo } from "@/tests/demoRigs";
import { buildSharedAir } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import type { Gear, GearOf } from "../design/gear";
import type { Hose, Line, Tank } from "../design/plumbing";
import type { Hull } from "../design/rig";
import { listGearPorts, placeGearPort } from "../gear/gearPorts";
import { findHalfBreadthMm } from "../hull/loft";
import { measureFitting } from "../through/holes";
import { listFitted } from "./domains";
import { evaluate } from "./evaluate";
import type { Finding } from "./findings";

// Where what is said of gear and skin fittings begins, piece by piece.

type Fitting = GearOf<"skinFitting">;
const boat = readDemo("setzkasten");
const loop = readDemo("kranich-loop");

const all = <C extends Finding["code"]>(design: Design, code: C) =>
  evaluate(design).findings.filter((f): f is Extract<Finding, { code: C }> => f.code === code);
const at = (design: Design, id: string, code: Finding["code"]) =>
  all(design, code).filter(({ at: where }) => "id" in where && where.id === id);
const withGear = (design: Design, id: string, to: (piece: Gear) => Gear): Design => ({
  ...design,
  gear: design.gear.map((piece) => (piece.id === id ? to(piece) : piece)),
});
const withSpec = (design: Design, id: string, given: object): Design =>
  withGear(design, id, (piece) => ({ ...piece, spec: { ...piece.spec, ...given } }) as Gear);
const madeOf = (material: Hull["material"], metal: Fitting["spec"]["metal"], more: object = {}): Design =>
  withSpec({ ...boat, rig: { ...boat.rig, hull: { ...boat.rig.hull!, material } } }, "seacock", { metal, ...more });

test("which metal goes with which hull: every pair of them", () => {
  const told = (material: Hull["material"], metal: Fitting["spec"]["metal"]) =>
    at(madeOf(material, metal), "seacock", "metalsMeet").map(({ severity }) => severity);
  for (const metal of ["bronze", "dzrBrass", "brass"] as const) {
    expect(told("aluminium", metal)).toEqual(["must"]);
    expect(told("steel", metal)).toEqual(["note"]);
    for (const hull of ["laminate", "cored", "wood"] as const) expect(told(hull, metal)).toEqual([]);
  }
  for (const hull of ["aluminium", "steel", "laminate", "cored", "wood"] as const)
    for (const metal of ["composite", "stainless", "domestic"] as const) expect(told(hull, metal)).toEqual([]);
  for (const hull of ["laminate", "cored", "wood"] as const) {
    const bare = at(madeOf(hull, "composite", { hasBacking: false }), "seacock", "backingMissing");
    expect(bare).toMatchObject([{ isCored: hull === "cored" }]);
  }
  for (const hull of ["steel", "aluminium"] as const)
    expect(at(madeOf(hull, "composite", { hasBacking: false }), "seacock", "backingMissing")).toEqual([]);
  expect(at(madeOf("laminate", "domestic"), "seacock", "fittingDomestic")).toMatchObject([{ severity: "must" }]);
});

test("a fitting under the water, one just over it and one high up are asked different things", () => {
  const lift = (byMm: number, given: object = {}): Design =>
    withSpec(
      withGear(boat, "seacock", (piece) => ({ ...piece, atMm: { ...piece.atMm, z: piece.atMm.z + byMm } })),
      "seacock",
      given,
    );
  const overOf = (design: Design) =>
    measureFitting(design, design.gear.find(({ id }) => id === "seacock") as Fitting).worstOverMm;
  const under = overOf(boat);
  expect(under).toBeLessThan(0);
  // heeled, a millimetre up her side is less of one over the water
  const to = (overMm: number, given: object = {}): Design => {
    let [low, high] = [-200, 800];
    for (let i = 0; i < 50; i++) {
      const middle = (low + high) / 2;
      if (overOf(lift(middle)) < overMm) low = middle;
      else high = middle;
    }
    return lift(high, given);
  };
  expect(overOf(to(149))).toBeCloseTo(149, 6);
  const severities = (design: Design, code: Finding["code"]) =>
    at(design, "seacock", code).map(({ severity }) => severity);
  for (const [overMm, seacock, domestic] of [
    [-1, ["must"], ["must"]],
    [1, ["should"], ["must"]],
    [149, ["should"], ["must"]],
    [151, [], ["should"]],
  ] as const) {
    expect(severities(to(overMm, { hasSeacock: false }), "seacockMissing")).toEqual(seacock);
    expect(severities(to(overMm, { metal: "domestic" }), "fittingDomestic")).toEqual(domestic);
    expect(severities(to(overMm, { clamps: 1 }), "clampsFew").length).toBe(overMm < 150 ? 1 : 0);
    expect(severities(to(overMm, { clamps: 2 }), "clampsFew")).toEqual([]);
    expect(severities(to(overMm, { metal: "brass" }), "metalUnfit")).toEqual([overMm < 150 ? "must" : "should"]);
    expect(severities(to(overMm, { metal: "stainless" }), "metalUnfit")).toEqual(overMm < 0 ? ["must"] : []);
    expect(severities(to(overMm, { hasBacking: false }), "backingMissing").length).toBe(overMm < 150 ? 1 : 0);
    const small = severities(to(overMm, { tailMm: 10 }), "tailUnfit");
    expect(small).toEqual([overMm < 150 ? "must" : "should"]);
    expect(severities(to(overMm, { tailMm: 99 }), "tailUnfit")).toEqual(["should"]);
    for (const [tailMm, isLarge] of [
      [10, false],
      [99, true],
    ] as const)
      expect(at(to(overMm, { tailMm }), "seacock", "tailUnfit")).toMatchObject([{ tailMm, isLarge }]);
  }
});

test("a fitting sits in her skin: 40 mm out and 160 in, no further", () => {
  const piece = boat.gear.find(({ id }) => id === "seacock") as Fitting;
  const port = placeGearPort(piece, "in");
  const half = findHalfBreadthMm(boat.rig.hull!, port.x, port.z)!;
  const off = (offMm: number) => {
    const y = Math.sign(port.y) * (half + offMm) - port.y;
    return at(
      withGear(boat, "seacock", (one) => ({ ...one, atMm: { ...one.atMm, y: one.atMm.y + y } })),
      "seacock",
      "fittingOffHull",
    );
  };
  for (const offMm of [-159.9, 0, 39.9]) expect(off(offMm)).toEqual([]);
  for (const offMm of [-160.1, 40.1]) expect(off(offMm)).toMatchObject([{ offMm: expect.closeTo(offMm, 6) }]);
});

test("a handle needs room to swing forward, aft or up: any one of the three will do", () => {
  const piece = boat.gear.find(({ id }) => id === "seacock") as Fitting;
  const { atMm, sizeMm, spec } = piece;
  const longMm = 90 + 1.5 * spec.boreMm;
  const member = {
    ...boat.obstacles[0]!,
    kind: "crossMember" as const,
    name: "Frame",
    lengthMm: 20,
    widthMm: sizeMm.y,
    heightMm: sizeMm.z,
  };
  const forward = { ...member, id: "f", atMm: { ...atMm, x: atMm.x + sizeMm.x + longMm } };
  const aft = { ...member, id: "a", atMm: { ...atMm, x: atMm.x - longMm - 20 } };
  const up = { ...member, id: "u", lengthMm: sizeMm.x, atMm: { ...atMm, z: atMm.z + sizeMm.z + longMm } };
  const told = (...obstacles: (typeof member)[]) =>
    at({ ...boat, obstacles, tanks: [], lines: [] }, "seacock", "handleBlocked");
  expect(told(forward, aft, up)).toMatchObject([{ longMm }]);
  for (const two of [
    [forward, aft],
    [forward, up],
    [aft, up],
  ])
    expect(told(...two)).toEqual([]);
  // a hand's room further off nothing is in the way, and lockers and windows never are
  const clear = { ...forward, atMm: { ...forward.atMm, x: forward.atMm.x + 40 } };
  expect(told(clear, aft, up)).toEqual([]);
  for (const kind of ["cabinet", "window"] as const) expect(told({ ...forward, kind } as never, aft, up)).toEqual([]);
  // beside it or under it is not in its way
  for (const by of [{ y: sizeMm.y }, { y: -sizeMm.y }, { z: -sizeMm.z }, { z: sizeMm.z }]) {
    const aside = {
      ...forward,
      atMm: { ...forward.atMm, y: forward.atMm.y + (by.y ?? 0), z: forward.atMm.z + (by.z ?? 0) },
    };
    expect(told(aside, aft, up)).toEqual([]);
  }
  const bare = withSpec({ ...boat, obstacles: [forward, aft, up], tanks: [], lines: [] }, "seacock", {
    hasSeacock: false,
  });
  expect(at(bare, "seacock", "handleBlocked")).toEqual([]);
});

test("who shares a fitting: a bowl behind valves and loops is found, and shares with nobody", () => {
  expect(at(boat, "seacock", "fittingShared")).toEqual([]);
  // the sump's hose led to the fitting the toilet uses
  const joined = {
    ...boat,
    lines: boat.lines.map(
      (line): Line =>
        line.id === "h-sea" ? { ...(line as Hose), to: { kind: "gear", gearId: "seacock", port: "in" } } : line,
    ),
  };
  expect(at(joined, "seacock", "fittingShared")).toMatchObject([{ isBowl: true, count: 2, serves: "discharge" }]);
  // without the bowl's hose it is two pumped ones below the water: shared, but no bowl
  const noBowl = { ...joined, lines: joined.lines.filter(({ id }) => id !== "h-waste") };
  expect(at(noBowl, "seacock", "fittingShared")).toMatchObject([{ isBowl: false, count: 2 }]);
});

test("every port of every piece wants its hose: taken off, that very port is told; gauges and couplings may stay shut", () => {
  for (const design of [loop, readDemo("lesesaal-loop"), boat]) {
    expect(all(design, "gearPortOpen")).toEqual([]);
    for (const hose of design.lines) {
      if (hose.kind !== "hose") continue;
      const without = { ...design, lines: design.lines.filter((line) => line !== hose) };
      const asked = [hose.from, hose.to].flatMap((end) => {
        if (end.kind !== "gear") return [];
        const piece = design.gear.find(({ id }) => id === end.gearId)!;
        return ["gauge", "coupling", "deckFitting"].includes(piece.spec.kind) ? [] : [`${piece.id} ${end.port}`];
      });
      const told = all(without, "gearPortOpen").map((f) => `${f.at.kind === "gear" && f.at.id} ${f.ports}`);
      expect(told.sort()).toEqual(asked.sort());
    }
  }
  const alone: Design = { ...loop, lines: [], gear: [loop.gear.find(({ id }) => id === "tee")!] };
  expect(all(alone, "gearPortOpen")).toMatchObject([{ ports: listGearPorts("tee").join(", ") }]);
});

test("a fitting is joined by a drain that ends there as by a hose: with any of them gone it is open or not", () => {
  const otter = readDemo("otter-heads");
  const under = { x: 2_000, y: 0, z: -300 };
  const ends = otter.lines.filter((line) => line.kind === "drain" && "gearId" in line.to);
  expect(ends.length).toBeGreaterThan(1);
  const met = { open: 0, joined: 0 };
  for (const gone of [...ends.map((line) => [line.id]), ends.map(({ id }) => id)]) {
    const lines = otter.lines.map((line) =>
      line.kind === "drain" && gone.includes(line.id)
        ? { ...line, to: { kind: "ground" as const, atMm: under } }
        : line,
    );
    const design = { ...otter, lines };
    const open = otter.gear.flatMap(({ id, spec }) => {
      if (spec.kind !== "skinFitting") return [];
      const isJoined = lines.some((line) =>
        line.kind === "hose"
          ? [line.from, line.to].some((end) => end.kind === "gear" && end.gearId === id && end.port === "in")
          : line.kind === "drain" && "gearId" in line.to && line.to.gearId === id,
      );
      met[isJoined ? "joined" : "open"] += 1;
      return isJoined ? [] : [[id, "in"]];
    });
    const told = all(design, "gearPortOpen").map((f) => [f.at.kind === "gear" && f.at.id, f.ports]);
    expect(told).toEqual(open);
  }
  expect(met.open).toBeGreaterThan(0);
});

test("filters go from coarse to fine, pumps never one behind the other, and pieces are not built the wrong way", () => {
  const micron = (coarse: number, fine: number) =>
    withSpec(withSpec(loop, "coarse", { micron: coarse }), "fine", { micron: fine });
  expect(all(micron(20, 20), "filterOrder")).toEqual([]);
  expect(all(micron(20, 21), "filterOrder")).toMatchObject([{ at: { id: "coarse" }, otherId: "fine" }]);
  expect(all(loop, "pumpsInRow")).toEqual([]);
  // the accumulator's place taken by a second pump behind the tee
  const pump = loop.gear.find(({ id }) => id === "pump")!;
  const two = withGear(loop, "coarse", (piece) => ({ ...piece, spec: pump.spec }));
  expect(all(two, "pumpsInRow")).toMatchObject([
    { at: { id: "pump" }, otherId: "coarse" },
    ...all(two, "pumpsInRow").slice(1),
  ]);
  if (pump.spec.kind !== "pump") throw new Error("a pump");
  const { shutOffKPa } = pump.spec;
  expect(at(withSpec(loop, "pump", { midKPa: shutOffKPa - 1 }), "pump", "pumpCurveRises")).toEqual([]);
  expect(at(withSpec(loop, "pump", { midKPa: shutOffKPa }), "pump", "pumpCurveRises")).toHaveLength(1);
  expect(at(withSpec(loop, "pump", { cutOutKPa: shutOffKPa }), "pump", "pumpNeverStops")).toEqual([]);
  expect(at(withSpec(loop, "pump", { cutOutKPa: shutOffKPa + 1 }), "pump", "pumpNeverStops")).toHaveLength(1);
  const store = loop.gear.find(({ spec }) => spec.kind === "accumulator")!.id;
  const cutIns = loop.gear.flatMap(({ spec }) =>
    spec.kind === "pump" && spec.cutInKPa !== null ? [spec.cutInKPa] : [],
  );
  const hardest = Math.max(...cutIns);
  expect(at(withSpec(loop, store, { prechargeKPa: hardest }), store, "accumulatorHard")).toEqual([]);
  expect(at(withSpec(loop, store, { prechargeKPa: hardest + 1 }), store, "accumulatorHard")).toHaveLength(1);
  expect(at(withSpec(loop, "lamp", { transmittance: 0 }), "lamp", "uvBlind")).toHaveLength(1);
  expect(at(withSpec(loop, "lamp", { transmittance: 0.01 }), "lamp", "uvBlind")).toEqual([]);
  expect(at(withSpec(boat, "sump", { offMm: 50, onMm: 51 }), "sump", "floatReversed")).toEqual([]);
  expect(at(withSpec(boat, "sump", { offMm: 50, onMm: 50 }), "sump", "floatReversed")).toHaveLength(1);
  // a non-return whose two hoses are changed over
  expect(all(loop, "nonReturnAgainst")).toEqual([]);
  const turned = {
    ...loop,
    lines: loop.lines.map((line): Line => {
      if (line.kind !== "hose") return line;
      const flip = (end: Hose["from"]): Hose["from"] =>
        end.kind === "gear" && end.gearId === "guard" ? { ...end, port: end.port === "in" ? "out" : "in" } : end;
      return { ...line, from: flip(line.from), to: flip(line.to) };
    }),
  };
  expect(all(turned, "nonReturnAgainst")).toMatchObject([{ at: { kind: "gear", id: "guard" } }]);
});

test("what a fixture, a tank and a drain lack is told of that one alone", () => {
  const kranich = readDemo("kranich");
  const second = { ...kranich.fixtures[0]!, id: "other", name: "Other" };
  const two = { ...kranich, fixtures: [...kranich.fixtures, second] };
  expect(all(two, "fixtureUndrained").map(({ at: where }) => where)).toEqual([{ kind: "fixture", id: "other" }]);
  // onto the ground counts also where a fresh tank hangs beside the waste tank
  const ways = kranich.habits.ways.map((way) => ({
    ...way,
    uses: way.uses.map((use) => (use.id === "shower" ? { ...use, fixtureId: null } : use)),
  }));
  const fresh: Tank = { ...kranich.tanks[0]!, id: "fresh", name: "Fresh", holds: "fresh", ports: [] };
  const wet = { ...kranich, habits: { ...kranich.habits, ways } };
  const told = all(wet, "ontoGround").length;
  expect(told).toBe(1);
  expect(all({ ...wet, tanks: [...wet.tanks, fresh] }, "ontoGround")).toHaveLength(1);
});

test("which areas a rig concerns is asked of the rig alone", () => {
  expect(listFitted(readDemo("kranich"))).toEqual([]);
  expect(listFitted(loop)).toEqual(expect.arrayContaining(["gear", "heads"]));
  expect(listFitted(boat)).toEqual(expect.arrayContaining(["gear", "through", "fittings", "hull", "heads"]));
  const dry = { ...boat, rig: { ...boat.rig, waterlineZMm: null, hull: null } };
  expect(listFitted(dry)).toEqual(["gear", "heads", "sharedAir"]);
  expect(listFitted(buildSharedAir())).toContain("sharedAir");
});

test("one sink alone may not drain by an intake; a bowl shares with nobody, also where both come out over the water", () => {
  const otter = readDemo("otter-heads");
  const ends = otter.lines.filter((line) => line.kind === "drain" && line.to.kind === "overboard");
  const one = { ...otter, lines: otter.lines.filter((line) => line.kind !== "drain" || line === ends[0]) };
  const gearId = ends[0]!.to.kind === "overboard" ? ends[0]!.to.gearId : "";
  expect(at(one, gearId, "fittingShared")).toEqual([]);
  for (const serves of ["intake", "cockpit", "bilge"] as const)
    expect(at(withSpec(one, gearId, { serves }), gearId, "fittingShared")).toMatchObject([{ count: 1, serves }]);
  // the bowl's hose led to that fitting, which comes out over the water
  const bowl = {
    ...one,
    lines: one.lines.map(
      (line): Line => (line.id === "h-over" ? { ...(line as Hose), to: { kind: "gear", gearId, port: "in" } } : line),
    ),
  };
  expect(measureFitting(bowl, bowl.gear.find(({ id }) => id === gearId) as Fitting).worstOverMm).toBeGreaterThan(0);
  expect(at(bowl, gearId, "fittingShared")).toMatchObject([{ isBowl: true, count: 2 }]);
  // its flush side is no waste
  const flush = {
    ...bowl,
    lines: bowl.lines.map(
      (line): Line =>
        line.id === "h-waste"
          ? { ...(line as Hose), from: { kind: "gear", gearId: "bowl", port: "flush" } }
          : line.id === "h-flush"
            ? { ...(line as Hose), to: { kind: "gear", gearId: "bowl", port: "waste" } }
            : line,
    ),
  };
  expect(at(flush, gearId, "fittingShared")).toEqual([]);
});

test("fouled water is told with the tank it comes from, and a hose that comes off a tank with how bad that is", () => {
  const names = new Set(loop.tanks.map(({ name }) => name));
  const open = {
    ...loop,
    gear: loop.gear.map((piece) =>
      piece.id === "guard" ? { ...piece, spec: { ...piece.spec, kind: "flowMeter" } } : piece,
    ),
  } as Design;
  for (const design of [loop, open, readDemo("lesesaal-loop"), boat]) {
    for (const finding of all(design, "waterFouled"))
      if (finding.fromName !== null) expect(names.has(finding.fromName)).toBe(true);
    for (const { severity, isAttended } of all(design, "hoseComesOff"))
      expect(severity === "should" ? isAttended : false).toBe(false);
  }
  expect(all(open, "waterFouled").some(({ fromName }) => fromName !== null)).toBe(true);
});

test("a tap that presses harder than hoses bear is told, one that a reducer holds down is not", () => {
  const bus = readDemo("lesesaal-loop");
  const coupling = bus.gear.find(({ spec }) => spec.kind === "coupling" && spec.supplyKPa !== null)!.id;
  const told = (supplyKPa: number | null, reducedToKPa: number | null = null) =>
    at(withSpec(bus, coupling, { supplyKPa, reducedToKPa }), coupling, "supplyHard");
  // and a pump that would burst the same hoses, by its switch or, without one, by all it has
  const pushed = (cutOutKPa: number | null, shutOffKPa: number) =>
    at(withSpec(loop, "pump", { cutOutKPa, shutOffKPa, cutInKPa: null }), "pump", "pumpHard");
  for (const [cutOutKPa, shutOffKPa] of [
    [420, 900],
    [null, 420],
    [800, 420],
  ] as const)
    expect(pushed(cutOutKPa, shutOffKPa)).toEqual([]);
  expect(pushed(421, 900)).toMatchObject([{ pushKPa: 421, mostKPa: 420 }]);
  expect(pushed(null, 421)).toMatchObject([{ pushKPa: 421 }]);
  expect([null, 300, 400].flatMap((kPa) => told(kPa))).toEqual([]);
  expect(told(401)).toMatchObject([{ severity: "should", supplyKPa: 401, mostKPa: 400 }]);
  // behind a reducer what that lets through counts, and never more than the tap gives
  expect(told(900, 400)).toEqual([]);
  expect(told(900, 401)).toMatchObject([{ supplyKPa: 401 }]);
  expect(told(420, 900)).toMatchObject([{ supplyKPa: 420 }]);
});

test("a tap that nothing reduces is told of, though it is soft where it was measured", () => {
  const bus = readDemo("lesesaal-loop");
  const coupling = bus.gear.find(({ spec }) => spec.kind === "coupling" && spec.supplyKPa !== null)!.id;
  const told = (supplyKPa: number | null, reducedToKPa?: number | null) =>
    at(withSpec(bus, coupling, { supplyKPa, reducedToKPa }), coupling, "supplyUnreduced");
  for (const none of [null, undefined])
    expect(told(300, none)).toMatchObject([{ severity: "should", supplyKPa: 300, mostKPa: 400, campKPa: 1000 }]);
  expect(told(300, 300)).toEqual([]);
  // one that presses too hard is told as that, and what only lets water out is pressed by nothing
  expect([...told(401), ...told(null)]).toEqual([]);
});
