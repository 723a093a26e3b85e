import type { EditOp } from "./editOps";
import { findNode, findNodeId } from "./nodes";
import type { BranchVent, Drain, InlinePiece, Line, LineItem, Pipe, PipeJoint, Trap } from "./plumbing";

/** What sits on a drain, with its points: all that the views below need. */
type Along = Pick<Drain, "items" | "bendsMm">;

/** A change of pipe with the bend it stands at, counted from the trap. */
export type PipeChange = { readonly bend: number; readonly joint: PipeJoint; readonly pipe: Pipe };

/** A low running trap in the line itself, at one of its bends: it serves everything that drains through it. */
export type LineTrap = { readonly bend: number; readonly sealMm: number; readonly hasCleanout: boolean };

/** A round hole that is there: for which leg, the how manieth along it, and how wide. */
export type DrilledHole = { readonly leg: number; readonly nth: number; readonly diameterMm: number };

/** A cleanout, a valve or a flap with the bend it sits at. */
export type Inline = { readonly bend: number; readonly piece: InlinePiece };

type View = {
  readonly trap: Trap | null;
  readonly branchVent: BranchVent | null;
  readonly pieces: readonly Inline[];
  readonly changes: readonly PipeChange[];
  readonly lineTrap: LineTrap | null;
  readonly holes: readonly DrilledHole[];
};

const NOTHING: View = { trap: null, branchVent: null, pieces: [], changes: [], lineTrap: null, holes: [] };
const known = new WeakMap<Drain["items"], { readonly bendsMm: Drain["bendsMm"]; readonly view: View }>();

// It is asked many times in a frame, so that a remembered one costs one look.
function view({ items, bendsMm }: Along): View {
  if (items.length === 0) return NOTHING;
  const kept = known.get(items);
  if (kept?.bendsMm === bendsMm) return kept.view;
  const made = lookUp(items, bendsMm);
  known.set(items, { bendsMm, view: made });
  return made;
}

// In the order of the bends; what stands at a bend that is gone is refused when the drain is read.
function lookUp(items: readonly LineItem[], nodes: Drain["bendsMm"]): View {
  const at = (nodeId: string) => nodes.findIndex(({ id }) => id === nodeId);
  const pieces: Inline[] = [];
  const changes: PipeChange[] = [];
  const holes: DrilledHole[] = [];
  let lineTrap: LineTrap | null = null;
  let trap: Trap | null = null;
  let branchVent: BranchVent | null = null;
  for (const item of items) {
    switch (item.kind) {
      case "trap":
        trap = item.trap;
        break;
      case "branchVent":
        branchVent = item.vent;
        break;
      case "pipeChange":
        changes.push({ bend: at(item.node), joint: item.joint, pipe: item.pipe });
        break;
      case "runningTrap":
        lineTrap = { bend: at(item.node), sealMm: item.sealMm, hasCleanout: item.hasCleanout };
        break;
      case "inline":
        pieces.push({ bend: at(item.node), piece: item.piece });
        break;
      case "hole":
        holes.push({ leg: item.node === null ? 0 : at(item.node) + 1, nth: item.nth, diameterMm: item.diameterMm });
        break;
    }
  }
  return { trap, branchVent, pieces, changes: changes.sort((a, b) => a.bend - b.bend), lineTrap, holes };
}

/** The trap under the fixture; null where the drain has none. */
export const findTrap = (drain: Along): Trap | null => view(drain).trap;

/** Depth of the water in the trap under the fixture, mm; null without a trap or where no water stands in it. */
export function findSealMm(drain: Along): number | null {
  const sealMm = findTrap(drain)?.sealMm ?? 0;
  return sealMm > 0 ? sealMm : null;
}

/** Air of its own on the branch near the trap; null where it has none. */
export const findBranchVent = (drain: Along): BranchVent | null => view(drain).branchVent;

/** Changes of pipe along a drain, in the order of its bends. */
export const listPipeChanges = (drain: Along): readonly PipeChange[] => view(drain).changes;

/** The pipe a line comes to its end in: a drain may have changed its own before. */
export const findLastPipe = (line: Line): Pipe =>
  line.kind === "drain" ? (listPipeChanges(line).at(-1)?.pipe ?? line.pipe) : line.pipe;

/** The running trap in a drain; null where it has none. */
export const findLineTrap = (drain: Along): LineTrap | null => view(drain).lineTrap;

/** Cleanouts, valves and flaps along a drain. */
export const listInlinePieces = (drain: Along): readonly Inline[] => view(drain).pieces;

/** The holes that are drilled for a line already. */
export const listDrilledHoles = (line: Line): readonly DrilledHole[] =>
  line.kind === "drain"
    ? view(line).holes
    : (line.items ?? []).map(({ node, nth, diameterMm }) => ({ leg: toLeg(line, node), nth, diameterMm }));

// The first leg begins before every point.
const toLeg = (line: Line, node: string | null): number => (node === null ? 0 : findNode(line, node) + 1);

/** The bend of a drain that another one joins at, counted from its trap. */
export const findJunctionBend = (main: Drain | undefined, to: { readonly node: string }): number =>
  findNode(main, to.node);

/** What stands at a drain's beginning stays where it is laid along other bends; what stood at the old ones goes with them. */
export const listAtBeginning = (drain: Along): LineItem[] =>
  drain.items.filter(({ kind }) => kind === "trap" || kind === "branchVent");

/** The items of a drain with some of them put anew; what stands at a bend it has not is left out. */
export function putItems(drain: Drain, given: Partial<View>): LineItem[] {
  const now = view(drain);
  const { trap, branchVent, pieces, changes, lineTrap, holes } = { ...now, ...given };
  const at = (bend: number) => findNodeId(drain, bend);
  return [
    ...toBeginning(trap, branchVent),
    ...(lineTrap ? [lineTrap] : []).flatMap(({ bend, ...own }): LineItem[] => {
      const node = at(bend);
      return node === null ? [] : [{ kind: "runningTrap", node, ...own }];
    }),
    ...changes.flatMap(({ bend, ...change }): LineItem[] => {
      const node = at(bend);
      return node === null ? [] : [{ kind: "pipeChange", node, ...change }];
    }),
    ...pieces.flatMap(({ bend, piece }): LineItem[] => {
      const node = at(bend);
      return node === null ? [] : [{ kind: "inline", node, piece }];
    }),
    ...toHoleItems(drain, holes),
  ];
}

const toHoleItems = (line: Line, holes: readonly DrilledHole[]) =>
  holes.flatMap(({ leg, ...hole }) => {
    const node = leg === 0 ? null : findNodeId(line, leg - 1);
    return leg > 0 && node === null ? [] : [{ kind: "hole", node, ...hole } as const];
  });

/** The edit that says which holes are drilled for a line. */
export const buildPutHoles = (line: Line, holes: readonly DrilledHole[]): EditOp => ({
  op: "set",
  path: ["lines", line.id, "items"],
  value: line.kind === "drain" ? putItems(line, { holes }) : toHoleItems(line, holes),
});

/** What a drain begins with: its trap, and air of its own. */
export const toBeginning = (trap: Trap | null, branchVent: BranchVent | null = null): LineItem[] => [
  ...(trap ? [{ kind: "trap", node: null, trap } as const] : []),
  ...(branchVent ? [{ kind: "branchVent", node: null, vent: branchVent } as const] : []),
];

/** The drain with another trap, or none. */
export const withTrap = (drain: Drain, trap: Trap | null): Drain => ({ ...drain, items: putItems(drain, { trap }) });

/** The drain with other air on its branch, or none. */
export const withBranchVent = (drain: Drain, branchVent: BranchVent | null): Drain => ({
  ...drain,
  items: putItems(drain, { branchVent }),
});

/** Path of an edit to the trap, or the air of the branch, as it stands in the list of a drain's items; null where there is none. */
export function findItemPath(drain: Drain, kind: "trap" | "branchVent"): readonly (string | number)[] | null {
  const index = drain.items.findIndex((item) => item.kind === kind);
  return index < 0 ? null : ["lines", drain.id, "items", index, kind === "trap" ? "trap" : "vent"];
}

/** The edit that puts things anew on a drain. */
export const buildPutItems = (drain: Drain, given: Partial<View>): EditOp => ({
  op: "set",
  path: ["lines", drain.id, "items"],
  value: putItems(drain, given),
});
