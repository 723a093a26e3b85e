"use client";
import { useState } from "react";
import type { LinkKind, Tank } from "@/core/design/plumbing";
import { findTankJoin } from "@/core/tanks/tankJoins";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/tanks/tankLink";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Pick } from "../../kit/Pick";

/** How a tank goes on in another of the same water: by itself, level with it, or pumped over. */
export function TankLink({ tank }: { readonly tank: Tank }) {
  const design = useWorkbench((state) => state.history!.design);
  const { tanks } = design;
  const { set } = useEdits();
  const [refusal, setRefusal] = useState<string | null>(null);
  const others = tanks.filter(({ id, holds }) => id !== tank.id && holds === tank.holds);
  if (others.length === 0 && !tank.link) return null;
  const names: Record<string, string> = { none: WORDS.byItself };
  for (const { id, name } of others) {
    names[`communicating:${id}`] = WORDS.levelWith(name);
    names[`pumped:${id}`] = WORDS.pumpedInto(name);
  }
  const pick = (value: string) => {
    const [kind, toTank] = value.split(":");
    const link = value === "none" ? null : { kind: kind as LinkKind, toTank: toTank! };
    setRefusal(set({ kind: "tank", id: tank.id }, ["tanks", tank.id, "link"], link));
  };
  return (
    <>
      <Pick<string>
        label={WORDS.goesOn}
        value={tank.link ? `${tank.link.kind}:${tank.link.toTank}` : "none"}
        names={names}
        onPick={pick}
      />
      {tank.link?.kind === "communicating" && (
        <p className="text-[12px] leading-snug text-faint">
          <Trade>{WORDS.aPipeJoinsThemAt}</Trade>
        </p>
      )}
      {tank.link?.kind === "pumped" && findTankJoin(design, tank) && (
        <p className="text-[12px] leading-snug text-faint">
          <Trade>{WORDS.noPumpIsLaidFor}</Trade>
        </p>
      )}
      {refusal && (
        <p role="alert" className="text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
    </>
  );
}
