import type { Design } from "@/core/design/design";
import { parseDesign } from "@/core/design/parseDesign";
import { setLeaf } from "./leaves";

/** The design with some of its numbers set otherwise, each by its way in the file, as in "lines.4.pipe.innerMm". */
export function spoil(design: Design, numbers: Readonly<Record<string, number>>): Design {
  return Object.entries(numbers).reduce((now, [way, value]) => {
    const path = way.split(".").map((key) => (/^\d+$/.test(key) ? Number(key) : key));
    const read = parseDesign(setLeaf(now, path, value));
    if (!read.ok) throw new Error(`${way}: ${JSON.stringify(read.faults)}`);
    return read.design;
  }, design);
}
