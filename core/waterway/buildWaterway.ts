import { FRESH_ID } from "../days/stores";
import type { Design } from "../design/design";
import type { HoseEnd } from "../design/gear";
import { findTrap } from "../design/lineItems";
import { findNode } from "../design/nodes";
import { type PartRef, toPartKey } from "../design/part";
import type { HeldWater, Outfall } from "../design/plumbing";
import type { Evaluation } from "../evaluate/evaluation";
import type { Severity } from "../evaluate/findings";
import { findFoulestInHoses } from "../gear/waterInHoses";
import { findDumpLine } from "../tanks/dumpRun";
import { followDumpLine } from "../tanks/dumpWays";
import type { Quantity } from "../workings/working";
import { carryWaters } from "./carryWaters";

export type WaterNodeKind =
  | "source"
  | "junction"
  | "fixture"
  | "tank"
  | "openAir"
  | "ground"
  | "vessel"
  | "dump"
  | "gear";

/** A figure with what kind of number it is; `words/` writes it. */
export type WaterFigure = { readonly value: number; readonly quantity: Quantity; readonly what: FigureWhat };
export type FigureWhat = "holds" | "perDay" | "inHand" | "suction" | "sealLeft" | "leftBehind" | "flow";

export type WaterNode = {
  readonly id: string;
  readonly kind: WaterNodeKind;
  readonly part: PartRef;
  readonly name: string;
  readonly holds: HeldWater | null;
  readonly figure: WaterFigure | null;
  readonly severity: Severity | null;
};

export type WaterEdge = {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly part: PartRef;
  readonly carries: HeldWater | "air";
  /** A trap stands at its beginning, with so much seal, mm; null without one. */
  readonly trapMm: number | null;
  readonly figure: WaterFigure | null;
  readonly severity: Severity | null;
};

export type Waterway = { readonly nodes: readonly WaterNode[]; readonly edges: readonly WaterEdge[] };

const SOURCE_ID = "fresh-water";

/**
 * The whole rig as a diagram: what water comes from, what uses it, through which traps and lines it goes, what holds it,
 * where air comes in and where it is let go. Only what is there is in it; nothing is laid out yet.
 */
export function buildWaterway(design: Design, evaluation: Evaluation): Waterway {
  const severityOf = collectSeverities(evaluation);
  const nodes: WaterNode[] = [];
  const edges: WaterEdge[] = [];
  const add = (node: Omit<WaterNode, "severity">) => nodes.push({ ...node, severity: severityOf(node.part) });
  const fresh = evaluation.balance.stores.find(({ store }) => store.id === FRESH_ID);
  const hasFreshTank = design.tanks.some(({ holds }) => holds === "fresh");
  if (fresh && !hasFreshTank) {
    add({
      id: SOURCE_ID,
      kind: "source",
      part: { kind: "store", id: FRESH_ID },
      name: "",
      holds: "fresh",
      figure: { value: fresh.roomL.here, quantity: "volume", what: "holds" },
    });
  }
  for (const tank of design.tanks) {
    const result = evaluation.tanks.find((t) => t.tankId === tank.id);
    add({
      id: `tank:${tank.id}`,
      kind: "tank",
      part: { kind: "tank", id: tank.id },
      name: tank.name,
      holds: tank.holds,
      figure: result ? { value: result.usableHereL, quantity: "volume", what: "holds" } : null,
    });
  }
  for (const fixture of design.fixtures) {
    add({
      id: `fixture:${fixture.id}`,
      kind: "fixture",
      part: { kind: "fixture", id: fixture.id },
      name: fixture.name,
      holds: null,
      figure: { value: fixture.inflowLps, quantity: "flow", what: "flow" },
    });
  }
  for (const piece of design.gear) {
    add({
      id: `gear:${piece.id}`,
      kind: "gear",
      part: { kind: "gear", id: piece.id },
      name: piece.name,
      holds: null,
      figure: null,
    });
  }
  for (const vessel of design.habits.vessels) {
    if (vessel.holds === "fresh") continue;
    add({
      id: `vessel:${vessel.id}`,
      kind: "vessel",
      part: { kind: "store", id: vessel.id },
      name: vessel.name,
      holds: vessel.holds,
      figure: { value: vessel.litres, quantity: "volume", what: "holds" },
    });
  }
  edges.push(...listSupplies(design, hasFreshTank || !fresh ? null : SOURCE_ID));
  for (const line of design.lines) {
    const part = { kind: "line", id: line.id } as const;
    const severity = severityOf(part, line.id);
    const common = { id: `line:${line.id}`, part, severity };
    switch (line.kind) {
      case "drain": {
        const result = evaluation.drains.find((d) => d.lineId === line.id);
        const holds = design.tanks.find(({ id }) => id === result?.tankId)?.holds ?? "grey";
        const stops = listJunctions(design, line.id);
        for (const stop of stops) {
          add({ id: stop, kind: "junction", part, name: line.name, holds, figure: null });
        }
        const way = [`fixture:${line.fromFixture}`, ...stops, toDrainEnd(line.to, line.id, add)];
        edges.push(
          ...way.slice(1).map(
            (to, i): WaterEdge => ({
              ...common,
              // what is known of a drain stands where it begins
              id: i === 0 ? common.id : `${common.id}:${i}`,
              from: way[i]!,
              to,
              carries: holds,
              trapMm: i === 0 ? (findTrap(line)?.sealMm ?? null) : null,
              figure: i === 0 && result ? { value: result.worst.inHandMm, quantity: "length", what: "inHand" } : null,
            }),
          ),
        );
        break;
      }
      case "vent": {
        const air = evaluation.tanks.find((t) => t.tankId === line.fromTank)?.air ?? null;
        const end = line.to.kind === "tee" ? `air:${findVentEnd(design, line.id)}` : `air:${line.id}`;
        if (line.to.kind === "openAir") {
          add({ id: end, kind: "openAir", part, name: line.name, holds: null, figure: null });
        }
        edges.push({
          ...common,
          from: `tank:${line.fromTank}`,
          to: end,
          carries: "air",
          trapMm: null,
          figure: air ? { value: air.suctionPa, quantity: "pressure", what: "suction" } : null,
        });
        break;
      }
      case "dumpLine":
        // told with the outlet it begins at
        break;
      case "hose":
        edges.push({
          ...common,
          from: toHoseEnd(line.from),
          to: toHoseEnd(line.to),
          // where nothing could come to it; the others are told below
          carries: "fresh",
          trapMm: null,
          figure: null,
        });
        break;
    }
  }
  edges.push(...listDumps(design, evaluation, add, severityOf), ...listLinks(design, severityOf));
  return { nodes, edges: carryWaters(edges, findFoulestInHoses(design)) };
}

type AddNode = (node: Omit<WaterNode, "severity">) => void;

// Where other drains come into this one, in the order the water passes them.
function listJunctions({ lines }: Design, lineId: string): string[] {
  const main = lines.find(({ id }) => id === lineId);
  const nodes = lines.flatMap((line) =>
    line.kind === "drain" && line.to.kind === "junction" && line.to.lineId === lineId ? [line.to.node] : [],
  );
  const byWay = (a: string, b: string) => findNode(main, a) - findNode(main, b);
  return [...new Set(nodes)].sort(byWay).map((node) => toJunctionId(lineId, node));
}

const toJunctionId = (lineId: string, node: string): string => `junction:${lineId}:${node}`;

function toDrainEnd(to: Outfall, id: string, add: AddNode): string {
  switch (to.kind) {
    case "inlet":
      return `tank:${to.tankId}`;
    case "vessel":
      return `vessel:${to.vesselId}`;
    case "junction":
      return toJunctionId(to.lineId, to.node);
    case "overboard":
    case "sump":
      return `gear:${to.gearId}`;
    case "ground":
      add({
        id: `ground:${id}`,
        kind: "ground",
        part: { kind: "end", lineId: id },
        name: "",
        holds: null,
        figure: null,
      });
      return `ground:${id}`;
  }
}

function findVentEnd(design: Design, lineId: string): string {
  let id = lineId;
  for (let steps = 0; steps <= design.lines.length; steps++) {
    const line = design.lines.find((l) => l.id === id);
    if (line?.kind !== "vent" || line.to.kind === "openAir") return id;
    id = line.to.lineId;
  }
  return id;
}

const toHoseEnd = (end: HoseEnd): string => (end.kind === "gear" ? `gear:${end.gearId}` : `tank:${end.tankId}`);

// Fixtures are fed from what fresh water there is, unless gear feeds them through a tap.
function listSupplies({ fixtures, gear, tanks }: Design, sourceId: string | null): WaterEdge[] {
  const fed = new Set(gear.flatMap(({ spec }) => (spec.kind === "tap" && spec.fixtureId ? [spec.fixtureId] : [])));
  const freshTank = tanks.find(({ holds }) => holds === "fresh");
  const from = freshTank ? `tank:${freshTank.id}` : sourceId;
  const taps = gear.flatMap(({ id, spec }): WaterEdge[] =>
    spec.kind === "tap" && spec.fixtureId ? [toSupply(`gear:${id}`, spec.fixtureId, { kind: "gear", id })] : [],
  );
  if (!from) return taps;
  return [
    ...taps,
    ...fixtures
      .filter(({ id, kind }) => !fed.has(id) && kind !== "iceboxDrain" && kind !== "urineDiverter")
      .map(({ id }) => toSupply(from, id, { kind: "fixture", id })),
  ];
}

const toSupply = (from: string, fixtureId: string, part: PartRef): WaterEdge => ({
  id: `supply:${from}:${fixtureId}`,
  from,
  to: `fixture:${fixtureId}`,
  part,
  carries: "fresh",
  trapMm: null,
  figure: null,
  severity: null,
});

function listDumps(
  design: Design,
  evaluation: Evaluation,
  add: AddNode,
  severityOf: (part: PartRef, lineId?: string) => Severity | null,
): WaterEdge[] {
  return design.tanks.flatMap((tank) =>
    tank.ports.flatMap((port): WaterEdge[] => {
      if (port.kind !== "outlet") return [];
      const line = findDumpLine(design, tank.id, port.id);
      const outlet = { kind: "port", tankId: tank.id, id: port.id } as const;
      const part = line ? ({ kind: "line", id: line.id } as const) : outlet;
      const id = `dump:${tank.id}:${port.id}`;
      const leftL = evaluation.tanks.find((t) => t.tankId === tank.id)?.leftL ?? null;
      // several that meet are let go at the last one's coupling
      const last = line && followDumpLine(design, line).at(-1)!.line;
      const end = last ? `dump:${last.fromTank}:${last.fromPort}` : id;
      if (end === id) add({ id, kind: "dump", part, name: line?.name ?? tank.name, holds: null, figure: null });
      return [
        {
          id: `edge:${id}`,
          from: `tank:${tank.id}`,
          to: end,
          part,
          carries: tank.holds,
          trapMm: null,
          figure: leftL === null ? null : { value: leftL, quantity: "volume", what: "leftBehind" },
          severity: severityOf(part, line?.id),
        },
      ];
    }),
  );
}

function listLinks(design: Design, severityOf: (part: PartRef) => Severity | null): WaterEdge[] {
  return design.tanks.flatMap((tank): WaterEdge[] => {
    if (!tank.link) return [];
    const part = { kind: "tank", id: tank.id } as const;
    return [
      {
        id: `link:${tank.id}`,
        from: `tank:${tank.id}`,
        to: `tank:${tank.link.toTank}`,
        part,
        carries: tank.holds,
        trapMm: null,
        figure: null,
        severity: severityOf(part),
      },
    ];
  });
}

const RANK: Readonly<Record<Severity, number>> = { must: 2, should: 1, note: 0 };

// The worst that is said of a part, or of any leg, bend or trap of a line.
function collectSeverities({ findings }: Evaluation): (part: PartRef, lineId?: string) => Severity | null {
  const worst = new Map<string, Severity>();
  const put = (key: string, severity: Severity) => {
    const known = worst.get(key);
    if (!known || RANK[severity] > RANK[known]) worst.set(key, severity);
  };
  for (const { at, severity } of findings) {
    put(toPartKey(at), severity);
    if ("lineId" in at) put(`of:${at.lineId}`, severity);
    if (at.kind === "port") put(`tank:${at.tankId}`, severity);
  }
  return (part, lineId) => {
    const own = worst.get(toPartKey(part)) ?? null;
    const along = lineId ? (worst.get(`of:${lineId}`) ?? null) : null;
    if (!own || !along) return own ?? along;
    return RANK[own] >= RANK[along] ? own : along;
  };
}
