import type { Design } from "@/core/design/design";
import { listHoseCourse } from "@/core/fit/lineLegs";
import type { Vec3 } from "@/core/geometry/vec";
import { Stroke } from "./Stroke";
import { toPoints, type View } from "./view";

type HoseStrokesProps = {
  readonly design: Pick<Design, "lines" | "gear" | "tanks">;
  readonly view: View;
  /** Where a point of the rig is on this drawing, mm. */
  readonly at: (p: Vec3) => readonly [number, number];
  /** As wide as their bore, or all alike and thin. */
  readonly isToScale: boolean;
};

/** The hoses of a rig as they lie, in any of its views. */
export const HoseStrokes = ({ design, view, at, isToScale }: HoseStrokesProps) =>
  design.lines.map((line) =>
    line.kind === "hose" ? (
      <Stroke
        key={line.id}
        points={toPoints(view, listHoseCourse(design, line).map(at))}
        stroke="var(--water)"
        strokeWidth={isToScale ? Math.max(1.6, line.pipe.innerMm * view.kx) : 1.6}
        strokeOpacity={0.7}
        fill="none"
      />
    ) : null,
  );
