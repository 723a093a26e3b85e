import type { Design } from "../design/design";
import type { EditOp } from "../design/edit";
import { buildPutItems, listPipeChanges } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import type { Finding } from "../evaluate/findings";
import { findPipeSize, listFamily } from "../parts/pipes";
import type { Remedy } from "./remedy";

type Narrowing = Extract<Finding, { code: "narrowsDownstream" }>;

/** What keeps the bore on the way down: a wider pipe, no change of pipe, or a wider inlet, by where it narrows. */
export function proposeWiderWay(design: Design, drain: Drain | null, { at, fromMm }: Narrowing): Remedy[] {
  if (at.kind === "port") {
    const path = ["tanks", at.tankId, "ports", at.id, "boreMm"];
    return [{ byMm: fromMm, edit: { code: "widenInlet", at, ops: [{ op: "set", path, value: fromMm }] } }];
  }
  if (!drain) return [];
  if (at.kind === "bend") {
    const changes = listPipeChanges(drain).filter(({ bend }) => bend !== at.index);
    const ops: EditOp[] = [buildPutItems(drain, { changes })];
    return [{ byMm: null, edit: { code: "keepPipe", at: { kind: "line", id: drain.id }, ops } }];
  }
  // where a branch is wider than what it joins, the pipe it joins is widened
  const { to } = drain;
  const main = at.kind === "leg" && to.kind === "junction" ? design.lines.find(({ id }) => id === to.lineId) : drain;
  if (main?.kind !== "drain") return [];
  const family = findPipeSize(main.pipe)?.family ?? "metricWaste";
  const wide = listFamily(family).find(({ pipe }) => pipe.innerMm >= fromMm)?.pipe;
  if (!wide) return [];
  const widen: EditOp = { op: "set", path: ["lines", main.id, "pipe"], value: wide };
  const inlet = main.to.kind === "inlet" ? main.to : null;
  const port = inlet && design.tanks.find(({ id }) => id === inlet.tankId)?.ports.find(({ id }) => id === inlet.portId);
  // its inlet goes along, or the way narrows there
  const follow: EditOp[] =
    inlet && port && port.boreMm < wide.innerMm
      ? [{ op: "set", path: ["tanks", inlet.tankId, "ports", inlet.portId, "boreMm"], value: wide.innerMm }]
      : [];
  const edit = { code: "widenPipe", at: { kind: "line", id: main.id } } as const;
  return [
    { byMm: null, edit: { ...edit, ops: [widen, ...follow] } },
    { byMm: null, edit: { ...edit, ops: [widen] } },
  ];
}
