"use client";
import { Route } from "lucide-react";
import dynamic from "next/dynamic";
import { useMemo } from "react";
import type { Edit } from "@/core/design/editOps";
import type { Drain } from "@/core/design/plumbing";
import { listDrainParts } from "@/core/parts/listParts";
import type { RouteProposal } from "@/core/routes/findRoutes";
import { useWorkbench } from "@/store/useWorkbench";
import { change, previewEdit, tell, undo } from "@/store/workbench";
import * as WORDS from "@/words/panels/routes/routeFinder";
import { describePart } from "@/words/parts";
import { describeNoRoute, describeRoute, describeRouteChange } from "@/words/routes";
import { formatLength, formatNumber } from "@/words/units";
import { ask } from "@/workers/client";
import { Group } from "../fields/Group";
import { Button } from "../kit/Button";
import { Said } from "../kit/Said";
import { SearchButton } from "../kit/SearchButton";
import { useSearch } from "../kit/useSearch";

/** Looks for ways from the fixture to the tank; each is drawn before it is laid. */
export function RouteFinder({ drain }: { readonly drain: Drain }) {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const units = useWorkbench((state) => state.units);
  const { search, look, stop } = useSearch((now, onProgress, signal) =>
    ask("routes", { design: now, drainId: drain.id }, { onProgress, signal }),
  );
  const lay = (edit: Edit) => {
    if (!change(edit).ok) return;
    tell(WORDS.theDrainIsLaidAnew, { action: { label: WORDS.undo, run: undo } });
  };
  const found = search.status === "found" && search.design === design ? search : null;
  return (
    <Group title={WORDS.aWayToTheTank}>
      <SearchButton search={search} looking={WORDS.lookingForWays} onLook={look} onStop={stop}>
        <Route size={14} aria-hidden /> <Said>{WORDS.findWaysUnderTheFloor}</Said>
      </SearchButton>
      {found && (
        <div className="pt-1.5" data-testid="routes" title={WORDS.foundInMs(formatNumber(found.tookMs, 0))}>
          {found.answer.proposals.length === 0 && (
            <p className="text-[13.5px]">{describeNoRoute(found.answer, design, units)}</p>
          )}
          <ul className="flex flex-col">
            {found.answer.proposals.map((route) => (
              <Way
                key={JSON.stringify(route.edit)}
                route={route}
                drainId={drain.id}
                name={describeRoute(route, design, units)}
                onLay={lay}
              />
            ))}
            {found.answer.changes.map((route) => (
              <Way
                key={JSON.stringify(route.edit)}
                route={route}
                drainId={drain.id}
                name={`${describeRouteChange(route, design, units)}: ${describeRoute(route, design, units)}`}
                onLay={lay}
              />
            ))}
          </ul>
        </div>
      )}
      <SumpFit drain={drain} />
    </Group>
  );
}

// What pumps is fetched beside it, for most drains fall.
const SumpFit = dynamic(() => import("./SumpFit").then((module) => module.SumpFit), { ssr: false });

type WayProps = {
  readonly route: RouteProposal;
  readonly name: string;
  readonly drainId: string;
  readonly onLay: (edit: Edit) => void;
};

function Way({ route, name, drainId, onLay }: WayProps) {
  const preview = useWorkbench((state) => state.preview);
  const units = useWorkbench((state) => state.units);
  const isShown = preview?.edit === route.edit;
  const shown = useMemo(() => {
    const result = isShown ? preview.evaluation.drains.find(({ lineId }) => lineId === drainId) : undefined;
    return result && preview ? { budget: result.level, parts: listDrainParts(preview.design, drainId) } : null;
  }, [isShown, preview, drainId]);
  return (
    <li className="border-b border-rule">
      <button
        type="button"
        aria-pressed={isShown}
        onClick={() => previewEdit(isShown ? null : route.edit)}
        className="min-h-8 w-full py-1 text-left text-[13.5px] leading-snug text-enamel underline decoration-dotted underline-offset-4 hover:bg-pick phone:min-h-11"
      >
        {name}
      </button>
      {isShown && (
        <div className="pb-2 text-[13px] text-faint">
          {WORDS.inHand} {formatLength(route.levelMm, units)} {WORDS.level} {formatLength(route.worstMm, units)}{" "}
          {WORDS.atTheWorst}
          {route.shoulds > 0 && WORDS.youdRegret(route.shoulds)}
          {shown && (
            <>
              {" "}
              {WORDS.of} {formatLength(shown.budget.availableMm, units)} {WORDS.ofHeightTheTrapTakes}{" "}
              {formatLength(shown.budget.trapMm, units)}
              {WORDS.drops} {formatLength(shown.budget.dropsMm, units)}
              {WORDS.theRunsAskFor} {formatLength(shown.budget.neededMm, units)}.
              <span className="mt-1 block">{WORDS.toBuyPipeWithA}</span>
              <ul aria-label={WORDS.partsOfThisWay}>
                {shown.parts.map((part) => {
                  const { amount, name: partName } = describePart(part, units);
                  return (
                    <li key={partName}>
                      <span className="figures text-ink">{amount}</span> {partName}
                    </li>
                  );
                })}
              </ul>
            </>
          )}
          <div className="mt-1.5 flex gap-1.5">
            <Button look="plate" onClick={() => onLay(route.edit)}>
              {WORDS.useThisRoute}
            </Button>
            <Button onClick={() => previewEdit(null)}>{WORDS.cancel}</Button>
          </div>
        </div>
      )}
    </li>
  );
}
