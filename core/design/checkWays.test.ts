import { readDemo } from "@/tests/demoRigs";
import { evaluate } from "../evaluate/evaluate";
import { buildNetwork, sumInflowLps } from "../falls/network";
import { MOST_WAY_LEGS } from "./checkWays";
import type { Design } from "./design";
import { parseDesign } from "./parseDesign";
import type { Drain } from "./plumbing";

const base = readDemo("kranich");
const own = base.lines.find((line): line is Drain => line.kind === "drain")!;
const sink = base.fixtures[0]!;

// So many drains of one fixture, each joining the one before.
function chain(count: number): Design {
  const lines = Array.from(
    { length: count },
    (_, i): Drain => ({
      ...own,
      id: `drain-${i}`,
      to: i === 0 ? own.to : { kind: "junction", lineId: `drain-${i - 1}`, node: own.bendsMm[1]!.id, fitting: "wye" },
    }),
  );
  return { ...base, lines };
}

test("a chain that no page could follow is refused with its length, whatever its length", () => {
  const outcome = parseDesign(chain(940));
  expect(outcome).toMatchObject({ ok: false, faults: [{ code: "waysTooLong", most: MOST_WAY_LEGS }] });
  if (outcome.ok || outcome.faults[0]!.code !== "waysTooLong") throw new Error("not refused");
  // each follows 3 legs of its own and one of every drain it runs through: 940 · 3 + 939 · 940 / 2
  expect(outcome.faults[0]!.legs).toBe(940 * 3 + (939 * 940) / 2);
});

test("one that can be followed is worked out; what runs in it is the sum of what joins, however it is chained", () => {
  const design = chain(100);
  expect(parseDesign(design).ok).toBe(true);
  const network = buildNetwork(design);
  const first = network.drains.get("drain-0")!;
  expect(sumInflowLps(network, first, 0)).toBeCloseTo(sink.inflowLps, 12);
  expect(sumInflowLps(network, first, 2)).toBeCloseTo(100 * sink.inflowLps, 9);
  expect(evaluate(design).drains).toHaveLength(100);
});

test("a circle is a fault of each drain in it, and of no other", () => {
  const design = chain(6);
  const lines = design.lines.map((line, i) =>
    i === 2 && line.kind === "drain"
      ? { ...line, to: { kind: "junction", lineId: "drain-4", node: own.bendsMm[0]!.id, fitting: "wye" } as const }
      : line,
  );
  const outcome = parseDesign({ ...design, lines });
  const ids = outcome.ok ? [] : outcome.faults.map((fault) => fault.code === "drainLoop" && fault.id).sort();
  expect(ids).toEqual(["drain-2", "drain-3", "drain-4"]);
});
