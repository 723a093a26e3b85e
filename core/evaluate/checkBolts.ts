import type { Design } from "../design/design";
import type { DrainPath } from "../falls/drainPath";
import { listLineLegs } from "../fit/lineLegs";
import { listBoltHits, measureBoltsOff, type Pipes } from "../fixing/boltHits";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";

/** What can be said against where the bolts of tanks go through the floor; a boat's go into bearers. */
export function checkBolts(design: Design, paths: readonly DrainPath[]): Finding[] {
  const { rig, tanks, lines } = design;
  if (rig.kind === "boat" || tanks.every(({ fixing }) => !fixing)) return [];
  const pipes: Pipes = [
    ...paths.map(({ drain, ownLegs }) => ({ id: drain.id, name: drain.name, legs: ownLegs })),
    ...lines.map((line) => ({ id: line.id, name: line.name, legs: listLineLegs(design, line) })),
  ];
  return tanks.flatMap((tank): Finding[] => {
    const at = { kind: "tank", id: tank.id } as const;
    const off = measureBoltsOff(design, tank);
    return [
      ...listBoltHits(design, tank, pipes).map((hit) =>
        createGraded(hit.isFrame ? "note" : "must", at, { code: "boltHits", ...hit }),
      ),
      ...(off.bolts > 0 ? [createFinding(at, { code: "boltOffFloor", ...off })] : []),
    ];
  });
}
