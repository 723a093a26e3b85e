"use client";
import type { Design } from "@/core/design/design";
import { listPoints } from "@/core/design/linePoints";
import { findPlaceMm, type Movable } from "@/core/design/moves";
import { measureExtent } from "@/core/geometry/solid";
import { add, scale, type Vec3, vec } from "@/core/geometry/vec";
import { useWorkbench } from "@/store/useWorkbench";
import { speakFor } from "@/words/afloat";
import { describePart } from "@/words/describePart";
import * as WORDS from "@/words/panels/plan/planHandles";
import { Handle, type HandleShape, type Pull } from "../drawing/Handle";
import { findShownResult } from "../drawing/shown";
import type { PlanProps } from "./PlanScenery";

const toPlanShift = (_: Design, pull: Pull): Vec3 => vec(pull.across, pull.up, 0);
const toTurnedShift = (_: Design, pull: Pull): Vec3 => vec(pull.up, -pull.across, 0);

/** Everything that can be pulled in plan. On a turned sheet, zoomed by `turnedZoom`, up the screen is forward. */
export function PlanHandles({ design, view, turnedZoom }: PlanProps & { readonly turnedZoom: number | null }) {
  const evaluation = useWorkbench((state) => state.evaluation);
  const toShift = turnedZoom === null ? toPlanShift : toTurnedShift;
  const zoomed = turnedZoom ?? 1;
  const pxPerMm = { x: view.kx * zoomed, y: view.ky * zoomed };
  const handle = (part: Movable, label: string, p: Vec3, shape?: HandleShape) => (
    <Handle
      key={Object.values(part).join(":")}
      part={part}
      label={label}
      at={[view.x(p.x), view.y(p.y)]}
      pxPerMm={pxPerMm}
      toShift={toShift}
      {...(shape ? { shape } : {})}
    />
  );
  // a leg is pulled by its middle; those of the drain shown, that there be room
  const result = useWorkbench(findShownResult);
  const passageLabel = speakFor(design.rig.kind)(WORDS.moveTheFloorPassage);
  const shownLegs = (result?.legs.slice(0, result.ownLegs) ?? []).flatMap(({ lineId, index, planLengthMm }) => {
    const part = { kind: "leg", lineId, index } as const;
    const at = findPlaceMm(design, part);
    // a drop is one point in plan, and its floor passage moves it
    return at && planLengthMm * view.kx >= 40 ? [{ part, at }] : [];
  });
  return (
    <g>
      {design.tanks.map((tank) => {
        const { min, max } = measureExtent(tank.solid);
        const centre = vec(tank.atMm.x + (min.x + max.x) / 2, tank.atMm.y + (min.y + max.y) / 2, 0);
        return handle({ kind: "tank", id: tank.id }, WORDS.moveInPlan(tank.name), centre, "wide");
      })}
      {design.lines.flatMap((line) =>
        listPoints(line).map((point, index) => {
          const part = { kind: "bend", lineId: line.id, index } as const;
          return handle(part, WORDS.moveInPlan2(describePart(part, design)), point);
        }),
      )}
      {design.lines.flatMap(({ id, to }) => {
        if (to.kind !== "ground" && to.kind !== "vessel") return [];
        const part = { kind: "end", lineId: id } as const;
        return handle(part, WORDS.moveTheInPlan(describePart(part, design).toLowerCase()), to.atMm);
      })}
      {shownLegs.map(({ part, at }) => handle(part, WORDS.moveInPlan2(describePart(part, design)), at, "leg"))}
      {evaluation?.drains.flatMap((drain) =>
        drain.passages
          .filter(({ through }) => through === "floor")
          .map((passage) =>
            handle(
              { kind: "passage", lineId: drain.lineId, index: passage.legIndex },
              WORDS.ofInPlan(passageLabel, describePart({ kind: "line", id: drain.lineId }, design)),
              passage.atMm,
              "square",
            ),
          ),
      )}
      {design.gear.map(({ id, name, atMm, sizeMm }) =>
        handle({ kind: "gear", id }, WORDS.moveInPlan(name), add(atMm, scale(sizeMm, 0.5)), "square"),
      )}
      {design.fixtures.map((fixture) =>
        handle({ kind: "fixture", id: fixture.id }, WORDS.moveTheOutletOfIn(fixture.name), fixture.outletMm, "wide"),
      )}
    </g>
  );
}
