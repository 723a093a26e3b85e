import { readDemo } from "@/tests/demoRigs";
import { findAll, isSaid } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { withBranchVent } from "../design/lineItems";
import type { Drain, Tank, Vent } from "../design/plumbing";
import { buildJoinVent } from "../edits/ventEdits";
import { evaluate } from "../evaluate/evaluate";
import { buildNetwork, sumSurgeLps } from "../falls/network";
import { computeSealBreakPa } from "../traps/sealPressure";
import { computeAirwayPressurePa } from "./airPressure";
import { computeAirs, computeFillPa, findSuction } from "./airs";
import { PUMP_OUT_LPS } from "./pumpOut";
import { buildVentPath } from "./ventPath";

const boat = readDemo("setzkasten");
const black = boat.tanks.find(({ holds }) => holds === "black") as Tank;
const grey = boat.tanks.find(({ holds }) => holds === "grey") as Tank;
const kranich = readDemo("kranich");

const ventOf = (design: Design, tankId: string) =>
  design.lines.find((line): line is Vent => line.kind === "vent" && line.fromTank === tankId)!;
const withBore = (design: Design, innerMm: number): Design => ({
  ...design,
  lines: design.lines.map((line) => (line.kind === "vent" ? { ...line, pipe: { ...line.pipe, innerMm } } : line)),
});

test("where no port lets water out the pressure while filling is reckoned too, and blows a seal out", () => {
  const shut: Design = {
    ...kranich,
    tanks: kranich.tanks.map((tank) => ({ ...tank, ports: tank.ports.filter(({ kind }) => kind !== "outlet") })),
    lines: kranich.lines.map((line) => (line.kind === "drain" ? withBranchVent(line, null) : line)),
  };
  const [tank] = shut.tanks as [Tank];
  const network = buildNetwork(shut);
  const airway = buildVentPath(shut, ventOf(shut, tank.id)).stretches.map(({ pipe }) => pipe);
  const fillPa = computeAirwayPressurePa(sumSurgeLps(network, tank.id) / 1000, airway);
  expect(computeFillPa(shut, tank, network)).toBeCloseTo(fillPa, 9);
  const { trapAirs, tanks } = evaluate(shut, LEVEL);
  expect(tanks[0]!.air).toBeNull();
  expect(trapAirs).toMatchObject([{ suctionPa: 0, suctionBy: "dump", isShared: false, pressurePa: fillPa }]);
  // where it is let go it is the same pressure
  expect(evaluate(kranich, LEVEL).tanks[0]!.air!.fillPa).toBeCloseTo(fillPa, 9);
  expect(isSaid(shut, "sealBlown")).toBe(false);
  expect(isSaid(withBore(shut, 3), "sealBlown")).toBe(true);
  // without a breather it is told to want one, and no figure is made up
  const none = { ...shut, lines: shut.lines.filter(({ kind }) => kind !== "vent") };
  expect([computeFillPa(none, tank, network), evaluate(none, LEVEL).trapAirs]).toEqual([null, []]);
  expect(isSaid(none, "tankUnvented")).toBe(true);
});

test("a pump-out sucks on every trap of its tank, also on one in the line", () => {
  const basin = boat.lines.find((line): line is Drain => line.kind === "drain")!;
  const inlet = {
    ...grey.ports.find(({ kind }) => kind === "inlet")!,
    id: "basin-inlet",
    atMm: { x: 300, y: 0, z: 220 },
  };
  const end = basin.bendsMm.at(-1)!;
  const led: Design = {
    ...boat,
    tanks: boat.tanks.map((tank) =>
      tank === black ? { ...tank, ports: [...tank.ports.filter(({ kind }) => kind !== "outlet"), inlet] } : tank,
    ),
    lines: boat.lines.map((line) =>
      line === basin
        ? {
            ...withBranchVent(basin, null),
            to: { kind: "inlet" as const, tankId: black.id, portId: inlet.id },
            items: [
              ...withBranchVent(basin, null).items,
              { kind: "runningTrap" as const, node: end.id, sealMm: 40, hasCleanout: true },
            ],
          }
        : line,
    ),
  };
  const { tanks, trapAirs } = evaluate(led, LEVEL);
  const { draws, air } = tanks.find(({ tankId }) => tankId === black.id)!;
  const pumpOut = draws.find(({ pumps }) => pumps.length === 0);
  expect(air).toBeNull();
  expect(pumpOut!.suctionPa).toBeGreaterThan(0);
  const own = trapAirs.filter(({ lineId }) => lineId === basin.id);
  expect(own.map(({ bend }) => bend === null)).toContain(false);
  for (const one of own) expect(one).toMatchObject({ suctionPa: pumpOut!.suctionPa, suctionBy: "pumpOut" });
  // narrow enough it pulls the one in the line empty, and says what does it
  const narrow = withBore(led, 8);
  expect(findAll(narrow, "sealSucked")).toMatchObject([{ by: "pumpOut", isShared: false, sealMm: 40 }]);
});

test("through a breather they share a pump-out sucks on the other tank as hard as the shared stretch throttles it", () => {
  const joined = mustApply(boat, buildJoinVent(boat, ventOf(boat, grey.id).id, ventOf(boat, black.id).id));
  const at = (innerMm: number) => {
    const design = withBore(joined, innerMm);
    const airs = computeAirs(design, buildNetwork(design));
    return { design, airs };
  };
  const { design, airs } = at(19);
  const chain = new Set(buildVentPath(design, ventOf(design, grey.id)).stretches.map(({ lineId }) => lineId));
  const { stretches } = buildVentPath(design, ventOf(design, black.id));
  const first = stretches.findIndex(({ lineId }) => chain.has(lineId));
  const shared = stretches.slice(first).map(({ pipe }) => pipe);
  const pumpedPa = computeAirwayPressurePa(PUMP_OUT_LPS / 1000, shared);
  const told = airs.shared.get(grey.id)!;
  const dumpedPa = airs.own.has(black.id)
    ? computeAirwayPressurePa(airs.own.get(black.id)!.dumpFlowLps / 1000, shared)
    : 0;
  expect(told.suctionPa).toBeCloseTo(Math.max(pumpedPa, dumpedPa), 9);
  expect(told).toMatchObject({ fromTankId: black.id, by: pumpedPa > dumpedPa ? "pumpOut" : "dump" });
  // what sucks hardest is what its traps feel
  const ownPa = Math.max(
    airs.own.get(grey.id)?.suctionPa ?? 0,
    ...(airs.draws.get(grey.id) ?? []).map(({ suctionPa }) => suctionPa),
  );
  expect(findSuction(airs, grey.id).pa).toBe(Math.max(ownPa, told.suctionPa));
  expect(findSuction(airs, "gone")).toEqual({ pa: 0, by: "dump", isShared: false });
  // apart nothing is shared
  expect(computeAirs(boat, buildNetwork(boat)).shared.size).toBe(0);
  const narrow = at(9).design;
  const onGrey = findAll(narrow, "sharedAirSucks").filter(({ at: part }) => "id" in part && part.id === grey.id);
  expect(onGrey).toMatchObject([{ otherName: black.name, by: "pumpOut" }]);
});

test("a seal that another tank's dump breaks is told, also where the suction is within what is allowed", () => {
  const breaks = computeSealBreakPa(20);
  expect(breaks).toBeGreaterThan(0);
  const joined = mustApply(boat, buildJoinVent(boat, ventOf(boat, grey.id).id, ventOf(boat, black.id).id));
  const shallow: Design = {
    ...withBore(joined, 9),
    rules: { ...joined.rules, limits: { ...joined.rules.limits, ventSuction: 90_000 } },
  };
  const { trapAirs } = evaluate(shallow, LEVEL);
  const broken = trapAirs.filter(
    ({ isShared, suctionPa, sealMm }) => isShared && suctionPa >= computeSealBreakPa(sealMm),
  );
  expect(isSaid(shallow, "sharedAirSucks")).toBe(false);
  expect(findAll(shallow, "sealSucked").filter(({ isShared }) => isShared)).toHaveLength(broken.length);
});

test("of two breathers the better one is filled against; what sucks hardest is named, with whose it is", () => {
  const [tank] = kranich.tanks as [Tank];
  const own = ventOf(kranich, tank.id);
  const tight: Vent = { ...own, id: "tight", pipe: { ...own.pipe, innerMm: own.pipe.innerMm / 2 } };
  const filledBy = (...vents: readonly Vent[]) => {
    const design = { ...kranich, lines: [...kranich.lines.filter((line) => line !== own), ...vents] };
    return computeFillPa(design, tank, buildNetwork(design))!;
  };
  expect(filledBy(tight)).toBeGreaterThan(filledBy(own));
  expect([filledBy(own, tight), filledBy(tight, own)]).toEqual([filledBy(own), filledBy(own)]);

  const found = (dump: number, drawn: readonly number[], shared: number | null) =>
    findSuction(
      {
        own: new Map([["t", { suctionPa: dump }]]),
        draws: new Map([["t", drawn.map((suctionPa) => ({ suctionPa }))]]),
        shared: new Map(shared === null ? [] : [["t", { suctionPa: shared, by: "pumpOut" }]]),
        fillsPa: new Map(),
      } as unknown as ReturnType<typeof computeAirs>,
      "t",
    );
  expect(found(30, [10, 20], 25)).toEqual({ pa: 30, by: "dump", isShared: false });
  expect(found(15, [10, 20], 5)).toEqual({ pa: 20, by: "pumpOut", isShared: false });
  expect(found(15, [10, 20], 25)).toEqual({ pa: 25, by: "pumpOut", isShared: true });
  expect(found(0, [], null)).toEqual({ pa: 0, by: "dump", isShared: false });
});
