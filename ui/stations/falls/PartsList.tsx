"use client";
import { Copy } from "lucide-react";
import { useMemo } from "react";
import { listParts } from "@/core/parts/listParts";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import * as WORDS from "@/words/panels/falls/partsList";
import { describePart } from "@/words/parts";
import { Group } from "../../fields/Group";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";

/** What to buy for every drain and breather, counted from the drawing. */
export function PartsList() {
  // counted anew when what is pulled has come to rest
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const units = useWorkbench((state) => state.units);
  const rows = useMemo(() => listParts(design).map((part) => describePart(part, units)), [design, units]);
  if (rows.length === 0) return null;
  const copy = async () => {
    const text = rows.map(({ amount, name }) => `${amount}\t${name}`).join("\n");
    try {
      await navigator.clipboard.writeText(text);
      tell(WORDS.thePartsAreCopiedPaste);
    } catch {
      tell(WORDS.thisBrowserDoesNotLet, { tone: "warning" });
    }
  };
  return (
    <Group
      title={WORDS.partsToBuy}
      aside={
        <Button onClick={() => void copy()}>
          <Copy size={13} aria-hidden /> {WORDS.copy}
        </Button>
      }
    >
      <table className="w-full text-[13.5px]" aria-label={WORDS.partsToBuy}>
        <tbody>
          {rows.map(({ amount, name }) => (
            <tr key={name}>
              <td className="figures w-14 pr-2 text-right align-top text-[15px] whitespace-nowrap">{amount}</td>
              <td className="py-0.5">{name}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1 text-[12px] leading-snug text-faint">
        <Trade>{WORDS.pipeWithATenthOver}</Trade>
      </p>
    </Group>
  );
}
