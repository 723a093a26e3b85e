"use client";
import { memo, useCallback, useEffect, useId, useMemo, useRef } from "react";
import type { GearKind } from "@/core/design/gear";
import type { Proof } from "@/core/trials/proof";
import type { WaterEdge, WaterNode, Waterway } from "@/core/waterway/buildWaterway";
import type { Led, Placed } from "@/files/laidOut";
import { layOutWaterway, READABLE } from "@/files/layOutWaterway";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/waterway/waterwayDrawing";
import { PROOF_NAMES } from "@/words/proof";
import { describeWaterEdge, describeWaterFigure, nameWaterNode } from "@/words/waterway";
import { Hatches } from "../drawing/Hatches";
import { Stroke } from "../drawing/Stroke";
import { listPoints } from "../drawing/view";
import { EdgeFigure, TONES } from "./EdgeFigure";
import { GearGlyph } from "./GearGlyph";
import { ProofMark } from "./ProofMark";
import { TrapMark } from "./TrapMark";

/** How each water is drawn: by its stroke first, by its colour second. */
const STROKES: Readonly<
  Record<WaterEdge["carries"], { readonly stroke: string; readonly width: number; readonly dash?: string }>
> = {
  fresh: { stroke: "var(--water)", width: 1.8 },
  grey: { stroke: "var(--water)", width: 3.2, dash: "9 4" },
  black: { stroke: "var(--ink)", width: 3.4 },
  loop: { stroke: "var(--enamel)", width: 2.6, dash: "12 3 2 3" },
  air: { stroke: "var(--faint)", width: 1.4, dash: "1 5" },
};

type WaterwayDrawingProps = {
  readonly waterway: Waterway;
  /** Width to height of the sheet it is read on. */
  readonly aspect: number;
  /** How wide it is shown, px, where its place can be scrolled: it is then as high as it takes to be read. */
  readonly widthPx?: number;
  readonly onNode: (node: WaterNode) => void;
  readonly onEdge: (edge: WaterEdge) => void;
  readonly pickedId?: string | null;
  /** How a piece of gear is turned, and what stands beside it. */
  readonly notes?: ReadonlyMap<string, string>;
  /** What is lit: lines through which water goes now, or what is suspected. */
  readonly lit?: ReadonlySet<string>;
  /** The way of water that must not come: drawn over everything. */
  readonly foul?: ReadonlySet<string>;
  /** How far a line or a part is proven. */
  readonly proofs?: ReadonlyMap<string, Proof>;
  /** What it is laid out by, where lines change what they carry while it stands: the same diagram, and the longest figure of each line. */
  readonly plan?: { readonly waterway: Waterway; readonly figures: ReadonlyMap<string, string> };
};

/** The whole rig as a diagram: press a part and it opens. */
export function WaterwayDrawing({
  waterway,
  aspect,
  widthPx,
  onNode,
  onEdge,
  pickedId,
  notes,
  lit,
  foul,
  proofs,
  plan,
}: WaterwayDrawingProps) {
  const units = useWorkbench((state) => state.units);
  const gear = useWorkbench((state) => state.history!.design.gear);
  const hatch = useId().replace(/[^a-z0-9]/gi, "");
  const labels = useMemo(
    () =>
      new Map(
        waterway.edges.flatMap((edge): [string, string][] => {
          const figure = edge.figure ? describeWaterFigure(edge.figure, units) : null;
          const note = notes?.get(edge.id);
          const text = [figure, note].filter(Boolean).join(" ");
          return text ? [[edge.id, text]] : [];
        }),
      ),
    [waterway, units, notes],
  );
  const [shape, figures] = [plan?.waterway ?? waterway, plan?.figures ?? labels];
  const laid = useMemo(
    () => layOutWaterway(shape, figures, aspect, widthPx ?? null),
    [shape, figures, aspect, widthPx],
  );
  // higher than its place where it could not be read whole
  const isScrolled = widthPx !== undefined && Math.min(widthPx / laid.width, widthPx / aspect / laid.height) < READABLE;
  const carried = new Map(waterway.edges.map(({ id, carries }) => [id, carries]));
  // parts are drawn again only when they change, and always tell the hands of now
  const hands = useRef({ onNode, onEdge });
  useEffect(() => {
    hands.current = { onNode, onEdge };
  });
  const pressNode = useCallback((node: WaterNode) => hands.current.onNode(node), []);
  const pressEdge = useCallback((edge: WaterEdge) => hands.current.onEdge(edge), []);
  const names = new Map(waterway.nodes.map((node) => [node.id, nameWaterNode(node)]));
  return (
    <svg
      viewBox={`0 0 ${laid.width} ${laid.height}`}
      className={`mx-auto block w-full max-w-full ${isScrolled ? "" : "h-full max-h-full"}`}
      {...(isScrolled ? { style: { maxWidth: laid.width } } : {})}
      role="group"
      aria-label={WORDS.waterwayTheWholeRigAs}
    >
      <Hatches id={hatch} />
      {laid.edges.map((edge) => (
        <EdgeLine
          key={edge.id}
          edge={edge}
          text={nameProven(
            describeWaterEdge({ ...edge, carries: carried.get(edge.id) ?? edge.carries }, names, units),
            proofs?.get(edge.id),
          )}
          isLit={lit?.has(edge.id) ?? false}
          isFoul={foul?.has(edge.id) ?? false}
          carries={carried.get(edge.id) ?? edge.carries}
          onPress={pressEdge}
        />
      ))}
      {laid.edges.map((edge) => (
        <EdgeFigure key={edge.id} edge={edge} label={labels.get(edge.id) ?? null} />
      ))}
      {laid.nodes.map((node) => {
        const piece =
          node.part.kind === "gear" ? gear.find(({ id }) => id === (node.part as { id: string }).id) : undefined;
        return (
          <NodeMark
            key={node.id}
            node={node}
            name={names.get(node.id) ?? ""}
            proof={proofs?.get(node.id)}
            figure={notes?.get(node.id) ?? (node.figure ? describeWaterFigure(node.figure, units) : "")}
            hatch={hatch}
            isPicked={pickedId === node.id || (lit?.has(node.id) ?? false)}
            isFoul={foul?.has(node.id) ?? false}
            glyph={piece?.spec.kind ?? null}
            onPress={pressNode}
          />
        );
      })}
      {proofs &&
        laid.edges.map(({ id, points }) => {
          const proof = proofs.get(id);
          return proof && <ProofMark key={id} proof={proof} at={findMarkPlace(points)} />;
        })}
      {proofs &&
        laid.nodes.map(({ id, x, y, width, height }) => {
          const proof = proofs.get(id);
          return proof && <ProofMark key={id} proof={proof} at={[x + width / 2 - 3, y - height / 2 + 3]} />;
        })}
    </svg>
  );
}

const nameProven = (text: string, proof: Proof | undefined): string =>
  proof ? `${text}; ${PROOF_NAMES[proof].toLowerCase()}` : text;

// Far along a line: past its figure, before the part it ends at.
function findMarkPlace(points: readonly (readonly [number, number])[]): readonly [number, number] {
  const legs = points.slice(1).map((to, i) => Math.hypot(to[0] - points[i]![0], to[1] - points[i]![1]));
  let left = legs.reduce((sum, leg) => sum + leg, 0) * 0.9;
  for (const [i, leg] of legs.entries()) {
    if (left <= leg && leg > 0) {
      const [from, to, share] = [points[i]!, points[i + 1]!, left / leg];
      return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
    }
    left -= leg;
  }
  return points[0] ?? [0, 0];
}

type EdgeLineProps = {
  readonly edge: Led;
  readonly text: string;
  readonly isLit: boolean;
  readonly isFoul: boolean;
  readonly carries: WaterEdge["carries"];
  readonly onPress: (edge: WaterEdge) => void;
};

const EdgeLine = memo(function EdgeLine({ edge, text, isLit, isFoul, carries, onPress }: EdgeLineProps) {
  const { stroke, width, dash } = STROKES[carries];
  const points = listPoints(edge.points);
  const [start, next] = edge.points;
  const [end, before] = [edge.points.at(-1), edge.points.at(-2)];
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={text}
      data-drawn={edge.id}
      className="press"
      onClick={() => onPress(edge)}
      onKeyDown={(event) => {
        if (event.key !== "Enter" && event.key !== " ") return;
        event.preventDefault();
        onPress(edge);
      }}
    >
      <title>{text}</title>
      <Stroke points={points} stroke="transparent" strokeWidth={16} />
      {isLit && <Stroke points={points} stroke="var(--pick)" strokeWidth={10} strokeLinejoin="round" />}
      {isFoul && <Stroke points={points} stroke="var(--signal)" strokeWidth={9} strokeDasharray="3 4" />}
      <Stroke
        points={points}
        stroke={edge.severity === "must" ? "var(--signal)" : stroke}
        strokeWidth={width}
        strokeLinejoin="round"
        {...(dash ? { strokeDasharray: dash } : {})}
      />
      {edge.trapMm !== null && start && next && <TrapMark at={start} towards={next} />}
      {end && before && <Arrow from={before} to={end} />}
    </g>
  );
});

function Arrow({ from, to }: { readonly from: readonly [number, number]; readonly to: readonly [number, number] }) {
  const angle = Math.atan2(to[1] - from[1], to[0] - from[0]);
  const wing = (turn: number) => [to[0] - 9 * Math.cos(angle + turn), to[1] - 9 * Math.sin(angle + turn)] as const;
  return <polygon points={listPoints([to, wing(0.42), wing(-0.42)])} fill="var(--ink)" />;
}

type NodeMarkProps = {
  readonly node: Placed<WaterNode>;
  readonly name: string;
  readonly figure: string;
  readonly hatch: string;
  readonly isPicked: boolean;
  readonly isFoul: boolean;
  readonly proof: Proof | undefined;
  readonly glyph: GearKind | null;
  readonly onPress: (node: WaterNode) => void;
};

const NAME_LETTERS = 21;
/** So many letters stand beside a sign as they are; a longer name takes two lines. */
const BESIDE_GLYPH = 14;
const shorten = (name: string): string => (name.length > NAME_LETTERS ? `${name.slice(0, NAME_LETTERS - 1)}…` : name);

// At the space nearest to its middle.
function breakName(name: string): readonly string[] {
  const spaces = [...name].flatMap((letter, i) => (letter === " " ? [i] : []));
  if (name.length <= BESIDE_GLYPH || spaces.length === 0) return [name];
  const off = (i: number) => Math.abs(i - name.length / 2);
  const at = spaces.reduce((a, b) => (off(b) < off(a) ? b : a));
  return [name.slice(0, at), name.slice(at + 1)];
}

const NodeMark = memo(function NodeMark({
  node,
  name,
  figure,
  hatch,
  isPicked,
  isFoul,
  proof,
  glyph,
  onPress,
}: NodeMarkProps) {
  const [left, top] = [node.x - node.width / 2, node.y - node.height / 2];
  if (node.kind === "junction") return <circle cx={node.x} cy={node.y} r={5} fill="var(--ink)" />;
  const isMark = node.kind === "openAir" || node.kind === "ground" || node.kind === "dump";
  const lines = glyph ? breakName(name) : [name];
  const firstLine = lines.length > 1 ? (figure ? 19 : 28) : figure ? 25 : 34;
  const tone = node.severity === "must" || node.severity === "should" ? TONES[node.severity] : "var(--ink)";
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={nameProven([name, figure].filter(Boolean).join(", "), proof)}
      aria-pressed={isPicked}
      data-drawn={node.id}
      className="press"
      onClick={() => onPress(node)}
      onKeyDown={(event) => {
        if (event.key !== "Enter" && event.key !== " ") return;
        event.preventDefault();
        onPress(node);
      }}
    >
      <title>{[name, figure].filter(Boolean).join(", ")}</title>
      {isPicked && <rect x={left - 4} y={top - 4} width={node.width + 8} height={node.height + 8} fill="var(--pick)" />}
      {isFoul && (
        <rect
          x={left - 5}
          y={top - 5}
          width={node.width + 10}
          height={node.height + 10}
          fill="none"
          stroke="var(--signal)"
          strokeWidth={3}
          strokeDasharray="3 4"
        />
      )}
      <Shape node={node} left={left} top={top} tone={tone} hatch={hatch} />
      {glyph && (
        <g transform={`translate(${left + 6} ${top + 12})`}>
          <GearGlyph kind={glyph} />
        </g>
      )}
      {lines.map((line, i) => (
        <text
          key={line}
          x={glyph ? left + 46 : node.x}
          y={isMark ? top + node.height - 2 : top + firstLine + 14 * i}
          textAnchor={glyph ? "start" : "middle"}
          fontSize={13.5}
          fontWeight={600}
          style={{ fill: "var(--ink)" }}
          {...(glyph && line.length > BESIDE_GLYPH
            ? { textLength: node.width - 52, lengthAdjust: "spacingAndGlyphs" }
            : {})}
        >
          {shorten(line)}
        </text>
      ))}
      {figure && !isMark && (
        <text
          x={glyph ? left + 46 : node.x}
          y={top + (lines.length > 1 ? 50 : 44)}
          textAnchor={glyph ? "start" : "middle"}
          fontSize={15}
          className="figures"
          style={{ fill: "var(--ink)" }}
        >
          {figure}
        </text>
      )}
    </g>
  );
});

type ShapeProps = {
  readonly node: Placed<WaterNode>;
  readonly left: number;
  readonly top: number;
  readonly tone: string;
  readonly hatch: string;
};

// What it is can be told without its name: bowl, box with water, bucket, open end, valve, ground.
function Shape({ node, left, top, tone, hatch }: ShapeProps) {
  const { width, height, x, y } = node;
  const right = left + width;
  const low = top + height;
  const common = { stroke: tone, strokeWidth: tone === "var(--ink)" ? 1.8 : 3, fill: "var(--sheet)" };
  switch (node.kind) {
    case "fixture":
      return <path d={`M${left} ${top}L${left + 14} ${low}H${right - 14}L${right} ${top}`} {...common} />;
    case "tank":
      return (
        <>
          <rect x={left} y={top} width={width} height={height} {...common} />
          <rect
            x={left + 3}
            y={low - 10}
            width={width - 6}
            height={8}
            fill={`url(#${hatch}-${node.holds ?? "grey"})`}
          />
        </>
      );
    case "source":
      return (
        <>
          <rect x={left} y={top} width={width} height={height} rx={12} {...common} />
          <rect x={left + 8} y={low - 11} width={width - 16} height={8} fill={`url(#${hatch}-fresh)`} />
        </>
      );
    case "vessel":
      return <path d={`M${left + 8} ${top}L${left + 16} ${low}H${right - 16}L${right - 8} ${top}Z`} {...common} />;
    case "openAir":
      return <path d={`M${x - 10} ${y - 8}h20M${x - 6} ${y - 14}h12`} stroke={tone} strokeWidth={2} fill="none" />;
    case "ground":
      return (
        <>
          <rect x={left} y={y - 8} width={width} height={12} fill={`url(#${hatch}-ground)`} />
          <path d={`M${left} ${y - 8}h${width}`} stroke={tone} strokeWidth={1.8} />
        </>
      );
    case "dump":
      return <path d={`M${x - 14} ${y - 16}v14l28 -14v14Z`} stroke={tone} strokeWidth={1.8} fill="var(--sheet)" />;
    case "junction":
      return null;
    case "gear":
      return <rect x={left} y={top} width={width} height={height} rx={4} {...common} />;
  }
}
