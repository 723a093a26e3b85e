import type { Attitude } from "../attitude/attitude";
import { computeUp } from "../attitude/attitude";
import { listEnvelopeAttitudes } from "../attitude/envelope";
import type { Rig } from "../design/rig";
import type { Vec3 } from "../geometry/vec";
import { createRecall } from "../quantity/recall";

export type Standing = { readonly attitude: Attitude; readonly up: Vec3 };

/** Every attitude a rig is judged at: its envelope and the places it really stands at. Level comes first. */
export const listParkedStandings = (rig: Rig): readonly Standing[] =>
  recallStandings(rig, [], () =>
    [...listEnvelopeAttitudes(rig.envelope), ...rig.standings.map((s) => s.attitude)].map((attitude) => ({
      attitude,
      up: computeUp(attitude),
    })),
  );

const recallStandings = createRecall<Rig, readonly Standing[]>();
