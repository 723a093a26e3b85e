import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
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
  const follow = widenInlet(design, main, wide);
  const edit = { code: "widenPipe", at: { kind: "line", id: main.id } } as const;
  return [
    { byMm: null, edit: { ...edit, ops: [widen, ...follow] } },
    { byMm: null, edit: { ...edit, ops: [widen] } },
  ];
}

/** Every drain on a fixture's way down, each by itself a size wider with its inlet: one of them is the pipe that others fill. */
export function proposeWiderWayDown(design: Design, fixtureId: string): Remedy[] {
  const remedies: Remedy[] = [];
  let line = design.lines.find((one): one is Drain => one.kind === "drain" && one.fromFixture === fixtureId);
  for (let left = design.lines.length; line && left > 0; left--) {
    const drain: Drain = line;
    const family = findPipeSize(drain.pipe)?.family ?? "metricWaste";
    for (const { pipe } of listFamily(family)) {
      if (pipe.innerMm <= drain.pipe.innerMm + 1) continue;
      const ops = [
        { op: "set", path: ["lines", drain.id, "pipe"], value: pipe } as EditOp,
        ...widenInlet(design, drain, pipe),
      ];
      remedies.push({
        byMm: pipe.innerMm,
        isByLeast: true,
        edit: { code: "widenPipe", at: { kind: "line", id: drain.id }, ops },
      });
    }
    const { to }: Drain = drain;
    line =
      to.kind === "junction"
        ? design.lines.find((one): one is Drain => one.kind === "drain" && one.id === to.lineId)
        : undefined;
  }
  return remedies;
}

// Its inlet goes along with a pipe, or the way narrows there.
function widenInlet({ tanks }: Design, { to }: Drain, pipe: Drain["pipe"]): EditOp[] {
  if (to.kind !== "inlet") return [];
  const port = tanks.find(({ id }) => id === to.tankId)?.ports.find(({ id }) => id === to.portId);
  const path = ["tanks", to.tankId, "ports", to.portId, "boreMm"];
  return port && port.boreMm < pipe.innerMm ? [{ op: "set", path, value: pipe.innerMm }] : [];
}

/** A toilet's way as wide as what goes through it wants: the hose, or its drain, all it joins and the inlet. */
export function proposeToiletWay(
  design: Design,
  { at, wantedMm }: Extract<Finding, { code: "toiletNarrow" }>,
): Remedy[] {
  if (at.kind !== "line") return [];
  const ops: EditOp[] = [];
  let line = design.lines.find(({ id }) => id === at.id);
  // it cannot go round for good: each is widened once
  for (let left = design.lines.length; line && left > 0; left--) {
    const family = findPipeSize(line.pipe)?.family ?? (line.kind === "hose" ? "smoothHose" : "metricWaste");
    const wide = listFamily(family).find(({ pipe }) => pipe.innerMm >= wantedMm)?.pipe;
    if (!wide) return [];
    if (line.pipe.innerMm < wantedMm) ops.push({ op: "set", path: ["lines", line.id, "pipe"], value: wide });
    if (line.kind !== "drain") break;
    const changes = listPipeChanges(line);
    if (changes.some(({ pipe }) => pipe.innerMm < wantedMm)) ops.push(buildPutItems(line, { changes: [] }));
    const { to }: Drain = line;
    if (to.kind === "inlet") {
      const port = design.tanks.find(({ id }) => id === to.tankId)?.ports.find(({ id }) => id === to.portId);
      const path = ["tanks", to.tankId, "ports", to.portId, "boreMm"];
      if (port && port.boreMm < wantedMm) ops.push({ op: "set", path, value: wide.innerMm });
    }
    line = to.kind === "junction" ? design.lines.find(({ id }) => id === to.lineId) : undefined;
  }
  return ops.length === 0 ? [] : [{ byMm: null, edit: { code: "widenPipe", at, ops } }];
}
