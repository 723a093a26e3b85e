"use client";
import type { Line, Vent } from "@/core/design/plumbing";
import * as WORDS from "@/words/panels/fields/laggingField";
import { NumberField } from "../kit/NumberField";
import { useEdits } from "./useEdits";

/** Foam round a line where it runs under the floor. */
export function LaggingField({ line }: { readonly line: Exclude<Line, Vent> }) {
  const { set } = useEdits();
  return (
    <NumberField
      label={WORDS.laggedUnderTheFloor}
      help={WORDS.itBuysHours}
      value={line.insulationMm ?? 0}
      quantity="length"
      onCommit={(value) => set({ kind: "line", id: line.id }, ["lines", line.id, "insulationMm"], value)}
    />
  );
}
