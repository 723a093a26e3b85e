"use client";
import { useMemo } from "react";
import { listCuts } from "@/core/build/cuts";
import type { Built } from "@/core/build/progress";
import type { Design } from "@/core/design/design";
import { buildDrainPath } from "@/core/falls/drainPath";
import { buildNetwork } from "@/core/falls/network";
import { listCourse } from "@/core/fit/lineLegs";
import { toTankBlock } from "@/core/fit/obstacleGaps";
import type { Vec3 } from "@/core/geometry/vec";
import * as WORDS from "@/words/panels/build/buildDrawing";
import { formatLength, type Units } from "@/words/units";

type Flat = readonly [number, number];
type View = (p: Vec3) => Flat;

const LOOKS: Readonly<Record<Built, { readonly stroke: string; readonly width: number; readonly dash?: string }>> = {
  solid: { stroke: "var(--ink)", width: 2.4 },
  lit: { stroke: "var(--enamel)", width: 3.4 },
  thin: { stroke: "var(--faint)", width: 1.2, dash: "3 3" },
};

const SIZE = { width: 300, gap: 30, pad: 10 };

/** More numbers than this run into one another. */
const MOST_MARKS = 8;

type BuildDrawingProps = {
  readonly design: Design;
  readonly built: ReadonlyMap<string, Built>;
  /** Where the step is measured out, from the rear edge, the middle and the floor. */
  readonly spot: Vec3 | null;
  /** All that is marked for it, where that is more than the spot. */
  readonly marks: readonly Vec3[];
  readonly units: Units;
};

/** The rig from above and from the side: what is built is solid, what the step is about is lit, what is not yet thin. */
export function BuildDrawing({ design, built, spot, marks: marked, units }: BuildDrawingProps) {
  const shapes = useMemo(() => collect(design), [design]);
  const { rig } = design;
  const isCrowded = shapes.reduce((sum, { marks }) => sum + marks.length, 0) > MOST_MARKS;
  const [left, right] = spread([...shapes.flatMap(({ points }) => points.map(({ x }) => x)), 0, rig.lengthMm]);
  const [low, high] = spread([...shapes.flatMap(({ points }) => points.map(({ z }) => z)), 0]);
  const half = Math.max(rig.widthMm / 2, ...shapes.flatMap(({ points }) => points.map(({ y }) => Math.abs(y))));
  const scale = (SIZE.width - 2 * SIZE.pad) / Math.max(1, right - left);
  const planHeight = 2 * half * scale;
  const top = 22;
  const sideTop = top + planHeight + SIZE.gap;
  const height = sideTop + (high - low) * scale + 24;
  const above: View = ({ x, y }) => [SIZE.pad + (x - left) * scale, top + (half - y) * scale];
  const side: View = ({ x, z }) => [SIZE.pad + (x - left) * scale, sideTop + (high - z) * scale];
  const [floorLeft, floorRight] = [side({ x: 0, y: 0, z: 0 }), side({ x: rig.lengthMm, y: 0, z: 0 })];
  const [planA, planB] = [
    above({ x: 0, y: rig.widthMm / 2, z: 0 }),
    above({ x: rig.lengthMm, y: -rig.widthMm / 2, z: 0 }),
  ];
  // where there are many, those of the step alone, and none where something is measured out, so that they can be read
  const numbers = shapes.flatMap(({ of, marks }) =>
    spot || (isCrowded && built.get(of) !== "lit") ? [] : marks.map(({ text, at }) => ({ text, at: above(at) })),
  );
  return (
    <svg
      viewBox={`0 0 ${SIZE.width} ${Math.round(height)}`}
      className="w-full"
      role="img"
      aria-label={WORDS.whatIsBuiltSolidWhat}
    >
      <text x={SIZE.pad} y={16} fontSize={12} style={{ fill: "var(--faint)" }}>
        {WORDS.fromAboveForwardToThe}
      </text>
      <rect
        x={planA[0]}
        y={planA[1]}
        width={planB[0] - planA[0]}
        height={planB[1] - planA[1]}
        fill="none"
        stroke="var(--edge)"
      />
      <text x={SIZE.pad} y={sideTop - 8} fontSize={12} style={{ fill: "var(--faint)" }}>
        {WORDS.fromTheSide}
      </text>
      <path d={`M${floorLeft.join(" ")}L${floorRight.join(" ")}`} stroke="var(--ink)" strokeWidth={1.5} />
      {[above, side].map((view, i) =>
        shapes.map(({ key, points, isClosed, of }) => {
          const { stroke, width, dash } = LOOKS[built.get(of) ?? "thin"];
          const flat = (isClosed ? outline(points.map(view)) : points.map(view)).map((p) => p.map(round).join(","));
          const common = {
            points: flat.join(" "),
            fill: "none",
            stroke,
            strokeWidth: width,
            strokeLinejoin: "round",
            ...(dash ? { strokeDasharray: dash } : {}),
          } as const;
          // biome-ignore lint/suspicious/noArrayIndexKey: there are two views, always the same
          return isClosed ? <polygon key={`${key}${i}`} {...common} /> : <polyline key={`${key}${i}`} {...common} />;
        }),
      )}
      {spot && (
        <>
          <Measured from={above({ ...spot, x: 0 })} to={above(spot)} text={formatLength(Math.abs(spot.x), units)} />
          <Measured from={above({ ...spot, y: 0 })} to={above(spot)} text={formatLength(Math.abs(spot.y), units)} />
          {(marked.length > 0 ? marked : [spot]).map((mark) => (
            <Cross key={`${mark.x} ${mark.y}`} at={above(mark)} />
          ))}
          {Math.abs(spot.z) >= LEAST_HEIGHT_MM && (
            <Measured from={side({ ...spot, z: 0 })} to={side(spot)} text={formatLength(Math.abs(spot.z), units)} />
          )}
          <Cross at={side(spot)} />
        </>
      )}
      {joinNear(numbers).map(({ text, at: [x, y] }) => (
        <Words key={text} at={[x, y - 4]} text={text} anchor="middle" fill="var(--ink)" />
      ))}
    </svg>
  );
}

/** Less than this over or under the floor is not drawn as a height, mm. */
const LEAST_HEIGHT_MM = 5;

// A distance with its figure, which stands beside it where it would not go in between.
function Measured({ from, to, text }: { readonly from: Flat; readonly to: Flat; readonly text: string }) {
  const [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const isAcross = Math.abs(from[1] - to[1]) > Math.abs(from[0] - to[0]);
  const isRight = to[0] < SIZE.width - 60;
  return (
    <>
      <path d={`M${from.map(round).join(" ")}L${to.map(round).join(" ")}`} stroke="var(--enamel)" strokeWidth={1} />
      <Words
        at={isAcross ? [to[0] + (isRight ? 7 : -7), y + 4] : [Math.max(34, x), y - 4]}
        text={text}
        anchor={isAcross ? (isRight ? "start" : "end") : "middle"}
        fill="var(--enamel)"
      />
    </>
  );
}

type WordsProps = {
  readonly at: Flat;
  readonly text: string;
  readonly anchor: "start" | "middle" | "end";
  readonly fill: string;
};

type PieceNumber = { readonly text: string; readonly at: Flat };

/** How far a number reaches, per letter and upward, in the drawing's own measure. */
const LETTER = { width: 7, height: 13 };

// What lies one over the other seen from above, as an upright piece does with the next, is written as one.
function joinNear(numbers: readonly PieceNumber[]): PieceNumber[] {
  const joined: PieceNumber[] = [];
  for (const number of numbers) {
    const near = joined.findIndex(
      ({ text, at }) =>
        Math.abs(at[0] - number.at[0]) < (LETTER.width * (text.length + number.text.length)) / 2 &&
        Math.abs(at[1] - number.at[1]) < LETTER.height,
    );
    if (near < 0) joined.push(number);
    else joined[near] = { ...joined[near]!, text: `${joined[near]!.text} ${number.text}` };
  }
  return joined;
}

// On a rim of paper, so that what runs under it does not cross it out.
const Words = ({ at: [x, y], text, anchor, fill }: WordsProps) => (
  <text
    x={x}
    y={y}
    fontSize={12}
    textAnchor={anchor}
    className="figures"
    stroke="var(--sheet)"
    strokeWidth={4}
    paintOrder="stroke"
    style={{ fill }}
  >
    {text}
  </text>
);

const Cross = ({ at: [x, y] }: { readonly at: Flat }) => (
  <path
    d={`M${round(x - 5)} ${round(y)}h10M${round(x)} ${round(y - 5)}v10`}
    stroke="var(--enamel)"
    strokeWidth={2}
    fill="none"
  />
);

const round = (n: number): number => Math.round(n * 10) / 10;

const spread = (values: readonly number[]): readonly [number, number] => [Math.min(...values), Math.max(...values)];

// The rectangle round the corners of a block, as it is seen.
function outline(points: readonly Flat[]): Flat[] {
  const [x0, x1] = spread(points.map(([x]) => x));
  const [y0, y1] = spread(points.map(([, y]) => y));
  return [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ];
}

type Shape = {
  readonly key: string;
  /** The part it belongs to, by kind and id. */
  readonly of: string;
  readonly points: readonly Vec3[];
  readonly isClosed: boolean;
  /** Numbers of the cut list where the pieces lie. */
  readonly marks: readonly { readonly text: string; readonly at: Vec3 }[];
};

function collect(design: Design): Shape[] {
  const network = buildNetwork(design);
  const cuts = listCuts(design);
  const block = (key: string, min: Vec3, max: Vec3): Shape => ({
    key,
    of: key,
    points: [min, max],
    isClosed: true,
    marks: [],
  });
  const line = (id: string, points: readonly Vec3[]): Shape => ({
    key: `line:${id}`,
    of: `line:${id}`,
    points,
    isClosed: false,
    marks: cuts.flatMap(({ lineId, leg, mark }) => {
      const [from, to] = [points[leg], points[leg + 1]];
      if (lineId !== id || !from || !to) return [];
      return [{ text: mark, at: { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2, z: (from.z + to.z) / 2 } }];
    }),
  });
  return [
    ...design.tanks.map((tank) => {
      const { min, max } = toTankBlock(tank);
      return block(`tank:${tank.id}`, min, max);
    }),
    ...design.gear.map(({ id, atMm, sizeMm }) =>
      block(`gear:${id}`, atMm, { x: atMm.x + sizeMm.x, y: atMm.y + sizeMm.y, z: atMm.z + sizeMm.z }),
    ),
    ...design.lines.map((one) => {
      if (one.kind !== "drain") return line(one.id, listCourse(design, one));
      const { ownLegs } = buildDrainPath(design, one, network);
      return line(one.id, [...ownLegs.slice(0, 1).map(({ from }) => from), ...ownLegs.map(({ to }) => to)]);
    }),
  ];
}
