import { listShortFlushes } from "../days/flush";
import { isToiletUse } from "../days/isToiletUse";
import { findUnusedToilet, listUsualToiletUses } from "../days/toiletUse";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit, EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Use, Vessel } from "../design/habits";
import { REST_L, TOILETS, type ToiletKind, URINE_L } from "../heads/toiletKinds";
import { buildAddFixture } from "./fixtureEdits";
import { buildAddGear } from "./loopEdits";

/** Names for what comes with a toilet. */
export type ToiletNames = {
  readonly toilet: string;
  readonly urineVessel: string;
  readonly restVessel: string;
  readonly urineUse: string;
  readonly restUse: string;
};

/**
 * Edit that fits a toilet of a kind. One with hoses is a piece of gear and one over its tank a fixture; one that is carried
 * comes with its vessels, and in every way of living what is done on it goes there: what was done on a toilet or as urine
 * without a place of its own, is done on it from now on.
 */
export function buildAddToilet(design: Design, kind: ToiletKind, names: ToiletNames): Edit {
  const { fit, flushL } = TOILETS[kind];
  if (fit.as === "fixture") return buildAddFixture(design, "gravityToilet", names.toilet);
  if (fit.as === "gear") {
    const edit = buildAddGear(design, "bowl", names.toilet);
    const id = edit.at.kind === "gear" ? edit.at.id : "";
    const spec = applySpec(design, edit, id);
    return {
      ...edit,
      ops: [...edit.ops, { op: "set", path: ["gear", id, "spec"], value: { ...spec, bowl: fit.bowl, flushL } }],
    };
  }
  return buildAddCarried(design, kind, names);
}

function applySpec(design: Design, edit: Edit, id: string) {
  const made = applyEdit(design, edit);
  return made.ok ? made.design.gear.find((piece) => piece.id === id)!.spec : {};
}

function buildAddCarried({ habits }: Design, kind: ToiletKind, names: ToiletNames): Edit {
  const { urine, rest, flushL } = TOILETS[kind];
  const vessels: Vessel[] = [];
  const put = (id: string, name: string, litres: number): string => {
    const vessel: Vessel = { id: freeId(id, [...habits.vessels, ...vessels]), name, holds: "black", litres, on: "rig" };
    vessels.push(vessel);
    return vessel.id;
  };
  const restId = put(kind, names.restVessel, rest!.litres);
  const urineId = urine ? put("urine-bottle", names.urineVessel, urine.litres) : restId;
  const from = flushL > 0 ? "fresh" : "elsewhere";
  const ops: EditOp[] = habits.ways.flatMap(({ id, uses }): EditOp[] => {
    const others = uses.filter((use) => use.fixtureId !== null || use.vesselId !== null || !isToiletUse(use));
    const add = (useId: string, name: string, use: Pick<Use, "kind" | "sendsL" | "times" | "vesselId">): Use => {
      const made: Use = {
        ...use,
        id: freeId(useId, others),
        name,
        from,
        takesL: flushL,
        fixtureId: null,
        per: "personDay",
        byChance: true,
      };
      others.push(made);
      return made;
    };
    add("urine", names.urineUse, { kind: "urine", sendsL: flushL + URINE_L, times: 5, vesselId: urineId });
    add("toilet", names.restUse, { kind: "toilet", sendsL: flushL + REST_L, times: 1, vesselId: restId });
    return [{ op: "set", path: ["habits", "ways", id, "uses"], value: others }];
  });
  return {
    code: "addToilet",
    at: { kind: "habits" },
    ops: [{ op: "set", path: ["habits", "vessels"], value: [...habits.vessels, ...vessels] }, ...ops],
  };
}

/**
 * Edit that counts the whole flush in every use for which less was counted, with what goes along by its kind; from the fresh
 * water where it comes out of that. Null where nothing is short.
 */
export function buildCountFlush(design: Design): Edit | null {
  const ops = listShortFlushes(design).flatMap(({ use, way, flushL }): EditOp[] => {
    const path = ["habits", "ways", way.id, "uses", use.id] as const;
    const alongL = use.kind === "urine" ? URINE_L : REST_L;
    return [
      { op: "set", path: [...path, "sendsL"], value: Math.max(use.sendsL, flushL + alongL) },
      ...(use.from === "fresh" && use.takesL < flushL
        ? [{ op: "set", path: [...path, "takesL"], value: flushL } as const]
        : []),
    ];
  });
  return ops.length > 0 ? { code: "countFlush", at: { kind: "habits" }, ops } : null;
}

/** Edit that lets the toilet that is there be used as is usual, in every way of living that is lived without; else null. */
export function buildUseToilet(design: Design): Edit | null {
  const unused = findUnusedToilet(design);
  if (!unused) return null;
  const ops = unused.ways.flatMap((way): EditOp[] => {
    const uses = [...way.uses];
    for (const usual of listUsualToiletUses(design)) {
      const id = freeId(usual.kind, uses);
      uses.push({ ...usual, id, vesselId: null, per: "personDay", byChance: true });
    }
    return [{ op: "set", path: ["habits", "ways", way.id, "uses"], value: uses }];
  });
  return { code: "useToilet", at: { kind: "habits" }, ops };
}
