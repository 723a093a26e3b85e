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
    <Sheet title="Keys" about="Tab walks through the points of the drawings." onClose={onClose}>
      <table className="w-full text-[14px]">
        <tbody>
          <KeyRow keys="Arrows" name="Move the picked point by 1 mm; tilt the rig when the level is picked" />
          <KeyRow keys="Shift Arrows" name="The same by 10 mm, or by a degree" />
          <KeyRow keys="Alt" name="While a tank is pulled: it takes hold of nothing" />
          <KeyRow keys="Shift Enter" name="Pick the point along with others, to move and line them up together" />
          <KeyRow keys="Double click" name="Put a bend into the drain shown" />
          {COMMANDS.map((command) => (
            <KeyRow key={command.id} keys={formatKeys(command.keys[0]!)} name={command.name} />
          ))}
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
