import type { Design } from "../design/design";
import { findNode } from "../design/nodes";
import type { DumpLine, Tank } from "../design/plumbing";

/** A dump line the water goes through, and the first leg of it that it meets. */
export type DumpStretch = { readonly line: DumpLine; readonly first: number };

type Lines = Pick<Design, "lines">;

const isDumpLine = (line: Design["lines"][number]): line is DumpLine => line.kind === "dumpLine";

/**
 * A dump line and those its water runs through after it, to the coupling. The design has passed its check, so none runs in
 * a circle. What joins at the point n runs in the leg n + 1 and after.
 */
export function followDumpLine({ lines }: Lines, line: DumpLine): DumpStretch[] {
  const way: DumpStretch[] = [{ line, first: 0 }];
  for (let { to } = line; to.kind === "wye"; ) {
    const { lineId, node } = to;
    const main = lines.find((one): one is DumpLine => isDumpLine(one) && one.id === lineId)!;
    way.push({ line: main, first: findNode(main, node) + 1 });
    to = main.to;
  }
  return way;
}

/** The dump lines that join one. */
export const listDumpBranches = ({ lines }: Lines, mainId: string): DumpLine[] =>
  lines.filter((line): line is DumpLine => isDumpLine(line) && line.to.kind === "wye" && line.to.lineId === mainId);

/** The dump lines one may join: those that do not run through it themselves. */
export const listDumpLinesToJoin = (design: Lines, line: DumpLine): DumpLine[] =>
  design.lines.filter(
    (one): one is DumpLine => isDumpLine(one) && !followDumpLine(design, one).some((s) => s.line.id === line.id),
  );

/** The tanks let go through one coupling with this line's, but its own. */
export function listTanksBeside(design: Pick<Design, "lines" | "tanks">, line: DumpLine): Tank[] {
  const couplingOf = (one: DumpLine) => followDumpLine(design, one).at(-1)!.line.id;
  const own = couplingOf(line);
  const ids = new Set(
    design.lines.flatMap((one) => (isDumpLine(one) && couplingOf(one) === own ? [one.fromTank] : [])),
  );
  return design.tanks.filter(({ id }) => ids.has(id) && id !== line.fromTank);
}

/** Every dump line with its way to the coupling, mains before what joins them, else in the order of the design. */
export const listDumpWays = (design: Lines): { readonly line: DumpLine; readonly way: readonly DumpStretch[] }[] =>
  design.lines
    .filter(isDumpLine)
    .map((line) => ({ line, way: followDumpLine(design, line) }))
    .sort((a, b) => a.way.length - b.way.length);
