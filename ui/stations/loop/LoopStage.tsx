"use client";
import { RotateCcw, Save } from "lucide-react";
import { useMemo, useState } from "react";
import type { Design } from "@/core/design/design";
import type { Gear, Position, WorkingState } from "@/core/design/gear";
import { buildGearGraph } from "@/core/gear/gearGraph";
import { computeLoopFigures } from "@/core/gear/loopFigures";
import { toSetting } from "@/core/gear/settings";
import { solveFlows } from "@/core/gear/solveFlows";
import { takeTurns } from "@/core/gear/turns";
import { findWaterInHoses, LEAST_LPM } from "@/core/gear/waterInHoses";
import { buildWaterway, type WaterNode, type Waterway } from "@/core/waterway/buildWaterway";
import { carryWaters } from "@/core/waterway/carryWaters";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { describeLoop, describeStanding } from "@/words/gear";
import * as WORDS from "@/words/panels/loop/loopStage";
import { formatQuantity } from "@/words/units";
import { describeWaterFigure } from "@/words/waterway";
import { useFrame } from "../../drawing/useFrame";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { StagePick } from "../../kit/StagePick";
import { WaterwayDrawing } from "../../waterway/WaterwayDrawing";
import { StageHeader } from "../StageHeader";
import { useSide } from "../useSide";
import { CabinetView } from "./CabinetView";

/** The pumped side as a diagram that can be worked: press a valve and it turns, and water moves. Beside it the cabinet. */
export function LoopStage() {
  const side = useSide();
  const design = useWorkbench((state) => state.history?.design ?? null);
  if (!design) return null;
  if (design.gear.length === 0) {
    return (
      <section aria-label={WORDS.thePumpedWater} className="flex flex-1 items-center justify-center bg-sheet p-8">
        <p className="max-w-md">
          <Trade>{WORDS.nothingIsPumpedOnThis(side)}</Trade>
        </p>
      </section>
    );
  }
  return <Trainer design={design} />;
}

/** A flow with the widest figure there is, L/s. */
const WIDEST_LPS = 0.2;
const NO_STATE: WorkingState = { id: "none", name: WORDS.everythingShut, on: [], positions: [], openTaps: [] };

function Trainer({ design }: { readonly design: Design }) {
  const evaluation = useWorkbench((state) => state.evaluation!);
  const units = useWorkbench((state) => state.units);
  const selection = useWorkbench((state) => state.selection);
  const { set } = useEdits();
  const frame = useFrame<HTMLDivElement>();
  const { width, height } = frame.size;
  const { stateId, way } = useWorkbench((state) => state.loopView);
  const own = design.states.find(({ id }) => id === stateId) ?? design.states[0] ?? NO_STATE;
  const kept = useMemo(() => (way ? takeTurns(design.gear, own, way.turns) : own), [design.gear, own, way]);
  // what is turned here is tried, and changes the design only when it is kept
  const [tried, setTried] = useState<WorkingState | null>(null);
  const state = tried?.id === kept.id ? tried : kept;
  const setting = useMemo(() => toSetting(state, way?.failure ?? null), [state, way]);
  const graph = useMemo(() => buildGearGraph(design), [design]);
  const flows = useMemo(() => solveFlows(design, graph, setting), [design, graph, setting]);
  const figures = useMemo(() => computeLoopFigures(design), [design]);
  const waterway = useMemo(() => pickPumped(design, buildWaterway(design, evaluation)), [design, evaluation]);
  const shown = useMemo((): Waterway => {
    const waters = findWaterInHoses(graph, flows, setting);
    return { nodes: waterway.nodes, edges: carryWaters(waterway.edges, waters) };
  }, [waterway, graph, flows, setting]);
  // room is kept for the longest figure, so that nothing moves when a valve is turned
  const plan = useMemo(
    () => ({
      waterway,
      figures: new Map(
        waterway.edges.map(({ id, figure }) => [
          id,
          [figure ? describeWaterFigure(figure, units) : "", formatQuantity(WIDEST_LPS, "flow", units)]
            .join(" ")
            .trim(),
        ]),
      ),
    }),
    [waterway, units],
  );
  const lpmOf = new Map(flows.links.map(({ id, lpm }) => [`line:${id}`, lpm]));
  const flowing = new Set([...lpmOf].flatMap(([id, lpm]) => (Math.abs(lpm) > LEAST_LPM ? [id] : [])));
  const notes = new Map<string, string>([
    ...[...lpmOf].flatMap(([id, lpm]): [string, string][] =>
      Math.abs(lpm) > LEAST_LPM ? [[id, formatQuantity(Math.abs(lpm) / 60, "flow", units)]] : [],
    ),
    ...design.gear.map((piece): [string, string] => [
      `gear:${piece.id}`,
      describeStanding(
        piece,
        {
          isOn: setting.isOn(piece.id),
          position: setting.positionOf(piece),
          isOpen: setting.isTapOpen(piece.id),
        },
        units,
      ),
    ]),
  ]);
  const foul = useMemo(
    () => new Set((way?.links ?? []).flatMap((id) => [`line:${id}`, `gear:${id.replace(/\.[ab]$/, "")}`])),
    [way],
  );
  const press = (node: WaterNode) => {
    if (node.part.kind === "tank") {
      look({ station: "tanks", tankId: node.part.id });
      return;
    }
    if (node.part.kind !== "gear") return;
    const piece = design.gear.find(({ id }) => id === (node.part as { readonly id: string }).id);
    look({ selection: node.part });
    const next = piece && turn(state, piece, setting.positionOf(piece));
    if (!next) return;
    setTried(next);
    if (way) look({ loopView: { stateId, way: null } });
  };
  const keep = () => {
    set({ kind: "state", id: state.id }, ["states", state.id], state);
    setTried(null);
  };
  const isTried = tried !== null && tried.id === kept.id;
  return (
    <section aria-label={WORDS.thePumpedWater} className="flex min-h-0 flex-1 flex-col bg-sheet">
      <StageHeader
        title={WORDS.loop}
        choice={
          design.states.length > 0 ? (
            <StagePick
              label={WORDS.workingState}
              value={kept.id}
              options={design.states}
              onPick={(id) => look({ loopView: { stateId: id, way: null } })}
            />
          ) : undefined
        }
        text={
          way ? (
            <span className="flex flex-wrap items-center gap-2">
              <span className="text-signal">{way.text}</span>
              <Button onClick={() => look({ loopView: { stateId, way: null } })}>{WORDS.clear}</Button>
            </span>
          ) : figures ? (
            describeLoop(figures, units)
          ) : (
            WORDS.pressAValveAPump
          )
        }
      />
      <div className="flex min-h-0 flex-1 phone:flex-col">
        <div
          ref={frame.ref}
          className="relative min-h-0 min-w-0 flex-[5] overflow-auto p-1"
          data-testid="loop-waterway"
        >
          <WaterwayDrawing
            waterway={shown}
            aspect={width > 0 ? width / height : 1}
            {...(width > 0 ? { widthPx: width } : {})}
            onNode={press}
            onEdge={(edge) => edge.part.kind === "line" && look({ selection: edge.part })}
            pickedId={selection?.kind === "gear" ? `gear:${selection.id}` : null}
            notes={notes}
            lit={flowing}
            foul={foul}
            plan={plan}
          />
          {isTried && (
            <p className="absolute bottom-1 left-2 flex items-center gap-2 bg-sheet/90 text-[13px]">
              <Trade>{WORDS.triedOnly}</Trade>
              {design.states.length > 0 && (
                <Button onClick={keep}>
                  <Save size={14} aria-hidden /> {WORDS.keepAs} {kept.name}
                </Button>
              )}
              <Button onClick={() => setTried(null)}>
                <RotateCcw size={14} aria-hidden /> {WORDS.back}
              </Button>
            </p>
          )}
        </div>
        <div className="flex min-h-0 min-w-0 flex-[3] flex-col border-l border-rule phone:border-t phone:border-l-0">
          <CabinetView design={design} />
        </div>
      </div>
    </section>
  );
}

// Gear, the tanks its hoses come to, and the fixtures its taps stand over.
function pickPumped({ lines }: Design, { nodes, edges }: Waterway): Waterway {
  const hoses = new Set(lines.flatMap(({ id, kind }) => (kind === "hose" ? [`line:${id}`] : [])));
  const own = edges.filter(({ id, part }) => hoses.has(id) || (id.startsWith("supply:") && part.kind === "gear"));
  const ids = new Set(own.flatMap(({ from, to }) => [from, to]));
  return { nodes: nodes.filter(({ id, kind }) => kind === "gear" || ids.has(id)), edges: own };
}

// The state with one piece turned; null for what does not turn.
function turn(state: WorkingState, { id, spec }: Gear, position: Position): WorkingState | null {
  const toggle = (list: readonly string[]) => (list.includes(id) ? list.filter((one) => one !== id) : [...list, id]);
  switch (spec.kind) {
    case "pump":
    case "uvLamp":
    case "heater":
      return { ...state, on: toggle(state.on) };
    case "tap":
    case "coupling":
      return { ...state, openTaps: toggle(state.openTaps) };
    case "valve":
    case "diverter": {
      const flipped = { open: "shut", shut: "open", a: "b", b: "a" } as const;
      return {
        ...state,
        positions: [...state.positions.filter(({ gearId }) => gearId !== id), { gearId: id, at: flipped[position] }],
      };
    }
    default:
      return null;
  }
}
