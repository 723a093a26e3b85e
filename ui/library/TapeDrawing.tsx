import type { FirstMeasures } from "@/core/design/firstMeasures";
import type { RigKind } from "@/core/design/rig";

type Sketch = "side" | "plan" | "tank" | "cup";
type Tape = {
  readonly sketch: Sketch;
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
};

// Where the tape lies, in the sketches' own units.
const TAPES: Readonly<Record<keyof FirstMeasures, Tape>> = {
  floorLengthMm: { sketch: "side", from: [40, 88], to: [250, 88] },
  floorWidthMm: { sketch: "plan", from: [62, 36], to: [62, 144] },
  floorThicknessMm: { sketch: "side", from: [148, 96], to: [148, 108] },
  groundBelowMm: { sketch: "side", from: [30, 96], to: [30, 160] },
  sillBelowMm: { sketch: "side", from: [262, 96], to: [262, 136] },
  waterlineMm: { sketch: "side", from: [262, 96], to: [262, 78] },
  sinkForwardMm: { sketch: "plan", from: [40, 62], to: [186, 62] },
  sinkLeftMm: { sketch: "plan", from: [186, 90], to: [186, 62] },
  sinkHeightMm: { sketch: "side", from: [186, 96], to: [186, 60] },
  tankLengthMm: { sketch: "tank", from: [70, 150], to: [220, 150] },
  tankWidthMm: { sketch: "tank", from: [220, 140], to: [256, 104] },
  tankHeightMm: { sketch: "tank", from: [58, 76], to: [58, 140] },
  tankForwardMm: { sketch: "plan", from: [40, 122], to: [82, 122] },
  tankLeftMm: { sketch: "plan", from: [112, 90], to: [112, 84] },
  tankTopBelowMm: { sketch: "side", from: [112, 96], to: [112, 116] },
  people: { sketch: "cup", from: [0, 0], to: [0, 0] },
  sinkLPerPersonDay: { sketch: "cup", from: [0, 0], to: [0, 0] },
  freshL: { sketch: "cup", from: [0, 0], to: [0, 0] },
};

const BODIES: Readonly<Record<RigKind, string>> = {
  van: "M36 110V26q0-6 6-6h172q20 0 34 30l10 34q8 4 8 14v14",
  bus: "M30 110V18q0-6 6-6h222q8 0 8 10l4 66v22",
  trailer: "M36 110V30q0-14 14-14h186q14 0 14 14v80M250 108l30 6",
  boat: "M30 96q2 34 34 52h150q40-14 60-72M70 76V40h120l14 36M20 76h262",
};

/** A small drawing of where to hold the tape for one measure. */
export function TapeDrawing({ measure, kind }: { readonly measure: keyof FirstMeasures; readonly kind: RigKind }) {
  const { sketch, from, to } = TAPES[measure];
  return (
    <svg viewBox="0 0 300 176" className="w-full border border-rule bg-sheet" aria-hidden>
      {sketch === "side" && <SideSketch kind={kind} />}
      {sketch === "plan" && <PlanSketch />}
      {sketch === "tank" && <TankSketch />}
      {sketch === "cup" && <CupSketch />}
      {sketch !== "cup" && <TapeLine from={from} to={to} />}
    </svg>
  );
}

function TapeLine({ from, to }: Pick<Tape, "from" | "to">) {
  const [x0, y0] = from;
  const [x1, y1] = to;
  const length = Math.max(1, Math.hypot(x1 - x0, y1 - y0));
  const [nx, ny] = [(-(y1 - y0) / length) * 6, ((x1 - x0) / length) * 6];
  return (
    <g stroke="var(--signal)" strokeWidth={2.4} strokeLinecap="round">
      <path d={`M${x0} ${y0}L${x1} ${y1}`} />
      <path d={`M${x0 - nx} ${y0 - ny}l${2 * nx} ${2 * ny}M${x1 - nx} ${y1 - ny}l${2 * nx} ${2 * ny}`} />
    </g>
  );
}

function SideSketch({ kind }: { readonly kind: RigKind }) {
  const isBoat = kind === "boat";
  return (
    <g fill="none" stroke="var(--edge)" strokeWidth={1.4}>
      <path d={BODIES[kind]} />
      {!isBoat && <path d="M8 160h284" stroke="var(--ink)" strokeWidth={2} />}
      {!isBoat && <path d="M36 136h222" strokeDasharray="10 3 2 3" />}
      {!isBoat && (kind === "trailer" ? [150] : [84, 226]).map((x) => <circle key={x} cx={x} cy={146} r={14} />)}
      {isBoat && <path d="M4 78q8-5 16 0t16 0m228 0q8-5 16 0t16 0" stroke="var(--enamel)" />}
      <rect x={40} y={96} width={210} height={12} fill="var(--rule)" stroke="var(--ink)" />
      <path d="M168 48h36v8l-12 4h-12l-12-4Z" stroke="var(--ink)" strokeWidth={2} fill="var(--sheet)" />
      <path d="M186 60v22h-50v36" stroke="var(--ink)" strokeWidth={2} />
      <rect x={82} y={116} width={60} height={18} stroke="var(--ink)" strokeWidth={2} />
    </g>
  );
}

function PlanSketch() {
  return (
    <g fill="none" stroke="var(--edge)" strokeWidth={1.4}>
      <rect x={40} y={36} width={210} height={108} stroke="var(--ink)" strokeWidth={2} />
      <path d="M24 90h252" strokeDasharray="12 4 2 4" />
      <path d="M258 82l10 8l-10 8" stroke="var(--ink)" />
      <rect x={82} y={46} width={60} height={38} strokeDasharray="5 3" stroke="var(--ink)" strokeWidth={2} />
      <rect x={170} y={48} width={32} height={28} rx={3} stroke="var(--ink)" strokeWidth={2} />
      <circle cx={186} cy={62} r={3} stroke="var(--ink)" />
      <path d="M186 62h-44" strokeDasharray="4 3" stroke="var(--ink)" />
    </g>
  );
}

function TankSketch() {
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth={2} strokeLinejoin="round">
      <path d="M70 76h150v64h-150ZM70 76l36-36h150l-36 36M256 40v64l-36 36" />
      <path d="M74 112h142M80 120h30m14 0h30m14 0h30M74 128h20m14 0h40" stroke="var(--water)" strokeWidth={1.4} />
    </g>
  );
}

function CupSketch() {
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth={2}>
      <path d="M84 70h132v22l-22 20h-88l-22-20ZM200 70V40q0-12-12-12h-20q-10 0-10 10v8M150 112v34" />
      <path
        d="M96 84h108M102 92h20m12 0h20m12 0h20M108 100h34m12 0h30M158 50v20"
        stroke="var(--water)"
        strokeWidth={1.6}
      />
    </g>
  );
}
