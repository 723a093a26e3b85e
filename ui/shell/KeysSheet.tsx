"use client";
import { Sheet } from "../kit/Sheet";
import { COMMANDS } from "./commands";

const KEY_NAMES: Readonly<Record<string, string>> = { mod: "Ctrl", shift: "Shift", escape: "Esc", delete: "Del" };

/** "mod+shift+z" as it is read on the keys. */
export const formatKeys = (keys: string): string =>
  keys
    .split("+")
    .map((key) => KEY_NAMES[key] ?? key.toUpperCase())
    .join(" ");

export function KeysSheet({ onClose }: { readonly onClose: () => void }) {
  return (
    <Sheet title="Keyboard shortcuts" about="Tab goes from point to point in the drawings." onClose={onClose}>
      <table className="w-full text-[14px]">
        <tbody>
          <KeyRow keys="Arrows" name="Move the selected point 1 mm; tilt the rig when the level has focus" />
          <KeyRow keys="Shift Arrows" name="Same, 10 mm or 1° at a time" />
          <KeyRow keys="Alt" name="Hold while dragging a tank: no snapping" />
          <KeyRow keys="Shift Enter" name="Add the point to the selection, to move or line up several" />
          <KeyRow keys="Double click" name="Add a bend to the drain shown" />
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
