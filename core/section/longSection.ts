import { type Attitude, computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import { findInsulationMm } from "../design/lagging";
import { findJunctionBend, findSealMm } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { USUAL_FIXTURES } from "../design/usualFixtures";
import { buildDrainPath } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { computePonds } from "../falls/ponding";
import { dot, type Vec3, vec } from "../geometry/vec";
import { listOpenings } from "../tanks/openings";
import { layOutFoam } from "./foam";
import { layOutFreeEnd } from "./freeEnd";
import type { LongSection, SectionNode, SectionPoint } from "./sectionLayout";
import { layOutBranchVent, layOutObstacles, layOutTank, layOutTrap, layOutVents } from "./sectionParts";
import { findHeading, layOutSpans, listStations, placeOnSpan, type Span } from "./spans";

const MARGIN_MM = 140;

/**
 * One drain unrolled from fixture to tank, as it stands at an attitude, with `tankL` litres in the tank.
 * Heights are true heights, so standing water is level and a leg that rises runs backwards.
 * `beyondMm` is how far the rig is drawn past sink and tank.
 */
export function layOutLongSection(
  design: Design,
  drain: Drain,
  attitude: Attitude,
  tankL: number,
  beyondMm = MARGIN_MM,
): LongSection {
  const network = buildNetwork(design);
  const path = buildDrainPath(design, drain, network);
  const up = computeUp(attitude);
  const heading = findHeading(path);
  const spans = layOutSpans(path, heading, beyondMm);
  const datum = dot(up, vec(path.outletMm.x, path.outletMm.y, 0));
  const heightOf = (p: Vec3): number => dot(up, p) - datum;
  const at = (span: Span, s: number, z: number): SectionPoint => {
    const p = placeOnSpan(span, s);
    return { s, h: heightOf(vec(p.x, p.y, z)) };
  };
  const along = (z: number): SectionPoint[] =>
    spans.flatMap((span, i) => [...(i === 0 ? [at(span, span.fromS, z)] : []), at(span, span.toS, z)]);
  const stations = listStations(path);
  const inletS = stations[stations.length - 1]!;
  const nodes = path.nodesMm.map((node, i): SectionNode => {
    const { lineId, bend } = path.nodeRefs[i]!;
    const role = i === 0 ? "weir" : bend >= 0 ? "bend" : path.tank ? "inlet" : "freeEnd";
    const joins = (network.branches.get(lineId) ?? []).filter(
      ({ id, to }) =>
        to.kind === "junction" &&
        findJunctionBend(network.drains.get(lineId), to) === bend &&
        !path.chain.some((line) => line.id === id),
    );
    return { s: stations[i]!, h: heightOf(node), role, lineId, bend, joins: joins.map(({ name }) => name) };
  });
  const tank = layOutTank({
    openings: path.tank ? listOpenings(design, network, path.tank) : [],
    path,
    up,
    inletS,
    heading,
    heightOf,
    tankL,
  });
  const surface = (trueHeight: number) => trueHeight - datum;
  const first = spans[0]!;
  const rimZ = path.outletMm.z + path.fixture.rimMm;
  const half = USUAL_FIXTURES[path.fixture.kind].halfMm;
  const sink = [
    at(first, -half, rimZ),
    at(first, -half + 20, path.outletMm.z + 20),
    at(first, 0, path.outletMm.z),
    at(spans[1] ?? first, half - 20, path.outletMm.z + 20),
    at(spans[1] ?? first, half, rimZ),
  ];
  const ground = along(design.rig.groundZMm);
  const last = spans[spans.length - 1]!;
  const nearS = first.fromS + beyondMm - MARGIN_MM;
  const farS = last.toS - beyondMm + MARGIN_MM;
  const near = [at(first, nearS, design.rig.groundZMm), at(last, farS, design.rig.groundZMm)];
  const sill = design.rig.sillZMm === null ? [] : along(design.rig.sillZMm);
  const all = [...sink, ...nodes, ...near, ...(tank?.outline ?? [])];
  return {
    lineId: drain.id,
    fromS: first.fromS,
    toS: last.toS,
    nearS,
    farS,
    lowH: Math.min(...all.map((p) => p.h)),
    highH: Math.max(...all.map((p) => p.h)),
    outlet: { s: 0, h: heightOf(path.outletMm) },
    sink,
    nodes,
    legs: path.legs.map((leg) => ({
      lineId: leg.lineId,
      index: leg.index,
      boreMm: leg.pipe.innerMm,
      foam: layOutFoam(leg),
    })),
    trapFoamMm: path.nodesMm[0]!.z < 0 ? 2 * findInsulationMm(drain) : 0,
    trap: layOutTrap(path, heightOf),
    trapSurfaceH: findSealMm(path.drain) !== null ? heightOf(path.nodesMm[0]!) : null,
    floorTop: along(0),
    floorUnder: along(-measureFloorMm(design)),
    ground,
    sill,
    waterline: design.rig.waterlineZMm === null ? null : design.rig.waterlineZMm * up.z - datum,
    obstacles: layOutObstacles(design, spans, at),
    ponds: computePonds(path, up).map((pond) => ({
      legIndex: pond.legIndex,
      fromS: stations[pond.legIndex]!,
      toS: stations[pond.legIndex + 1]!,
      surfaceH: surface(pond.surfaceMm),
    })),
    tank,
    freeEnd: layOutFreeEnd(design, path.chain.at(-1)!.to, path.nodesMm.at(-1)!, heightOf),
    branchVent: layOutBranchVent(path, stations, heightOf),
    vents: layOutVents(design, path, heading, inletS, heightOf),
  };
}
