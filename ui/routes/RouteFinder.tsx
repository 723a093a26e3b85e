"use client";
import { Route } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import type { Design } from "@/core/design/design";
import type { Edit } from "@/core/design/edit";
import type { Drain } from "@/core/design/plumbing";
import { listDrainParts } from "@/core/parts/listParts";
import type { RouteOutcome, RouteProposal } from "@/core/routes/findRoutes";
import { useTrailing } from "@/store/useWorkbench";
import { change, previewEdit, tell, undo, workbench } from "@/store/workbench";
import { describePart } from "@/words/parts";
import { describeNoRoute, describeRoute, describeRouteChange } from "@/words/routes";
import { formatLength, formatNumber } from "@/words/units";
import { requestRoutes } from "@/workers/routesClient";
import { Button } from "../kit/Button";
import { Group } from "../measures/Group";

type Search =
  | { readonly status: "none" }
  | { readonly status: "searching"; readonly share: number }
  | { readonly status: "failed" }
  | {
      readonly status: "found";
      /** The design it was found for; for another one it says nothing. */
      readonly design: Design;
      readonly outcome: RouteOutcome;
      readonly tookMs: number;
    };

const NONE: Search = { status: "none" };

/** Looks for ways from the fixture to the tank; each is drawn before it is laid. */
export function RouteFinder({ drain }: { readonly drain: Drain }) {
  const design = useTrailing((state) => state.dragBase ?? state.history!.design);
  const units = useTrailing((state) => state.units);
  const [search, setSearch] = useState<Search>(NONE);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const look = async () => {
    running.current?.abort();
    const abort = new AbortController();
    running.current = abort;
    setSearch({ status: "searching", share: 0 });
    const { history } = workbench.getState();
    // progress comes by another way than the answer, and may come after it
    let isAnswered = false;
    const asked = await requestRoutes({
      design: history!.design,
      drainId: drain.id,
      onProgress: (share) => !isAnswered && running.current === abort && setSearch({ status: "searching", share }),
      signal: abort.signal,
    });
    isAnswered = true;
    if (running.current !== abort) return;
    if (asked.status === "ready") {
      setSearch({ status: "found", design: history!.design, outcome: asked.answer, tookMs: asked.tookMs });
    } else setSearch(asked.status === "failed" ? { status: "failed" } : NONE);
  };
  const lay = (edit: Edit) => {
    if (!change(edit).ok) return;
    tell("The drain is laid anew.", { action: { label: "Undo", run: undo } });
  };
  const found = search.status === "found" && search.design === design ? search : null;
  return (
    <Group title="A way to the tank">
      {search.status === "searching" ? (
        <span className="flex items-center gap-2 text-[13px]" role="status">
          <progress value={search.share} max={1} aria-label="Looking for ways" className="h-1.5 flex-1 accent-enamel" />
          <Button onClick={() => running.current?.abort()}>Stop</Button>
        </span>
      ) : (
        <Button onClick={() => void look()}>
          <Route size={14} aria-hidden /> Find ways under the floor
        </Button>
      )}
      {search.status === "failed" && <p className="pt-1 text-[13px]">The search did not come to an end. Try again.</p>}
      {found && (
        <div className="pt-1.5" data-testid="routes" title={`Found in ${formatNumber(found.tookMs, 0)} ms`}>
          {found.outcome.proposals.length === 0 && (
            <p className="text-[13.5px]">{describeNoRoute(found.outcome.shortMm, units)}</p>
          )}
          <ul className="flex flex-col">
            {found.outcome.proposals.map((route) => (
              <Way
                key={JSON.stringify(route.edit)}
                route={route}
                drainId={drain.id}
                name={describeRoute(route, design, units)}
                onLay={lay}
              />
            ))}
            {found.outcome.changes.map((route) => (
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
    </Group>
  );
}

type WayProps = {
  readonly route: RouteProposal;
  readonly name: string;
  readonly drainId: string;
  readonly onLay: (edit: Edit) => void;
};

function Way({ route, name, drainId, onLay }: WayProps) {
  const preview = useTrailing((state) => state.preview);
  const units = useTrailing((state) => state.units);
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
          In hand {formatLength(route.levelMm, units)} level, {formatLength(route.worstMm, units)} at the worst.
          {route.shoulds > 0 && ` ${route.shoulds} to be sorry for.`}
          {shown && (
            <>
              {" "}
              Of {formatLength(shown.budget.availableMm, units)} of height the trap takes{" "}
              {formatLength(shown.budget.trapMm, units)}, drops {formatLength(shown.budget.dropsMm, units)}, the runs
              ask for {formatLength(shown.budget.neededMm, units)}.
              <ul className="mt-1" aria-label="Parts of this way">
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
              Lay it so
            </Button>
            <Button onClick={() => previewEdit(null)}>Leave it</Button>
          </div>
        </div>
      )}
    </li>
  );
}
