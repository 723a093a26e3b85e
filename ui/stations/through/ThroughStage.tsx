"use client";
import { useId, useState } from "react";
import { radToDeg } from "@/core/quantity/convert";
import { type HoleEntry, listHoles } from "@/core/through/holes";
import { chooseOwnSaw } from "@/core/through/saws";
import { useWorkbench } from "@/store/useWorkbench";
import { describeHole, describeHolePlace, describeOwnSaw, describeSaw, describeSize } from "@/words/holes";
import * as WORDS from "@/words/panels/through/throughStage";
import { formatLength, formatNumber, type Units } from "@/words/units";
import { HaloText } from "../../drawing/HaloText";
import { Hatches } from "../../drawing/Hatches";
import { useFrame } from "../../drawing/useFrame";
import { Trade } from "../../glossary/Trade";
import { StagePick } from "../../kit/StagePick";
import { StageHeader } from "../StageHeader";
import { useRecords } from "../useRecords";

/** One hole in section at its true angle: what it goes through, the pipe with its room to seal, and what lies behind. */
export function ThroughStage() {
  const design = useWorkbench((state) => state.history?.design ?? null);
  const evaluation = useWorkbench((state) => state.evaluation);
  const units = useWorkbench((state) => state.units);
  const saws = useRecords((state) => state.build.saws);
  const [id, setId] = useState<string | null>(null);
  if (!design || !evaluation) return null;
  const holes = listHoles(design, evaluation);
  const hole = holes.find((one) => one.id === id) ?? holes[0];
  if (!hole) {
    return (
      <section aria-label={WORDS.theHole} className="flex flex-1 items-center justify-center bg-sheet p-8">
        <p>
          <Trade>{WORDS.noHoleYetNothingGoes}</Trade>
        </p>
      </section>
    );
  }
  const [face] = hole.facesMm;
  const own = chooseOwnSaw(hole, saws ?? NO_SAWS);
  return (
    <section aria-label={WORDS.theHole} className="flex min-h-0 flex-1 flex-col bg-sheet">
      <StageHeader
        title={describeHole(hole, design)}
        choice={
          <StagePick
            label={WORDS.holeShown}
            value={hole.id}
            options={holes.map((one) => ({ id: one.id, name: describeHole(one, design) }))}
            onPick={setId}
          />
        }
        text={
          <>
            <span className="font-semibold">{describeSize(hole, units)}</span>, {describeSaw(hole.saw)};{" "}
            {describeHolePlace(hole, face, design, units)}. {own && describeOwnSaw(own, hole.saw, units)}
          </>
        }
      />
      <HoleSection hole={hole} units={units} />
    </section>
  );
}

const NO_SAWS: readonly number[] = [];
const LAYER = 0.42;

// The wall lies level in the drawing, as the drill meets it; the pipe goes through at its angle to it.
function HoleSection({ hole, units }: { readonly hole: HoleEntry; readonly units: Units }) {
  const frame = useFrame<SVGSVGElement>();
  const hatch = useId().replace(/[^a-z0-9]/gi, "");
  const { width, height } = frame.size;
  const { widthMm, lengthMm, thicknessMm, behind } = hole;
  // a floor is met at the angle between pipe and floor, a wall at that off its square
  const lean = hole.through === "floor" ? hole.angleRad : Math.PI / 2 - hole.angleRad;
  const thick = Math.max(thicknessMm, 6);
  const roomMm = Math.max(lengthMm * 2.2, thick * 4, 160);
  const k = Math.min((width - 80) / roomMm, (height - 70) / (roomMm * 0.6));
  const [cx, cy] = [width / 2, height * LAYER];
  const half = (thick * k) / 2;
  const along = { x: Math.cos(lean), y: Math.sin(lean) };
  const reach = roomMm * k;
  // the pipe is as wide as the hole less its room to seal all round
  const pipe = Math.max(4, widthMm - 2 * SEAL_MM) * k;
  const edge = (side: number, offset: number) => {
    const nx = -along.y * offset;
    const ny = along.x * offset;
    return [cx + side * along.x * reach + nx, cy + side * along.y * reach + ny] as const;
  };
  const outline = (w: number) => [edge(-1, w / 2), edge(1, w / 2), edge(1, -w / 2), edge(-1, -w / 2)];
  const points = (list: readonly (readonly [number, number])[]) =>
    list.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(" ");
  const cut = (lengthMm * k) / 2;
  return (
    <svg
      ref={frame.ref}
      className="min-h-0 w-full flex-1"
      role="img"
      aria-label={WORDS.holeOfByAtDegrees(
        formatLength(lengthMm, units),
        formatLength(widthMm, units),
        formatNumber(radToDeg(lean), 0),
      )}
    >
      <Hatches id={hatch} />
      {width > 0 && (
        <>
          <defs>
            <clipPath id={`${hatch}-sheet`}>
              <rect x={0} y={0} width={width} height={height} />
            </clipPath>
          </defs>
          <g clipPath={`url(#${hatch}-sheet)`}>
            <rect
              x={20}
              y={cy - half}
              width={Math.max(0, cx - cut - 20)}
              height={2 * half}
              fill={`url(#${hatch}-floor)`}
              stroke="var(--ink)"
              strokeWidth={1.6}
            />
            <rect
              x={cx + cut}
              y={cy - half}
              width={Math.max(0, width - 20 - cx - cut)}
              height={2 * half}
              fill={`url(#${hatch}-floor)`}
              stroke="var(--ink)"
              strokeWidth={1.6}
            />
            <polygon
              points={points(outline(widthMm * k))}
              fill="var(--pick)"
              stroke="var(--enamel)"
              strokeWidth={1}
              strokeDasharray="5 3"
            />
            <polygon points={points(outline(pipe))} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2} />
            {behind && (
              <g>
                <rect
                  x={20}
                  y={Math.min(height - 34, cy + half + behind.clearMm * k)}
                  width={width - 40}
                  height={26}
                  fill={`url(#${hatch}-solid)`}
                  stroke="var(--edge)"
                />
                <HaloText x={28} y={Math.min(height - 16, cy + half + behind.clearMm * k + 18)} tone="signal">
                  {WORDS.behind(behind.name, formatLength(behind.clearMm, units))}
                </HaloText>
              </g>
            )}
          </g>
          <path
            d={`M${cx - cut} ${cy - half - 12}H${cx + cut}M${cx - cut} ${cy - half - 17}v10M${cx + cut} ${cy - half - 17}v10`}
            stroke="var(--enamel)"
            strokeWidth={1.4}
          />
          <HaloText x={cx + cut + 8} y={cy - half - 8} tone="ink">
            {WORDS.alongAcross(formatLength(lengthMm, units), formatLength(widthMm, units))}
          </HaloText>
          <HaloText x={26} y={cy - half - 8}>
            {hole.drillFrom === "below" ? WORDS.theOtherFace : WORDS.drillFromHere}
          </HaloText>
          <HaloText x={26} y={cy + half + 18}>
            {WORDS.toTheFace(
              thicknessMm > 0 ? formatLength(thicknessMm, units) : WORDS.thicknessNotKnown,
              formatNumber(radToDeg(lean), 0),
            )}
          </HaloText>
        </>
      )}
    </svg>
  );
}

/** Drawn round the pipe for the sealant, mm. */
const SEAL_MM = 2;
