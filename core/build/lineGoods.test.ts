import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { toNodes } from "../design/nodes";
import type { Drain, DumpLine, Line, Pipe, Vent } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { buildDrainPath } from "../falls/drainPath";
import { listLineLegs } from "../fit/lineLegs";
import { listHoseDuties } from "../gear/hoseDuty";
import { vec } from "../geometry/vec";
import { PIPE_SIZES } from "../parts/pipes";
import { countClips, findClipSpacingMm } from "./clipSpacing";
import type { Good } from "./goods";
import { listLineGoods } from "./lineGoods";

const kranich = readDemo("kranich");
const drain = kranich.lines.find((line): line is Drain => line.kind === "drain")!;
const vent = kranich.lines.find((line): line is Vent => line.kind === "vent")!;
const HOSE = PIPE_SIZES.find(({ id }) => id === "smoothHose-38")!.pipe;
const WASTE = PIPE_SIZES.find(({ id }) => id === "metricWaste-40")!.pipe;
const SCHEDULE = PIPE_SIZES.find(({ id }) => id === "schedule40-1½ in")!.pipe;

const put = (lines: readonly Line[], thread: "g112" | null = null): Design => ({
  ...kranich,
  tanks: kranich.tanks.map((tank) => ({ ...tank, ports: tank.ports.map((port) => ({ ...port, thread })) })),
  lines: [...lines],
});
const list = (design: Design) => listLineGoods(design, evaluate(design));
const amount = (goods: readonly Good[], kind: Good["ware"]["kind"]) =>
  goods.reduce((sum, good) => (good.ware.kind === kind ? sum + good.amount : sum), 0);

test("hose in a drain has a clamp at either end; where it begins at a barb that one comes with the barb", () => {
  const hosed = (own: Partial<Drain>) => list(put([{ ...drain, pipe: HOSE, items: [], ...own }]));
  expect(amount(hosed({}), "hoseClamp")).toBe(2);
  const node = drain.bendsMm[0]!.id;
  const change = { kind: "pipeChange", node, joint: "hoseBarb", pipe: HOSE } as const;
  expect(amount(hosed({ pipe: WASTE, items: [change] }), "hoseClamp")).toBe(1);
  // a valve in it cuts it in two
  expect(amount(hosed({ items: [{ kind: "inline", node, piece: "shutOff" }] }), "hoseClamp")).toBe(4);
});

test("a breather's hose is cut where another one comes in; of pipe it wants what its joints want, and no clamp", () => {
  const node = vent.pointsMm[0]!.id;
  const main = { ...vent, pipe: HOSE, pointsMm: [...vent.pointsMm, { ...vent.pointsMm[0]!, id: "end", z: 900 }] };
  const second: Vent = { ...vent, id: "second", pipe: HOSE, to: { kind: "tee", lineId: vent.id, node }, pointsMm: [] };
  expect(amount(list(put([main])), "hoseClamp")).toBe(2);
  expect(amount(list(put([main, second])), "hoseClamp")).toBe(6);
  for (const [pipe, kind] of [
    [WASTE, "ringGrease"],
    [SCHEDULE, "cement"],
  ] as const) {
    const goods = list(put([{ ...vent, pipe }]));
    expect([amount(goods, kind), amount(goods, "hoseClamp")]).toEqual([1, 0]);
  }
});

test("on a thread goes the pipe that comes there, and what is cemented has a union before the tank", () => {
  const node = drain.bendsMm[0]!.id;
  const changed: Drain = {
    ...drain,
    pipe: WASTE,
    items: [{ kind: "pipeChange", node, joint: "reducer", pipe: SCHEDULE }],
  };
  const goods = list(put([changed], "g112"));
  const adaptors = goods.flatMap(({ ware }): Pipe[] => (ware.kind === "adaptor" ? [ware.pipe] : []));
  expect(adaptors).toEqual([SCHEDULE]);
  expect(amount(goods, "union")).toBe(1);
  expect(amount(list(put([drain])), "union")).toBe(0);
});

test("a dump line has its cap and its end valve, one let go through another neither cap nor a second coupling", () => {
  const tank = kranich.tanks[0]!;
  const outlet = tank.ports.find(({ kind }) => kind === "outlet")!;
  const at = (y: number) =>
    vec(tank.atMm.x + outlet.atMm.x, tank.atMm.y + outlet.atMm.y + y, tank.atMm.z + outlet.atMm.z);
  const line: DumpLine = {
    id: "dump-line",
    name: "Dump line",
    kind: "dumpLine",
    pipe: WASTE,
    fromTank: tank.id,
    fromPort: outlet.id,
    to: { kind: "coupling" },
    pointsMm: toNodes([at(-500), at(-1_200)]),
    endValve: null,
  };
  const count = (goods: readonly Good[]) =>
    (["dumpCap", "dumpValve", "hoseClamp", "ringGrease", "union"] as const).map((kind) => amount(goods, kind));
  expect(count(list(put([line])))).toEqual([1, 0, 0, 1, 0]);
  const valved = list(put([{ ...line, endValve: { kind: "electric", boreMm: 38 } }]));
  expect(valved.flatMap(({ ware }) => (ware.kind === "dumpValve" ? [ware] : []))).toEqual([
    { kind: "dumpValve", drive: "electric", boreMm: 38 },
  ]);
  expect(count(list(put([{ ...line, pipe: HOSE }])))).toEqual([1, 0, 4, 0, 0]);
  expect(count(list(put([{ ...line, pipe: SCHEDULE }])))).toEqual([1, 0, 0, 0, 1]);
  const second: DumpLine = { ...line, id: "second", to: { kind: "wye", lineId: line.id, node: line.pointsMm[0]!.id } };
  const own = list(put([line, second])).filter(({ assembly }) => "id" in assembly && assembly.id === "second");
  expect(count(own)).toEqual([0, 0, 0, 1, 0]);
});

test("mesh is bought for an open end that has one; clips for every leg by its own fall", () => {
  const ended = (hasMesh: boolean) => list(put([{ ...vent, to: { kind: "openAir", hasMesh } }]));
  expect([amount(ended(true), "mesh"), amount(ended(false), "mesh")]).toEqual([1, 0]);
  const design = put([drain]);
  const evaluation = evaluate(design);
  const { ownLegs } = buildDrainPath(design, drain);
  const wanted = ownLegs.map((leg) => {
    const { fallMm } = evaluation.drains[0]!.worst.legs[leg.index]!;
    return countClips(leg.lengthMm, findClipSpacingMm(leg.pipe, fallMm / leg.lengthMm));
  });
  const clips = listLineGoods(design, evaluation).filter(({ ware }) => ware.kind === "clip");
  expect(clips.map((good) => good.amount)).toEqual(wanted);
  expect(clips.every(({ counter }) => counter === "fixings")).toBe(true);
});

test("a pumped hose has two clamps an end, its wall said, a tenth over, and a tail for each thread it goes on", () => {
  const loop = readDemo("kranich-loop");
  const tanks = loop.tanks.map((tank, i) => ({
    ...tank,
    ports: tank.ports.map((port) => ({ ...port, thread: i === 0 ? null : ("g112" as const) })),
  }));
  const design: Design = { ...loop, tanks };
  const goods = list(design);
  for (const line of design.lines) {
    if (line.kind !== "hose") continue;
    const own = goods.filter(({ assembly }) => "id" in assembly && assembly.id === line.id);
    expect(amount(own, "hoseClamp")).toBe(4);
    const drawn = listLineLegs(design, line).reduce((sum, leg) => sum + leg.lengthMm, 0);
    expect(amount(own, "hose")).toBeCloseTo((1.1 * drawn) / 1000, 9);
    const threads = [line.from, line.to].filter((end) => {
      if (end.kind !== "tank") return false;
      const tank = design.tanks.find(({ id }) => id === end.tankId)!;
      return tank.ports.find(({ id }) => id === end.portId)!.thread !== null;
    });
    expect(amount(own, "adaptor")).toBe(threads.length);
  }
  expect(amount(goods, "adaptor")).toBeGreaterThan(0);
});

test("a long leg with hardly any fall is clipped nearer, by its fall to the metre", () => {
  const level = { noseDownDeg: 0, noseUpDeg: 0, leftLowDeg: 0, rightLowDeg: 0 };
  const far = { ...drain.bendsMm.at(-1)!, x: drain.bendsMm.at(-1)!.x + 1_500 };
  const laid = (z: number): Drain => ({ ...drain, bendsMm: [...drain.bendsMm.slice(0, -1), { ...far, z }] });
  const end = buildDrainPath(put([laid(0)]), laid(0)).ownLegs.at(-1)!;
  let before = 0;
  for (const slope of [0.02, 0.008, 0.004, 0.002]) {
    const own = laid(end.to.z + slope * end.lengthMm);
    const design = { ...put([own]), rig: { ...kranich.rig, envelope: level, standings: [] } };
    const clips = listLineGoods(design, evaluate(design)).filter(({ ware }) => ware.kind === "clip");
    const wanted = countClips(end.lengthMm, findClipSpacingMm(end.pipe, slope));
    expect([slope, clips.at(-1)!.amount]).toEqual([slope, wanted]);
    expect(wanted).toBeGreaterThanOrEqual(before);
    before = wanted;
  }
  expect(before).toBeGreaterThan(countClips(end.lengthMm, findClipSpacingMm(end.pipe, 0.02)));
});

test("hose is bought for what it must bear, in whole steps and never for less", () => {
  const loop = readDemo("kranich-loop");
  const duties = listHoseDuties(loop);
  const bought = list(loop).flatMap(({ ware, assembly }) =>
    ware.kind === "hose" && "id" in assembly ? [{ id: assembly.id, duty: ware.duty }] : [],
  );
  expect(bought.length).toBe(duties.size);
  for (const { id, duty } of bought) {
    const { pressed, isDrawn, isHot, isDrunk } = duties.get(id)!;
    const bearsKPa = duty?.bearsKPa ?? 0;
    expect([id, bearsKPa >= (pressed?.kPa ?? 0), bearsKPa < (pressed?.kPa ?? 0) + 50, bearsKPa % 50]).toEqual([
      id,
      true,
      pressed !== null || bearsKPa === 0,
      0,
    ]);
    expect([id, duty?.isDrawn ?? false, duty?.isHot ?? false, duty?.isDrunk ?? false]).toEqual([
      id,
      isDrawn,
      isHot,
      isDrunk,
    ]);
  }
});
