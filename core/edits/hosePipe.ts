import type { Design } from "../design/design";
import type { HoseEnd } from "../design/gear";
import type { Pipe } from "../design/plumbing";
import { TOILETS } from "../heads/toiletKinds";

/** Hose between pieces that ask for no bore of their own: 13 mm inside, as pump and filter housings are sold with [T]. */
export const USUAL_HOSE: Pipe = { innerMm: 13, outerMm: 19, manningN: 0.009 };
/** Tails of a sump and of a deck fitting, mm [T]. */
const SUMP_MM = 25;
const DECK_MM = 38;

/**
 * The hose that fits between two ends: as wide as the wider of them asks for, so that nothing narrows what comes through,
 * with the wall such hoses have. Common practice, no source [T].
 */
export function chooseHosePipe(design: Design, from: HoseEnd, to: HoseEnd): Pipe {
  const asked = [findEndBore(design, from), findEndBore(design, to)].filter((bore) => bore !== null);
  if (asked.length === 0) return USUAL_HOSE;
  const innerMm = Math.max(...asked);
  return { innerMm, outerMm: innerMm + (innerMm <= 20 ? 6 : innerMm <= 30 ? 7 : 8), manningN: USUAL_HOSE.manningN };
}

// What the end itself is made for; else what the piece's other hoses have.
function findEndBore({ gear, tanks, lines }: Design, end: HoseEnd): number | null {
  if (end.kind === "tank") {
    const tank = tanks.find(({ id }) => id === end.tankId);
    return tank?.ports.find(({ id }) => id === end.portId)?.boreMm ?? null;
  }
  const spec = gear.find(({ id }) => id === end.gearId)?.spec;
  switch (spec?.kind) {
    case "skinFitting":
      return spec.boreMm;
    case "sump":
      return SUMP_MM;
    case "deckFitting":
      return DECK_MM;
    case "bowl": {
      const { inMm, outMm } = TOILETS[spec.bowl];
      return end.port === "waste" ? outMm : inMm;
    }
    default: {
      const touches = (one: HoseEnd) => one.kind === "gear" && one.gearId === end.gearId;
      const bores = lines.flatMap((line) =>
        line.kind === "hose" && (touches(line.from) || touches(line.to)) ? [line.pipe.innerMm] : [],
      );
      return bores.length > 0 ? Math.max(...bores) : null;
    }
  }
}
