"use client";
import { RotateCcw } from "lucide-react";
import { memo } from "react";
import { findBranchVent } from "@/core/design/lineItems";
import { toCodeBoreMm } from "@/core/parts/pipes";
import { LIMITS, type LimitId, type LimitQuantity } from "@/core/rules/limitIds";
import { lookUpLimit } from "@/core/rules/lookUpLimit";
import type { WorkbenchState } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { LIMIT_NAMES } from "@/words/limits";
import * as WORDS from "@/words/panels/fields/limitField";
import { describeLimitSource } from "@/words/sources";
import { findShownDrain } from "../drawing/shown";
import { Button } from "../kit/Button";
import { NumberField } from "../kit/NumberField";
import { useEdits } from "./useEdits";

const AT = { kind: "rig" } as const;

/** How far one press of an arrow goes, where it is not a whole one. */
const STEPS: Readonly<Partial<Record<LimitQuantity, number>>> = { ratio: 0.05, velocity: 0.05, conductivity: 0.001 };

const findShown = ({ history, drainId }: WorkbenchState) => findShownDrain(history!.design, drainId);

/** One limit of the rules: its figure, where it comes from, and the way back from a figure of one's own. */
export const LimitField = memo(function LimitField({ id }: { readonly id: LimitId }) {
  const rules = useWorkbench((state) => state.history!.design.rules);
  // of the drain shown only what a limit goes by, so that a pull on it does not draw every limit again
  const boreMm = useWorkbench((state) => {
    const drain = findShown(state);
    return drain ? toCodeBoreMm(drain.pipe) : 40;
  });
  const vented = useWorkbench((state) => {
    const drain = findShown(state);
    return drain != null && findBranchVent(drain) !== null;
  });
  const { set, remove } = useEdits();
  const limit = lookUpLimit(rules, id, { boreMm, vented });
  const isOwn = rules.limits[id] !== undefined;
  return (
    <div className="border-t border-rule py-1">
      <div className="flex items-start gap-1">
        <div className="min-w-0 flex-1">
          <NumberField
            label={LIMIT_NAMES[id].name}
            help={LIMIT_NAMES[id].plain}
            value={limit.value}
            quantity={LIMITS[id]}
            step={STEPS[LIMITS[id]] ?? 1}
            onCommit={(value) => (value === null ? null : set(AT, ["rules", "limits", id], value))}
          />
        </div>
        {isOwn && (
          <Button
            look="bare"
            aria-label={WORDS.backToThePacksFigure(LIMIT_NAMES[id].name)}
            onClick={() => remove(AT, ["rules", "limits", id])}
          >
            <RotateCcw size={14} aria-hidden />
          </Button>
        )}
      </div>
      <p className="text-[12px] leading-snug text-faint">{describeLimitSource(limit)}.</p>
    </div>
  );
});
