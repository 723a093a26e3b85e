"use client";
import { useId, useMemo } from "react";
import { computeUp, LEVEL } from "@/core/attitude/attitude";
import type { Design } from "@/core/design/design";
import type { PartRef } from "@/core/design/part";
import { listHoseCourse } from "@/core/fit/lineLegs";
import { toBlock } from "@/core/fit/obstacleBlock";
import { toTankBlock } from "@/core/fit/obstacleGaps";
import { placeLabels } from "@/core/geometry/placeLabels";
import type { Vec3 } from "@/core/geometry/vec";
import { listToiletWays } from "@/core/heads/toiletWays";
import { measureLoadedSinkMm } from "@/core/hull/loadedLine";
import { sectionAt } from "@/core/hull/loft";
import { measureOverWater, SAFE_OVER_WATER_MM } from "@/core/hull/overWater";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, tilt } from "@/store/workbench";
import { describePart } from "@/words/describePart";
import * as WORDS from "@/words/panels/heads/headsStage";
import { formatLength, formatNumber } from "@/words/units";
import { HaloText } from "../../drawing/HaloText";
import { Hatches } from "../../drawing/Hatches";
import { Outline, Paper, Stroke } from "../../drawing/Stroke";
import { useFrame } from "../../drawing/useFrame";
import { StageHeader } from "../StageHeader";

const PAD = 34;

/** The heads from behind at their true heights, with the water at any heel: pull the heel and watch what goes under. */
export function HeadsStage() {
  const design = useWorkbench((state) => state.history!.design);
  const attitude = useWorkbench((state) => state.attitude);
  const units = useWorkbench((state) => state.units);
  const loops = design.gear.filter(({ spec }) => spec.kind === "ventedLoop");
  const lowest = loops
    .map((piece) => ({
      piece,
      over: measureOverWater(design, { ...piece.atMm, z: piece.atMm.z + piece.sizeMm.z }, attitude),
    }))
    .sort((a, b) => (a.over ?? Infinity) - (b.over ?? Infinity))[0];
  const isBoat = design.rig.waterlineZMm !== null;
  const [flooded] = useFlooded();
  const heel = attitude.rollDeg;
  return (
    <section aria-label={WORDS.theHeadsFromBehind} className="flex min-h-0 flex-1 flex-col bg-sheet">
      <StageHeader
        title={WORDS.heads}
        text={
          !isBoat ? (
            WORDS.fromBehindAtTrueHeights
          ) : flooded ? (
            <span className="text-signal">
              {WORDS.theSeaCanComeIn} {describePart(flooded, design)}.
            </span>
          ) : lowest?.over == null ? (
            WORDS.fromBehindWithTheWater
          ) : (
            <span className={lowest.over < SAFE_OVER_WATER_MM ? "text-signal" : ""}>
              {lowest.piece.name}
              {WORDS.top} {formatLength(Math.abs(lowest.over), units)} {lowest.over < 0 ? WORDS.under : WORDS.over}{" "}
              {WORDS.theWaterHere}
              {lowest.over < SAFE_OVER_WATER_MM ? WORDS.wanted(formatLength(SAFE_OVER_WATER_MM, units)) : ""}.
            </span>
          )
        }
      />
      <HeadsDrawing design={design} />
      {isBoat && (
        <label className="flex items-center gap-3 border-t border-rule px-3 py-1.5 text-[13.5px]">
          {WORDS.heel}
          <input
            type="range"
            min={-15}
            max={15}
            step={0.5}
            value={heel}
            aria-valuetext={
              heel === 0
                ? WORDS.upright
                : WORDS.to(formatNumber(Math.abs(heel), 1), heel > 0 ? WORDS.starboard : WORDS.port)
            }
            onChange={(event) => tilt({ ...attitude, rollDeg: Number(event.target.value) })}
            className="flex-1 accent-enamel phone:min-h-11"
          />
          <span className="figures w-32 text-right text-[15px]">
            {heel === 0
              ? WORDS.upright
              : WORDS.to(formatNumber(Math.abs(heel), 1), heel > 0 ? WORDS.starboard : WORDS.port)}
          </span>
        </label>
      )}
    </section>
  );
}

// Both sides of the section where most of the heads are: port sheer, keel, starboard sheer.
function findSkin({ rig, gear }: Design): readonly Pick<Vec3, "y" | "z">[] | null {
  if (!rig.hull) return null;
  const pieces = gear.filter(({ spec }) => LABELLED.has(spec.kind));
  const mean = pieces.reduce((sum, { atMm }) => sum + atMm.x, 0) / Math.max(1, pieces.length);
  const half = sectionAt(rig.hull, pieces.length > 0 ? mean : rig.lengthMm / 2);
  if (!half) return null;
  return [...[...half].reverse(), ...half.map(({ y, z }) => ({ y: -y, z }))];
}

// What the sea comes into by itself, with nothing that fails.
function useFlooded(): readonly PartRef[] {
  const findings = useWorkbench((state) => state.evaluation!.findings);
  return useMemo(
    () => findings.flatMap(({ code, severity, at }) => (code === "seaComesIn" && severity === "must" ? [at] : [])),
    [findings],
  );
}

type Flat = readonly [number, number];

function HeadsDrawing({ design }: { readonly design: Design }) {
  const attitude = useWorkbench((state) => state.attitude);
  const units = useWorkbench((state) => state.units);
  const selection = useWorkbench((state) => state.selection);
  const flooded = useFlooded();
  const frame = useFrame<SVGSVGElement>();
  const hatch = useId().replace(/[^a-z0-9]/gi, "");
  const { width, height } = frame.size;
  const { rig } = design;
  const waterZ = rig.waterlineZMm;
  const sinkMm = useMemo(() => measureLoadedSinkMm(design), [design]);
  // looked at from behind: port is to the left; the paper stays level and she heels
  const up = computeUp({ ...LEVEL, rollDeg: attitude.rollDeg });
  const turn = useMemo(() => {
    const [sin, cos] = [up.y, up.z];
    const z0 = waterZ ?? 0;
    return ({ y, z }: Pick<Vec3, "y" | "z">): Flat => [-(y * cos - (z - z0) * sin), y * sin + (z - z0) * cos];
  }, [up.y, up.z, waterZ]);
  // with her sections the hull is drawn as it is where the heads are; without, as the blocks that stand for it
  const skin = useMemo(() => findSkin(design), [design]);
  const hulls = skin ? [] : design.obstacles.filter(({ kind }) => kind === "hull").map(toBlock);
  const tanks = design.tanks
    .map((tank) => ({ tank, ...toTankBlock(tank) }))
    .sort((a, b) => sizeBehind(b) - sizeBehind(a));
  const toilets = useMemo(() => listToiletWays(design), [design]);
  const all: Flat[] = [
    ...design.gear.flatMap(({ atMm, sizeMm }) => listCorners(atMm, sizeMm.y, sizeMm.z)),
    ...tanks.flatMap(({ min, max }) => listCorners(min, max.y - min.y, max.z - min.z)),
    ...hulls.flatMap(({ min, max }) => listCorners(min, max.y - min.y, max.z - min.z)),
    ...toilets.flatMap(({ atMm, sizeMm }) => listCorners(atMm, sizeMm.y, sizeMm.z)),
    ...(skin ?? []),
    { y: rig.widthMm / 2, z: 0 },
    { y: -rig.widthMm / 2, z: 0 },
  ].map(turn);
  const reach = Math.max(300, ...all.map(([x]) => Math.abs(x)));
  const [low, high] = [Math.min(-100, ...all.map(([, z]) => z)), Math.max(200, ...all.map(([, z]) => z))];
  const k = Math.max(0.01, Math.min((width - 2 * PAD) / (2 * reach), (height - 2 * PAD) / (high - low)));
  const at = ([x, z]: Flat): Flat => [width / 2 + x * k, height / 2 - (z - (low + high) / 2) * k];
  const box = (min: Pick<Vec3, "y" | "z">, wide: number, tall: number) =>
    listCorners(min, wide, tall).map((p) => at(turn(p)));
  const toText = (points: readonly Flat[]) => points.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(" ");
  return (
    <div className="apart relative min-h-0 flex-1">
      <svg
        ref={frame.ref}
        className="drawing absolute inset-0 size-full"
        role="group"
        aria-label={WORDS.headsFromBehindToScale}
      >
        <Paper />
        <Hatches id={hatch} />
        {width > 0 && (
          <>
            {waterZ !== null && (
              <>
                <rect
                  x={0}
                  y={at([0, 0])[1]}
                  width={width}
                  height={Math.max(0, height - at([0, 0])[1])}
                  fill="var(--pick)"
                />
                <Stroke
                  points={`0,${at([0, 0])[1].toFixed(1)} ${width},${at([0, 0])[1].toFixed(1)}`}
                  stroke="var(--water)"
                  strokeWidth={2}
                />
                <HaloText x={8} y={at([0, 0])[1] + 14}>
                  {WORDS.water}
                </HaloText>
                {sinkMm !== null && sinkMm > 0 && (
                  <>
                    <Stroke
                      points={`0,${at([0, sinkMm])[1].toFixed(1)} ${width},${at([0, sinkMm])[1].toFixed(1)}`}
                      stroke="var(--water)"
                      strokeWidth={1.2}
                      strokeDasharray="7 4"
                    />
                    <HaloText x={8} y={at([0, sinkMm])[1] - 5}>
                      {WORDS.deepest(formatLength(sinkMm, units))}
                    </HaloText>
                  </>
                )}
              </>
            )}
            {skin && (
              <Stroke
                points={toText(skin.map((p) => at(turn(p))))}
                stroke="var(--ink)"
                strokeWidth={Math.max(2, (rig.hull?.thicknessMm ?? 0) * k)}
                strokeLinejoin="round"
              />
            )}
            {hulls.map(({ min, max }) => (
              <Outline
                key={`${min.x} ${min.y}`}
                points={toText(box(min, max.y - min.y, max.z - min.z))}
                fill="var(--rule)"
                stroke="var(--ink)"
                strokeWidth={1.4}
              />
            ))}
            <Stroke
              points={toText([at(turn({ y: rig.widthMm / 2, z: 0 })), at(turn({ y: -rig.widthMm / 2, z: 0 }))])}
              stroke="var(--ink)"
              strokeWidth={1.6}
            />
            {tanks.map(({ tank, min, max }) => (
              <Outline
                key={tank.id}
                points={toText(box(min, max.y - min.y, max.z - min.z))}
                fill={`url(#${hatch}-${tank.holds})`}
                stroke="var(--ink)"
                strokeWidth={2}
              />
            ))}
            {design.lines.map((line) =>
              line.kind === "hose" ? (
                <Stroke
                  key={line.id}
                  points={toText(listHoseCourse(design, line).map((p) => at(turn(p))))}
                  stroke="var(--ink)"
                  strokeWidth={Math.max(1.6, Math.min(6, line.pipe.innerMm * k))}
                  strokeOpacity={0.55}
                />
              ) : null,
            )}
            {toilets.map(({ fixture, atMm, sizeMm, courseMm, boreMm, vesselMm }) => (
              <g key={fixture.id}>
                <Outline
                  points={toText(box(atMm, sizeMm.y, sizeMm.z))}
                  fill="var(--sheet)"
                  stroke="var(--ink)"
                  strokeWidth={1.8}
                />
                {courseMm.length > 1 && (
                  <Stroke
                    points={toText(courseMm.map((p) => at(turn(p))))}
                    stroke="var(--ink)"
                    strokeWidth={Math.max(2, boreMm * k)}
                    strokeOpacity={0.55}
                  />
                )}
                {vesselMm && (
                  <Outline
                    points={toText(box({ y: vesselMm.y - CAN.wide / 2, z: vesselMm.z - CAN.high }, CAN.wide, CAN.high))}
                    fill={`url(#${hatch}-black)`}
                    stroke="var(--ink)"
                    strokeWidth={1.8}
                  />
                )}
              </g>
            ))}
            {design.gear.map((piece) => {
              const corners = box(piece.atMm, piece.sizeMm.y, piece.sizeMm.z);
              const over = measureOverWater(design, { ...piece.atMm, z: piece.atMm.z + piece.sizeMm.z }, attitude);
              const isLow = piece.spec.kind === "ventedLoop" && over !== null && over < SAFE_OVER_WATER_MM;
              const isUnder = over !== null && over < 0;
              const isWrong = isLow || flooded.some((at) => at.kind === "gear" && at.id === piece.id);
              const isPicked = selection?.kind === "gear" && selection.id === piece.id;
              const y = corners[2]![1];
              return (
                <g key={piece.id}>
                  <Outline
                    points={toText(corners)}
                    fill={isPicked ? "var(--pick)" : "var(--sheet)"}
                    stroke={isWrong ? "var(--signal)" : isUnder ? "var(--water)" : "var(--ink)"}
                    strokeWidth={isWrong ? 3 : 1.8}
                  />
                  <a
                    href={`#${piece.id}`}
                    aria-label={
                      over === null
                        ? piece.name
                        : WORDS.topOfWater(piece.name, formatLength(Math.abs(over), units), over < 0)
                    }
                    onClick={(event) => {
                      event.preventDefault();
                      look({ selection: { kind: "gear", id: piece.id } });
                    }}
                  >
                    <rect
                      x={Math.min(...corners.map(([cx]) => cx)) - 6}
                      y={y - 8}
                      width={34}
                      height={34}
                      fill="transparent"
                    />
                  </a>
                </g>
              );
            })}
            {placeNames(
              [
                ...tanks.map(({ tank, min, max }) => ({
                  id: tank.id,
                  corners: box(min, max.y - min.y, max.z - min.z),
                  text: tank.name,
                })),
                ...toilets.map(({ fixture, atMm, sizeMm }) => ({
                  id: fixture.id,
                  corners: box(atMm, sizeMm.y, sizeMm.z),
                  text: fixture.name,
                })),
                ...design.gear
                  .filter(
                    (piece) =>
                      LABELLED.has(piece.spec.kind) || (selection?.kind === "gear" && selection.id === piece.id),
                  )
                  .map((piece) => {
                    const over = measureOverWater(
                      design,
                      { ...piece.atMm, z: piece.atMm.z + piece.sizeMm.z },
                      attitude,
                    );
                    const text =
                      over === null
                        ? piece.name
                        : WORDS.soMuchOver(piece.name, formatLength(Math.round(Math.abs(over)), units), over < 0);
                    return { id: piece.id, corners: box(piece.atMm, piece.sizeMm.y, piece.sizeMm.z), text };
                  }),
              ],
              width,
            ).map(({ id, at: [x, y], to, text }) => (
              <g key={id}>
                {to && <Stroke points={toText([[x, y - TEXT_PX / 3], to])} stroke="var(--faint)" strokeWidth={0.8} />}
                <HaloText x={x} y={y} anchor="middle">
                  {text}
                </HaloText>
              </g>
            ))}
          </>
        )}
      </svg>
    </div>
  );
}

/** A canister under a seat, mm [T: as one of ten litres is sold]. */
const CAN = { wide: 180, high: 200 };

// What is larger from behind is drawn first, so that it hides nothing.
const sizeBehind = ({ min, max }: { readonly min: Vec3; readonly max: Vec3 }) => (max.y - min.y) * (max.z - min.z);

type Named = { readonly id: string; readonly corners: readonly Flat[]; readonly text: string };
type Placed = { readonly id: string; readonly at: Flat; readonly to: Flat | null; readonly text: string };

const TEXT_PX = 13;
const LETTER_PX = 5.9;
const PX_PER_MM = 96 / 25.4;
/** Further off than this a name has a line to what it belongs to, px. */
const NEAR_PX = 26;

// Each name beside its box, where it meets the fewest others.
function placeNames(list: readonly Named[], sheetPx: number): Placed[] {
  const labels = list.map(({ corners, text }) => {
    const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
    const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const at: Flat = [(left + right) / 2, (top + bottom) / 2];
    return {
      text,
      at,
      radius: (bottom - top) / 2,
      width: text.length * LETTER_PX,
      height: TEXT_PX,
    };
  });
  return placeLabels(labels, [], PX_PER_MM).map(([x, y], i) => {
    const { at, radius, width } = labels[i]!;
    // none leaves the sheet
    const inX = Math.max(width / 2 + 4, Math.min(x, sheetPx - width / 2 - 4));
    const isFar = Math.abs(y - at[1]) > radius + NEAR_PX;
    return { id: list[i]!.id, text: list[i]!.text, at: [inX, y + TEXT_PX / 3], to: isFar ? at : null };
  });
}

const LABELLED = new Set(["bowl", "ventedLoop", "skinFitting", "sump", "deckFitting"]);

// Of a box from behind: lower right, lower left, upper left, upper right as y grows to port.
const listCorners = ({ y, z }: Pick<Vec3, "y" | "z">, wide: number, tall: number): Pick<Vec3, "y" | "z">[] => [
  { y, z },
  { y: y + wide, z },
  { y: y + wide, z: z + tall },
  { y, z: z + tall },
];
