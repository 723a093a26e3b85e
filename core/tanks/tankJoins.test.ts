import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { LinkKind, Tank } from "../design/plumbing";
import { findTankJoin } from "./tankJoins";

/** The loop of Kranich with a second fresh tank that the first goes on in, and its pump laid between the two where it is asked for. */
function joinFresh(kind: LinkKind, isLaid: boolean): readonly [Design, Tank] {
  const loop = readDemo("kranich-loop");
  const fresh = loop.tanks.find(({ holds }) => holds === "fresh")!;
  const other: Tank = { ...fresh, id: "other", ports: [{ ...fresh.ports[0]!, id: "in", kind: "fill" }] };
  const from: Tank = { ...fresh, link: { kind, toTank: "other" } };
  const draw = loop.lines.find(
    (line) => line.kind === "hose" && line.from.kind === "tank" && line.from.tankId === fresh.id,
  );
  if (draw?.kind !== "hose") throw new Error("no hose out of the fresh tank");
  const pump = loop.gear.find(({ spec }) => spec.kind === "pump")!;
  const laid: Design["lines"] = [
    { ...draw, id: "a", to: { kind: "gear", gearId: pump.id, port: "in" } },
    {
      ...draw,
      id: "b",
      from: { kind: "gear", gearId: pump.id, port: "out" },
      to: { kind: "tank", tankId: "other", portId: "in" },
    },
  ];
  const tanks = [...loop.tanks.map((one) => (one === fresh ? from : one)), other];
  return [{ ...loop, tanks, lines: isLaid ? laid : loop.lines }, from];
}

test.each([
  ["pumped", false, "pumped"],
  ["pumped", true, null],
  // a pump beside the pipe at the bottom does not put that pipe there
  ["communicating", false, "communicating"],
  ["communicating", true, "communicating"],
] as const)("%s, its pump drawn: %s", (kind, isLaid, wanted) => {
  const [design, from] = joinFresh(kind, isLaid);
  expect(findTankJoin(design, from)?.kind ?? null).toBe(wanted);
});
