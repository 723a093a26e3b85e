"use client";
import { RotateCcw } from "lucide-react";
import { memo } from "react";
import type { LimitId } from "@/core/rules/limitIds";
import { LIMIT_IDS, LIMITS } from "@/core/rules/limitIds";
import { lookUpLimit } from "@/core/rules/lookUpLimit";
import type { PackId } from "@/core/rules/packIds";
import type { WorkbenchState } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { LIMIT_NAMES } from "@/words/limits";
import { describeLimitSource, PACK_NAMES } from "@/words/sources";
import { findShownDrain } from "../../drawing/shown";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";

const AT = { kind: "rig" } as const;

const findShown = ({ history, drainId }: WorkbenchState) => findShownDrain(history!.design, drainId);

/** The rules the design is held against: a pack, and every limit of it to be changed. */
export const RulesMeasures = memo(function RulesMeasures() {
  const rules = useWorkbench((state) => state.history!.design.rules);
  const { set } = useEdits();
  return (
    <Group title="Rules">
      <Pick<PackId>
        label="Pack"
        value={rules.pack}
        names={PACK_NAMES}
        onPick={(value) => set(AT, ["rules", "pack"], value)}
      />
      <details className="pt-1">
        <summary className="min-h-7 cursor-pointer text-[13.5px] leading-7 text-enamel">
          Every limit, to be changed
        </summary>
        {LIMIT_IDS.map((id) => (
          <LimitField key={id} id={id} />
        ))}
      </details>
    </Group>
  );
});

const LimitField = memo(function LimitField({ id }: { readonly id: LimitId }) {
  const rules = useWorkbench((state) => state.history!.design.rules);
  // of the drain shown only what a limit goes by, so that a pull on it does not draw every limit again
  const boreMm = useWorkbench((state) => findShown(state)?.pipe.innerMm ?? 40);
  const vented = useWorkbench((state) => findShown(state)?.branchVent != null);
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
            step={LIMITS[id] === "ratio" ? 0.05 : LIMITS[id] === "velocity" ? 0.05 : 1}
            onCommit={(value) => (value === null ? null : set(AT, ["rules", "limits", id], value))}
          />
        </div>
        {isOwn && (
          <Button
            look="bare"
            aria-label={`Back to the pack's figure: ${LIMIT_NAMES[id].name}`}
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
