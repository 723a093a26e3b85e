"use client";
import { memo } from "react";
import { listLimitIds } from "@/core/rules/limitIds";
import type { PackId } from "@/core/rules/packIds";
import { useWorkbench } from "@/store/useWorkbench";
import { PACK_NAMES, PACK_REACH } from "@/words/packs";
import * as WORDS from "@/words/panels/rig/rulesMeasures";
import { Group } from "../../fields/Group";
import { LimitField } from "../../fields/LimitField";
import { useEdits } from "../../fields/useEdits";
import { Pick } from "../../kit/Pick";
import { useSay } from "../../kit/useSay";

const AT = { kind: "rig" } as const;

/** The rules the design is held against: a pack, and every limit of it to be changed. */
export const RulesMeasures = memo(function RulesMeasures() {
  const rules = useWorkbench((state) => state.history!.design.rules);
  const isBoat = useWorkbench((state) => state.history!.design.rig.kind === "boat");
  const { set } = useEdits();
  const say = useSay();
  return (
    <Group title={WORDS.rules}>
      <Pick<PackId>
        label={WORDS.pack}
        value={rules.pack}
        names={PACK_NAMES}
        onPick={(value) => set(AT, ["rules", "pack"], value)}
      />
      <p className="pt-1 text-[13px] leading-snug text-faint">
        {WORDS.heldTo} {say(PACK_REACH[rules.pack].held)} {WORDS.notLookedAt} {say(PACK_REACH[rules.pack].left)}
      </p>
      <details className="pt-1">
        <summary className="min-h-7 cursor-pointer text-[13.5px] leading-7 text-enamel">
          {WORDS.everyLimitToBeChanged}
        </summary>
        {listLimitIds(isBoat).map((id) => (
          <LimitField key={id} id={id} />
        ))}
      </details>
    </Group>
  );
});
