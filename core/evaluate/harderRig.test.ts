import "./fitted";
import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { ALL_DEMOS } from "@/tests/demoRigs";
import { gearDesigns } from "@/tests/gearArbitraries";
import { changeLeaf, listLeaves } from "@/tests/leaves";
import { livedDesigns } from "@/tests/livedArbitraries";
import { loopSystems } from "@/tests/loopSystems";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { parseDesign } from "../design/parseDesign";
import { toPartKey } from "../design/part";
import type { CRASH_CLASSES, Rig } from "../design/rig";
import { findRole } from "../fit/roles";
import { evaluate } from "./evaluate";
import type { Finding } from "./findings";

const withRig = (design: Design, rig: Partial<Rig>): Design => ({ ...design, rig: { ...design.rig, ...rig } });
const mapGear = (design: Design, change: (spec: Gear["spec"]) => Gear["spec"]): Design => ({
  ...design,
  gear: design.gear.map((piece) => ({ ...piece, spec: change(piece.spec) })),
});

/** From no crash reckoned to the hardest. */
const CLASSES: readonly (typeof CRASH_CLASSES)[number][] = ["none", "m3n3", "m2n2", "m1n1"];

/** What makes the same rig a harder case, by a share between 0 and 1. */
const HARDER: Readonly<Record<string, (design: Design, share: number) => Design>> = {
  "stands further out of level": (design, share) => {
    const { noseDownDeg, noseUpDeg, leftLowDeg, rightLowDeg } = design.rig.envelope;
    const more = (deg: number) => Math.min(20, deg + 4 * share);
    return withRig(design, {
      envelope: {
        noseDownDeg: more(noseDownDeg),
        noseUpDeg: more(noseUpDeg),
        leftLowDeg: more(leftLowDeg),
        rightLowDeg: more(rightLowDeg),
      },
    });
  },
  "what is in the way reaches further": (design, share) => ({
    ...design,
    obstacles: design.obstacles.map((one) => {
      // what was in the side of a cabinet may be within it then
      const by = findRole(one.kind) === "solid" ? 40 * share : 0;
      const { x, y, z } = one.atMm;
      return {
        ...one,
        atMm: { x: x - by, y: y - by, z: z - by },
        lengthMm: one.lengthMm + 2 * by,
        widthMm: one.widthMm + 2 * by,
        heightMm: one.heightMm + 2 * by,
      };
    }),
  }),
  "the sills are higher": (design, share) => {
    const { sillZMm } = design.rig;
    return withRig(design, { sillZMm: sillZMm === null ? null : Math.min(0, sillZMm + 60 * share) });
  },
  "the ground is nearer": (design, share) =>
    withRig(design, { groundZMm: Math.min(-50, design.rig.groundZMm + 60 * share) }),
  "the water stands higher": (design, share) => {
    const { waterlineZMm } = design.rig;
    return withRig(design, { waterlineZMm: waterlineZMm === null ? null : waterlineZMm + 80 * share });
  },
  "the axles bear less": (design, share) =>
    withRig(design, {
      axles: design.rig.axles.map((axle) => ({
        ...axle,
        spareKg: axle.spareKg === null ? null : axle.spareKg * (1 - share),
      })),
    }),
  "it is reckoned for a harder crash": (design, share) => {
    const at = CLASSES.indexOf(design.rig.crashClass);
    return withRig(design, { crashClass: CLASSES[Math.min(at + (share > 0.5 ? 3 : 1), CLASSES.length - 1)]! });
  },
  "more runs at a time": (design, share) => ({
    ...design,
    fixtures: design.fixtures.map((one) => ({
      ...one,
      inflowLps: Math.min(5, one.inflowLps * (1 + share)),
      hasPlug: true,
      runsAlone: false,
    })),
  }),
  "more people live in it": (design) => ({
    ...design,
    habits: {
      ...design.habits,
      people: design.habits.people.map((one) => ({ ...one, count: Math.min(60, one.count + 1) })),
    },
  }),
  "holes are narrower": (design, share) => ({
    ...design,
    lines: design.lines.map((line) => {
      const narrow = <T extends { readonly kind: string }>(item: T): T =>
        "diameterMm" in item ? { ...item, diameterMm: Math.max(5, Number(item.diameterMm) - 6 * share) } : item;
      return line.kind === "drain"
        ? { ...line, items: line.items.map(narrow) }
        : { ...line, ...(line.items ? { items: line.items.map(narrow) } : {}) };
    }),
  }),
  "foam is thinner": (design, share) => ({
    ...design,
    tanks: design.tanks.map((tank) => ({ ...tank, insulationMm: tank.insulationMm * (1 - share) })),
  }),
  "air gaps are lower, clamps fewer": (design, share) =>
    mapGear(design, (spec) =>
      spec.kind === "airGap"
        ? { ...spec, gapMm: spec.gapMm * (1 - share) }
        : spec.kind === "skinFitting"
          ? { ...spec, clamps: Math.max(0, spec.clamps - 1) }
          : spec,
    ),
};

/** A finding that gives way to a graver one of the same part. */
const GRAVER: Partial<Record<Finding["code"], readonly Finding["code"][]>> = {
  legBarely: ["legBackwardsParked", "legBackwards"],
};

const RANK = { must: 0, should: 1, note: 2 } as const;

/** What must or should be settled of a rig and is not, or milder, when the same is a harder case. */
function findMilder(design: Design, how: string, share: number): readonly Finding[] {
  const read = parseDesign(JSON.parse(JSON.stringify(HARDER[how]!(design, share))));
  if (!read.ok) return [];
  const now = evaluate(read.design).findings;
  return evaluate(design).findings.filter(
    ({ code, severity, at }) =>
      severity !== "note" &&
      !now.some(
        (other) =>
          (other.code === code || GRAVER[code]?.includes(other.code)) &&
          toPartKey(other.at) === toPartKey(at) &&
          RANK[other.severity] <= RANK[severity],
      ),
  );
}

/** What gives way: to an opening that then drowns before it, and is told; a sump that gets more runs on, and switches less often. */
const GIVES_WAY: readonly Finding["code"][] = ["inletDrownsEarly", "sumpCycles"];

const shares = fc.double({ min: 0.1, max: 1, noNaN: true });
const hows = Object.keys(HARDER);

test.each(hows)("of no sample anything is found no more when %s", (how) => {
  fc.assert(
    fc.property(shares, (share) => {
      for (const design of ALL_DEMOS) expect(findMilder(design, how, share)).toEqual([]);
    }),
    { numRuns: 1 },
  );
});

/** A sample in which a few numbers were set otherwise, so that there is something to find. */
const spoiled: fc.Arbitrary<Design> = fc
  .record({
    design: fc.constantFrom(...ALL_DEMOS),
    hits: fc.array(fc.tuple(fc.nat(), fc.constantFrom(0, 0.3, 0.7, 1.5, 3)), { minLength: 1, maxLength: 8 }),
  })
  .map(({ design, hits }) =>
    hits.reduce<Design>((now, [which, times]) => {
      const leaves = listLeaves(now).filter(({ value }) => typeof value === "number");
      const { path, value } = leaves[which % leaves.length]!;
      return changeLeaf(now, path, Number(value) * times) ?? now;
    }, design),
  );

test("of a rig by chance neither, whichever way it is a harder case", () => {
  const rigs = fc.oneof(
    networks,
    gearDesigns.map(({ design }) => design),
    livedDesigns,
    loopSystems,
    { arbitrary: spoiled, weight: 4 },
  );
  fc.assert(
    fc.property(rigs, fc.constantFrom(...hows), shares, (design, how, share) => {
      const milder = findMilder(design, how, share).filter(({ code }) => !GIVES_WAY.includes(code));
      expect(milder).toEqual([]);
    }),
    { numRuns: 100 },
  );
});
