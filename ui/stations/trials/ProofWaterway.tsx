"use client";
import { useEffect, useMemo } from "react";
import { listSteps } from "@/core/build/steps";
import type { PartRef } from "@/core/design/part";
import type { Chance } from "@/core/trials/findFault";
import { findTrialOf, judgeProofs, judgeTrial, listTrials, PROOFS, type Proof } from "@/core/trials/proof";
import { buildWaterway, type Waterway } from "@/core/waterway/buildWaterway";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import * as WORDS from "@/words/panels/trials/proofWaterway";
import { describeProofs, PROOF_NAMES } from "@/words/proof";
import { useFrame } from "../../drawing/useFrame";
import { ProofMark } from "../../waterway/ProofMark";
import { WaterwayDrawing } from "../../waterway/WaterwayDrawing";
import { WaterwayPlace } from "../../waterway/WaterwayPlace";
import { useRecords } from "../useRecords";

/** From this share on a suspect is lit. */
const LIT_SHARE = 0.05;

/** So high every fixture's row stands at least, so that it can be read; more of them scroll. */
const ROW_PX = 48;

type ProofWaterwayProps = {
  /** The causes as they stand; empty while nothing was answered, then nothing is lit. */
  readonly chances: readonly Chance[];
  /** What the trial that comes next is held on: lit, and brought into view. */
  readonly asked: PartRef | null;
};

/** The whole rig with how far each line is proven; press one and its trial is ready to be run. */
export function ProofWaterway({ chances, asked }: ProofWaterwayProps) {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const build = useRecords((state) => state.build);
  const frame = useFrame<HTMLDivElement>();
  const { width, height } = frame.size;
  const waterway = useMemo(() => buildWaterway(design, evaluation), [design, evaluation]);
  const trials = useMemo(() => listTrials(listSteps(design, evaluation)), [design, evaluation]);
  const proofs = useMemo(() => judgeProofs(waterway, design, trials, build), [waterway, design, trials, build]);
  const askedId = asked && toDrawnId(asked);
  const lit = useMemo(() => {
    const parts = new Set(chances.flatMap(({ suspect, share }) => (share >= LIT_SHARE ? [toDrawnId(suspect.at)] : [])));
    const drawn = [...waterway.nodes, ...waterway.edges];
    const suspected = drawn.flatMap(({ id, part }) => (parts.has(toDrawnId(part)) ? [id] : []));
    // a tank is lit by itself, and not with all that is drawn of it
    const own = drawn.find(({ id }) => id === askedId) ?? drawn.find(({ part }) => toDrawnId(part) === askedId);
    return new Set(own ? [...suspected, own.id] : suspected);
  }, [chances, waterway, askedId]);
  const tried = useMemo(() => pickTried(waterway, proofs), [waterway, proofs]);
  const { element } = frame;
  const isLaid = width > 0;
  useEffect(() => {
    const isAsked = ({ part }: { readonly part: PartRef }) => toDrawnId(part) === askedId;
    const id = isLaid ? (waterway.nodes.find(isAsked) ?? waterway.edges.find(isAsked))?.id : undefined;
    if (element && id) bringIntoView(element, element.querySelector(`[data-drawn="${CSS.escape(id)}"]`));
  }, [element, askedId, waterway, isLaid]);
  const press = (part: PartRef) => {
    if (findTrialOf(design, part) !== null) look({ selection: part });
  };
  return (
    <div role="group" aria-label={WORDS.stateOfProof} className="flex min-h-0 min-w-0 flex-1 flex-col">
      <p className="px-3 pt-2 pb-1.5 text-[13.5px] leading-snug" data-testid="proof-line">
        {describeProofs(trials.map(({ id }) => judgeTrial(id, build, design)))}
      </p>
      <WaterwayPlace frame={frame} label={WORDS.waterwayOfTheTrials} className="min-h-0 flex-1 p-1">
        <div className="h-full" style={{ minHeight: design.fixtures.length * ROW_PX }}>
          <WaterwayDrawing
            waterway={tried}
            aspect={width > 0 ? width / height : 1}
            {...(width > 0 ? { widthPx: width } : {})}
            onNode={({ part }) => press(part)}
            onEdge={({ part }) => press(part)}
            lit={lit}
            proofs={proofs}
          />
        </div>
      </WaterwayPlace>
      <div className="flex flex-wrap gap-x-4 gap-y-0.5 px-3 pb-2 text-[12.5px] text-faint">
        {PROOFS.map((proof) => (
          <span key={proof} className="flex items-center gap-1.5">
            <svg width="20" height="20" viewBox="-10 -10 20 20" aria-hidden>
              <ProofMark proof={proof} at={[0, 0]} />
            </svg>
            {PROOF_NAMES[proof]}
          </span>
        ))}
        <span>{WORDS.breathersAreTriedWithThe}</span>
      </div>
    </div>
  );
}

// Only this place is scrolled: the page stays where the hand has it.
function bringIntoView(place: HTMLElement, drawn: Element | null): void {
  if (!drawn) return;
  const [around, own] = [place.getBoundingClientRect(), drawn.getBoundingClientRect()];
  if (own.top >= around.top && own.bottom <= around.bottom) return;
  place.scrollTop += own.top + own.height / 2 - (around.top + around.height / 2);
}

// Only what is tried, so that a large rig can still be read.
function pickTried({ nodes, edges }: Waterway, proofs: ReadonlyMap<string, Proof>): Waterway {
  const own = edges.filter(({ id }) => proofs.has(id));
  const ids = new Set(own.flatMap(({ from, to }) => [from, to]));
  return { nodes: nodes.filter(({ id }) => proofs.has(id) || ids.has(id)), edges: own };
}

// Traps, bends and ends are drawn with their line, ports with their tank.
function toDrawnId(part: PartRef): string {
  if ("lineId" in part) return `line:${part.lineId}`;
  if (part.kind === "port") return `tank:${part.tankId}`;
  return "id" in part ? `${part.kind}:${part.id}` : part.kind;
}
