import { LEVEL } from "@/core/attitude/attitude";
import type { Design } from "@/core/design/design";
import type { EditOp } from "@/core/design/editOps";
import { buildPutItems, findTrap } from "@/core/design/lineItems";
import type { Drain, LineItem, Trap } from "@/core/design/plumbing";
import type { Obstacle, ObstacleKind } from "@/core/design/rig";
import { evaluate } from "@/core/evaluate/evaluate";
import type { Finding } from "@/core/evaluate/findings";
import { vec } from "@/core/geometry/vec";
import type { LimitId } from "@/core/rules/limitIds";
import { readDemo } from "./demoRigs";

/** What is found of one code, standing level. */
export const findAll = <C extends Finding["code"]>(design: Design, code: C) =>
  evaluate(design, LEVEL).findings.filter((f): f is Extract<Finding, { code: C }> => f.code === code);

export const isSaid = (design: Design, code: Finding["code"]): boolean => findAll(design, code).length > 0;

/** The design with one limit of the builder's own. */
export function withLimit(design: Design, id: LimitId, value: number): Design {
  return { ...design, rules: { ...design.rules, limits: { ...design.rules.limits, [id]: value } } };
}

/** A block of 100 mm, or so long, under the middle of a rig. */
export const placeThing = (id: string, kind: ObstacleKind, x: number, lengthMm = 100): Obstacle => ({
  ...readDemo("kranich").obstacles[0]!,
  id,
  name: id,
  kind,
  atMm: vec(x, 0, -300),
  lengthMm,
  widthMm: 100,
  heightMm: 100,
});

/** Gives a drain's trap other measures. */
export const changeTrap = (drain: Drain, given: Partial<Trap>): EditOp =>
  buildPutItems(drain, { trap: { ...findTrap(drain)!, ...given } });

/** Puts one thing more on a drain, after all that sits there. */
export const addItem = (drain: Drain, item: LineItem): EditOp => ({
  op: "insert",
  path: ["lines", drain.id, "items"],
  index: drain.items.length,
  value: item,
});
