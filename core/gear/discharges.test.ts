import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { DISCHARGE_PLACES, type DischargePlace } from "../design/gear";
import { evaluate } from "../evaluate/evaluate";
import { listDischarges } from "./discharges";
import { buildGearGraph } from "./gearGraph";
import { listFailures, toSetting } from "./settings";

const otter = readDemo("otter-heads");
const at = (design: Design, place: DischargePlace): Design => ({
  ...design,
  states: design.states.map((state) => ({ ...state, place })),
});
const of = (design: Design) => listDischarges(design, buildGearGraph(design));

test("offshore nothing is said; where nothing may go overboard the state that sends it there is a must", () => {
  expect(of(at(otter, "offshore"))).toEqual([]);
  for (const place of DISCHARGE_PLACES.filter((one) => one !== "offshore")) {
    const alone = of(at(otter, place)).filter(({ failure }) => failure === null);
    expect(alone.map(({ stateId, gearId }) => [stateId, gearId])).toEqual([["sea", "seacock"]]);
    const found = evaluate(at(otter, place)).findings.filter(({ code }) => code === "blackOverboard");
    expect(found.filter(({ severity }) => severity === "must")).toHaveLength(1);
    expect(new Set(found.map(({ id }) => id)).size).toBe(found.length);
  }
});

test("a valve that is secured is turned by nobody; every way told is open in its state and failure", () => {
  const inland = at(otter, "inland");
  expect(of(inland).some(({ failure, stateId }) => failure && stateId === "tank")).toBe(true);
  const gear = inland.gear.map((piece) => (piece.id === "y-valve" ? { ...piece, isSecured: true } : piece));
  const secured = { ...inland, gear };
  expect(of(secured).filter(({ stateId }) => stateId !== "sea")).toEqual([]);
  const graph = buildGearGraph(inland);
  for (const { way, stateId, failure } of of(inland)) {
    const setting = toSetting(inland.states.find(({ id }) => id === stateId)!, failure);
    for (const id of way) {
      const link = graph.links.find((one) => one.id === id)!;
      if (link.kind === "inside" && link.gear.spec.kind === "diverter") {
        expect(setting.isHalfWay(link.gear.id) || setting.positionOf(link.gear) === link.branch).toBe(true);
      }
    }
  }
  expect(listFailures(inland.gear).length).toBeGreaterThan(0);
});

test("a tank that the tap outside goes on filling with nobody by is told, and not where one holds the hose", () => {
  const kranich = readDemo("kranich-loop");
  const codes = (design: Design) => evaluate(design).findings.filter(({ code }) => code === "tankOverfills");
  expect(codes(kranich)).toEqual([]);
  const coupling = { id: "camp", name: "Camp tap", ...base(kranich), spec: COUPLING };
  const fresh = kranich.tanks.find(({ holds }) => holds === "fresh")!;
  const port = fresh.ports.find(({ kind }) => kind === "fill")!;
  const hose = kranich.lines.find(({ kind }) => kind === "hose")!;
  if (hose.kind !== "hose") throw new Error("no hose");
  const filled: Design = {
    ...kranich,
    gear: [...kranich.gear, coupling],
    lines: [
      ...kranich.lines,
      {
        ...hose,
        id: "fill-hose",
        from: { kind: "gear", gearId: "camp", port: "out" },
        to: { kind: "tank", tankId: fresh.id, portId: port.id },
        pointsMm: [],
      },
    ],
  };
  expect(codes(filled).map(({ severity }) => severity)).toContain("should");
});

const COUPLING = { kind: "coupling", supplyKPa: 300 } as const;
const base = ({ gear }: Design) => {
  const { atMm, sizeMm, openBelowMm } = gear[0]!;
  return { atMm, sizeMm, openBelowMm };
};
