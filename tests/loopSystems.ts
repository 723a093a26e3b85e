import fc from "fast-check";
import type { Design } from "@/core/design/design";
import type { Gear } from "@/core/design/gear";
import type { Hose, Tank } from "@/core/design/plumbing";
import { gearDesigns } from "./gearArbitraries";

/** What joins the two waters: a valve, or a three-way valve by two of its ports. */
type Cross = "valve" | "wayB" | "betweenWays";
const PORTS = { valve: ["in", "out"], wayB: ["common", "b"], betweenWays: ["a", "b"] } as const;

/** The random network with a loop tank joined to it by a valve and a non-return: what builders do. */
export function withLoop(design: Design, height: number, hasNonReturn: boolean, cross: Cross = "valve"): Design {
  const common = { sizeMm: { x: 80, y: 80, z: 80 }, openBelowMm: 0 };
  const gear: Gear[] = [
    ...design.gear,
    {
      id: "cross",
      name: "Cross valve",
      ...common,
      atMm: { x: 0, y: 0, z: height },
      spec:
        cross === "valve"
          ? { kind: "valve", dropKPa: 1, atLpm: 10, drive: "motor", atRest: "opens" }
          : { kind: "diverter", dropKPa: 1, atLpm: 10, drive: "hand", atRest: "stays" },
    },
    hasNonReturn
      ? {
          id: "guard",
          name: "Guard",
          ...common,
          atMm: { x: 100, y: 0, z: height },
          spec: { kind: "nonReturn", dropKPa: 1, atLpm: 10, crackKPa: 2 },
        }
      : {
          id: "guard",
          name: "Guard",
          ...common,
          atMm: { x: 100, y: 0, z: height },
          spec: { kind: "flowMeter", dropKPa: 1, atLpm: 10 },
        },
  ];
  const loop: Tank = {
    ...design.tanks.at(-1)!,
    id: "other",
    name: "Other",
    holds: design.tanks.at(-1)!.holds === "fresh" ? "loop" : "fresh",
    atMm: { x: 500, y: -300, z: height },
    ports: [
      { id: "p", kind: "draw", atMm: { x: 0, y: 50, z: 10 }, boreMm: 12, thread: null, fittingMm: 0, valve: null },
    ],
  };
  const hose = (id: string, from: Hose["from"], to: Hose["to"]): Hose => ({
    id,
    name: id,
    kind: "hose",
    pipe: { innerMm: 12.7, outerMm: 18, manningN: 0.009 },
    from,
    to,
    pointsMm: [],
  });
  const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });
  // cut into the first hose: the tank's own port takes a second one
  const own = {
    ...design.tanks.at(-1)!,
    ports: [...design.tanks.at(-1)!.ports, { ...design.tanks.at(-1)!.ports[0]!, id: "second" }],
  };
  return {
    ...design,
    gear,
    tanks: [...design.tanks.slice(0, -1), own, loop],
    lines: [
      ...design.lines,
      hose("x1", { kind: "tank", tankId: "other", portId: "p" }, at("cross", PORTS[cross][0])),
      hose("x2", at("cross", PORTS[cross][1]), at("guard", "in")),
      hose("x3", at("guard", "out"), { kind: "tank", tankId: own.id, portId: "second" }),
    ],
  };
}

/** Random pumped networks of which one tank is fresh and the other one a loop, with what joins them. */
export const loopSystems: fc.Arbitrary<Design> = fc
  .record({
    base: gearDesigns,
    height: fc.integer({ min: -400, max: 1_200 }),
    guarded: fc.boolean(),
    cross: fc.constantFrom<Cross>("valve", "valve", "wayB", "betweenWays"),
    gapped: fc.constantFrom(false, false, true),
  })
  .map(({ base, height, guarded, cross, gapped }) => {
    const design = withLoop(base.design, height, guarded, cross);
    return gapped ? withGap(design) : design;
  });

/** The same with an air gap in place of the guard: what comes from the tank "other" falls over it into the first one. */
export const withGap = (design: Design): Design => ({
  ...design,
  gear: design.gear.map((piece) =>
    piece.id === "guard" ? { ...piece, spec: { kind: "airGap" as const, gapMm: 40 } } : piece,
  ),
});
