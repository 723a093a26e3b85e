import type { Design } from "../design/design";
import { findLastPipe } from "../design/lineItems";
import type { Line, Pipe, Thread } from "../design/plumbing";
import { findPipeSize } from "./pipes";
import { type EndKind, type EndSize, type JointVerdict, judgeJoint } from "./threads";

/** A joint of this rig with both its ends. */
export type RigJoint = {
  readonly id: string;
  /** Where: a port of a tank, or a port of a piece of gear. */
  readonly at:
    | { readonly kind: "port"; readonly tankId: string; readonly portId: string }
    | { readonly kind: "gear"; readonly id: string };
  readonly lineId: string;
  /** The end that is there, null for a plain hole with its grommet or bulkhead. */
  readonly one: { readonly kind: EndKind; readonly size: EndSize; readonly thread: Thread } | null;
  readonly other: { readonly kind: EndKind; readonly pipe: Pipe };
  /** Null where nothing is screwed. */
  readonly verdict: JointVerdict | null;
};

const SIZES: Readonly<Record<string, EndSize>> = {
  "12": "1/2",
  "34": "3/4",
  "1": "1",
  "114": "1 1/4",
  "112": "1 1/2",
  "2": "2",
};

/** A thread of a tank's port as an end that is joined. */
export function toEnd(thread: Thread): { readonly kind: EndKind; readonly size: EndSize; readonly thread: Thread } {
  const isTapered = thread.startsWith("npt");
  return { kind: isTapered ? "npt" : "bspp", size: SIZES[thread.slice(isTapered ? 3 : 1)]!, thread };
}

/** How a pipe is joined by its family: rings for waste pipe, cement for schedule 40, a barb for hose [T]. */
export function findPipeEnd(pipe: Pipe): EndKind {
  const family = findPipeSize(pipe)?.family ?? "metricWaste";
  return family === "metricWaste" ? "pushFit" : family === "schedule40" ? "solventPvc" : "hoseBarb";
}

/** Every joint at tanks and gear, with what is on either side and whether they go together [C on P for threads]. */
export function listRigJoints({ lines, tanks }: Design): RigJoint[] {
  const atPort = (line: Line, tankId: string, portId: string): RigJoint[] => {
    const port = tanks.find(({ id }) => id === tankId)?.ports.find(({ id }) => id === portId);
    if (!port) return [];
    const one = port.thread === null ? null : toEnd(port.thread);
    const pipe = findLastPipe(line);
    const kind = findPipeEnd(pipe);
    return [
      {
        id: `${line.id}-${tankId}-${portId}`,
        at: { kind: "port", tankId, portId },
        lineId: line.id,
        one,
        other: { kind, pipe },
        verdict: one && judgeJoint(one.kind, kind, one.size),
      },
    ];
  };
  return lines.flatMap((line): RigJoint[] => {
    if (line.kind === "drain") return line.to.kind === "inlet" ? atPort(line, line.to.tankId, line.to.portId) : [];
    if (line.kind === "vent" || line.kind === "dumpLine") return atPort(line, line.fromTank, line.fromPort);
    return [line.from, line.to].flatMap((end): RigJoint[] =>
      end.kind === "tank"
        ? atPort(line, end.tankId, end.portId)
        : [
            {
              id: `${line.id}-${end.gearId}-${end.port}`,
              at: { kind: "gear", id: end.gearId },
              lineId: line.id,
              one: null,
              other: { kind: findPipeEnd(line.pipe), pipe: line.pipe },
              verdict: null,
            },
          ],
    );
  });
}
