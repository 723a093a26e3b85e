import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import { computeBolt, computeFixing } from "../fixing/fixing";
import { readNight } from "../frost/night";
import { computeTankFrost } from "../frost/tankFrost";
import { lookUpLimit } from "../rules/lookUpLimit";
import { buildWorking, term } from "./buildWorking";
import type { Working } from "./working";

/** How a tank stands the cold when it is so full, as a share in [0, 1], and what its fixing bears at the worst load. */
export const listTankCareWorkings = (design: Design, tank: Tank, fillShare: number): Working[] => [
  ...listFrostWorkings(design, tank, fillShare),
  ...listFixingWorkings(design, tank),
];

function listFrostWorkings({ rules }: Design, tank: Tank, fillShare: number): Working[] {
  const night = readNight(rules);
  const { airC } = night;
  if (airC >= 0) return [];
  const frost = computeTankFrost(tank, fillShare, night);
  const at = { kind: "tank", id: tank.id } as const;
  const extra = { limit: lookUpLimit(rules, "nightAir") };
  const mass = term("m", frost.massKg, "weight");
  const loss = term("UA", frost.lossWPerK, "heatLoss");
  const air = (valueC: number) => term("Ta", valueC, "temperature");
  const hold = buildWorking(
    "padPower",
    at,
    [loss, term("Th", night.heldC, "temperature"), air(airC)],
    term("P", frost.holdW, "power"),
    extra,
  );
  if (frost.hoursToFreezing === null || frost.hoursToIce === null) return [hold];
  const rest = air(frost.restC);
  return [
    buildWorking(
      "tankFreezing",
      at,
      [mass, loss, term("T0", night.startC, "temperature"), rest],
      term("t", frost.hoursToFreezing, "hours"),
      extra,
    ),
    buildWorking(
      "tankIce",
      at,
      [term("s", night.iceShare, "ratio"), mass, loss, rest],
      term("t", frost.hoursToIce, "hours"),
      extra,
    ),
    hold,
  ];
}

function listFixingWorkings({ rig }: Design, tank: Tank): Working[] {
  const { fixing } = tank;
  if (!fixing) return [];
  const cases = computeFixing(tank, fixing, rig);
  if (!cases) return [];
  const { shearKN, tensionKN, ofBolt, ofHeld } = cases.reduce((a, b) => (b.utilisation > a.utilisation ? b : a));
  const bolt = computeBolt(fixing.size);
  const at = { kind: "tank", id: tank.id } as const;
  const [shear, tension] = [term("V", shearKN, "force"), term("T", tensionKN, "force")];
  return [
    buildWorking(
      "boltUse",
      at,
      [shear, term("VR", bolt.shearKN, "force"), tension, term("TR", bolt.tensionKN, "force")],
      term("u", ofBolt, "ratio"),
    ),
    ...(ofHeld === null
      ? []
      : [
          buildWorking(
            "heldUse",
            at,
            [
              term("f", fixing.heldFactor, "times"),
              shear,
              term("FV", fixing.heldShearKN ?? 0, "force"),
              tension,
              term("FT", fixing.heldKN ?? 0, "force"),
            ],
            term("u", ofHeld, "ratio"),
          ),
        ]),
  ];
}
