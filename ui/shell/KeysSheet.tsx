"use client";
import * as WORDS from "@/words/panels/shell/keysSheet";
import { Sheet } from "../kit/Sheet";
import { COMMANDS } from "./commands";

const KEY_NAMES: Readonly<Record<string, string>> = WORDS.KEY_NAMES;

/** "mod+shift+z" as it is read on the keys. */
export const formatKeys = (keys: string): string =>
  keys
    .split("+")
    .map((key) => KEY_NAMES[key] ?? key.toUpperCase())
    .join(" ");

export function KeysSheet({ onClose }: { readonly onClose: () => void }) {
  return (
    <Sheet title={WORDS.keyboardShortcuts} about={WORDS.tabGoesFromPointTo} onClose={onClose}>
      <table className="w-full text-[14px]">
        <tbody>
          <KeyRow keys="Arrows" name={WORDS.moveTheSelectedPoint1} />
          <KeyRow keys="Shift Arrows" name={WORDS.same10MmOr1} />
          <KeyRow keys="Alt" name={WORDS.holdWhileDraggingATank} />
          <KeyRow keys="Shift Enter" name={WORDS.addThePointToThe} />
          <KeyRow keys="Double click" name={WORDS.addABendToThe} />
          {COMMANDS.flatMap(({ id, keys, name }) =>
            keys[0] ? [<KeyRow key={id} keys={formatKeys(keys[0])} name={name} />] : [],
          )}
        </tbody>
      </table>
    </Sheet>
  );
}

function KeyRow({ keys, name }: { readonly keys: string; readonly name: string }) {
  return (
    <tr className="border-b border-rule">
      <td className="figures w-36 py-1.5 text-[16px]">{keys}</td>
      <td className="py-1.5">{name}</td>
    </tr>
  );
}
