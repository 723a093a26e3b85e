import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Drain, Line, Pipe, Vent } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { PIPE_SIZES } from "../parts/pipes";
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
