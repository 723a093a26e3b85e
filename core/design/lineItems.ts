import { createRecall } from "../quantity/recall";
import { findNode, findNodeId } from "./nodes";
import type { Drain, InlinePiece, LineItem, Pipe, PipeJoint } from "./plumbing";

/** What sits at the points of a drain, with its points: all that the views below need. */
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
  readonly pieces: readonly Inline[];
  readonly changes: readonly PipeChange[];
  readonly lineTrap: LineTrap | null;
  readonly holes: readonly DrilledHole[];
};

const NOTHING: View = { pieces: [], changes: [], lineTrap: null, holes: [] };
const recallView = createRecall<Drain["items"], View>();

const view = ({ items, bendsMm }: Along): View =>
  items.length === 0 ? NOTHING : recallView(items, [bendsMm], () => lookUp(items, bendsMm));

// In the order of the bends; what stands at a bend that is gone is refused when the drain is read.
function lookUp(items: readonly LineItem[], nodes: Drain["bendsMm"]): View {
  const at = (nodeId: string) => nodes.findIndex(({ id }) => id === nodeId);
  const pieces: Inline[] = [];
  const changes: PipeChange[] = [];
  const holes: DrilledHole[] = [];
  let lineTrap: LineTrap | null = null;
  for (const item of items) {
    switch (item.kind) {
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
  return { pieces, changes: changes.sort((a, b) => a.bend - b.bend), lineTrap, holes };
}

/** Changes of pipe along a drain, in the order of its bends. */
export const listPipeChanges = (drain: Along): readonly PipeChange[] => view(drain).changes;

/** The running trap in a drain; null where it has none. */
export const findLineTrap = (drain: Along): LineTrap | null => view(drain).lineTrap;

/** Cleanouts, valves and flaps along a drain. */
export const listInlinePieces = (drain: Along): readonly Inline[] => view(drain).pieces;

/** The holes that are drilled for a drain already. */
export const listDrilledHoles = (drain: Along): readonly DrilledHole[] => view(drain).holes;

/** The bend of a drain that another one joins at, counted from its trap. */
export const findJunctionBend = (main: Drain | undefined, to: { readonly node: string }): number =>
  findNode(main, to.node);

/** The items of a drain with some of them put anew; what stands at a bend it has not is left out. */
export function putItems(drain: Drain, given: Partial<View>): LineItem[] {
  const now = view(drain);
  const { pieces, changes, lineTrap, holes } = { ...now, ...given };
  const at = (bend: number) => findNodeId(drain, bend);
  return [
    ...(lineTrap ? [lineTrap] : []).flatMap(({ bend, ...trap }): LineItem[] => {
      const node = at(bend);
      return node === null ? [] : [{ kind: "runningTrap", node, ...trap }];
    }),
    ...changes.flatMap(({ bend, ...change }): LineItem[] => {
      const node = at(bend);
      return node === null ? [] : [{ kind: "pipeChange", node, ...change }];
    }),
    ...pieces.flatMap(({ bend, piece }): LineItem[] => {
      const node = at(bend);
      return node === null ? [] : [{ kind: "inline", node, piece }];
    }),
    ...holes.flatMap(({ leg, ...hole }): LineItem[] => {
      const node = leg === 0 ? null : at(leg - 1);
      return leg > 0 && node === null ? [] : [{ kind: "hole", node, ...hole }];
    }),
  ];
}
