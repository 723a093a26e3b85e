import { GRAVITY, WATER_DENSITY } from "../air/dumping";
import type { Design } from "../design/design";
import type { GearGraph, GearLink } from "./gearGraph";
import { WATER_VISCOSITY } from "./hoseLoss";
import { computeLinkLossPa, USUAL_LOAD } from "./linkLoss";
import { findPassing, type Setting } from "./settings";

/** The engine's own viscosity at 1, m²/s. */
const ENGINE_VISCOSITY = 1.1e-5 * 0.3048 ** 2;
/** What only takes pressure is written as a short pipe of this bore with a loss at one point. */
const SHORT = { boreMm: 20, lengthM: 0.0001 };
const TURN_K = 0.75;

const toHeadM = (pascal: number): number => pascal / (WATER_DENSITY * GRAVITY);

/**
 * The pumped side in one setting as the text of an EPANET input file, metric, friction after Darcy and Weisbach: nodes as
 * junctions at their heights, openings and tanks as reservoirs. Names are numbered, because the format knows no umlauts;
 * each stands beside its own as a comment. Shut pieces are left out. Source: EPANET 2.2 manual, from memory [P].
 */
export function toEpanet(design: Design, graph: GearGraph, setting: Setting, load = USUAL_LOAD): string {
  const ids = [...graph.nodes.keys()];
  const names = new Map(ids.map((id, i) => [id, `n${i + 1}`]));
  const junctions = ids.map((id) => `${names.get(id)} ${(graph.nodes.get(id)!.atMm.z / 1000).toFixed(6)} 0 ;${id}`);
  const pipes: string[] = [];
  const pumps: string[] = [];
  const curves: string[] = [];
  const reservoirs: string[] = [];
  graph.links.forEach((link, i) => {
    const passing = findPassing(link, setting);
    if (!passing.forward && !passing.back) return;
    const [from, to] = [names.get(link.from)!, names.get(link.to)!];
    const spec = link.kind === "inside" ? link.gear.spec : null;
    if (spec?.kind === "pump" && passing.isDriven) {
      pumps.push(`l${i + 1} ${from} ${to} HEAD c${i + 1} ;${link.id}`);
      const points = [
        [0, spec.shutOffKPa],
        [spec.midLpm, spec.midKPa],
        [spec.freeLpm, 0],
      ] as const;
      for (const [lpm, kPa] of points) curves.push(`c${i + 1} ${lpm} ${toHeadM(kPa * 1000).toFixed(9)}`);
      return;
    }
    const status = passing.back ? "Open" : "CV";
    const { boreMm, lengthM, lossK } = toPipe(link, load);
    pipes.push(`l${i + 1} ${from} ${to} ${lengthM} ${boreMm} 0.0015 ${lossK.toFixed(9)} ${status} ;${link.id}`);
  });
  graph.ends.forEach((end, i) => {
    const piece = design.gear.find(({ id }) => id === end.gearId);
    const needsOpening = piece?.spec.kind === "tap" || (piece?.spec.kind === "coupling" && end.kind === "air");
    if (needsOpening && !setting.isTapOpen(end.gearId!)) return;
    const mouth = piece?.spec.kind === "tap" && piece.spec.dropKPa > 0 ? piece.spec : { dropKPa: 0.5, atLpm: 10 };
    const isOut = end.kind === "air" || end.isDry;
    const headM = end.headMm / 1000 + toHeadM(end.overKPa * 1000);
    reservoirs.push(`e${i + 1} ${headM.toFixed(9)} ;${end.node}`);
    const lossK = toLossK(mouth.dropKPa * 1000, mouth.atLpm / 60_000);
    pipes.push(
      `m${i + 1} ${names.get(end.node)} e${i + 1} ${SHORT.lengthM} ${SHORT.boreMm} 0.0015 ${lossK.toFixed(9)} ${isOut ? "CV" : "Open"} ;${end.node}`,
    );
  });
  return [
    "[TITLE]",
    design.name.replace(/[^\x20-\x7e]/g, "?"),
    // the format knows no air that comes in
    ...(design.gear.some(({ spec }) => spec.kind === "ventedLoop")
      ? ["Vented loops are plain pieces here: air that comes in at their top is left out."]
      : []),
    "",
    ...section("JUNCTIONS", junctions),
    ...section("RESERVOIRS", reservoirs),
    ...section("PIPES", pipes),
    ...section("PUMPS", pumps),
    ...section("CURVES", curves),
    ...section("OPTIONS", [
      "Units LPM",
      "Headloss D-W",
      `Viscosity ${(WATER_VISCOSITY / WATER_DENSITY / ENGINE_VISCOSITY).toFixed(9)}`,
      "Accuracy 0.0000001",
      "Trials 500",
    ]),
    ...section("TIMES", ["Duration 0"]),
    "[END]",
    "",
  ].join("\n");
}

const section = (name: string, lines: readonly string[]): string[] => [`[${name}]`, ...lines, ""];

/** Flow at which a loss that grows with the square is read off, m³/s. */
const AT_FLOW = 10 / 60_000;

function toPipe(link: GearLink, load: number) {
  if (link.kind === "hose") {
    return {
      boreMm: link.pipe.innerMm,
      lengthM: Math.max(SHORT.lengthM, link.lengthMm / 1000),
      lossK: link.turns * TURN_K,
    };
  }
  return { ...SHORT, lossK: toLossK(computeLinkLossPa(link, AT_FLOW, load), AT_FLOW) };
}

function toLossK(pascal: number, flow: number): number {
  const velocity = flow / ((Math.PI / 4) * (SHORT.boreMm / 1000) ** 2);
  // the engine's g is 32.2 ft/s²
  const headM = toHeadM(pascal);
  return (headM * 2 * 32.2 * 0.3048) / velocity ** 2;
}
