import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import type { Hull, HullSection, Rig } from "../design/rig";

const AT = { kind: "rig" } as const;

/**
 * Edit that gives the boat a hull by its sections, or none. Blocks that stood for it among what is in the way go with the
 * sections' coming: her skin is known now.
 */
export function buildSetHull(design: Design, hull: Hull | null): Edit {
  const others = design.obstacles.filter(({ kind }) => kind !== "hull");
  const hadBlocks = hull !== null && others.length < design.obstacles.length;
  return {
    code: "setHull",
    at: AT,
    ops: [
      { op: "set", path: ["rig", "hull"], value: hull },
      ...(hadBlocks ? ([{ op: "set", path: ["obstacles"], value: others }] as const) : []),
    ],
  };
}

/** A first hull to be pulled into shape: a round bilge as long and wide as the floor, from the keel to a metre over the waterline. */
export function createFirstHull({ lengthMm, widthMm, groundZMm, waterlineZMm }: Rig): Hull {
  const half = widthMm / 2 + 60;
  const sheer = Math.max(0, waterlineZMm ?? 0) + 700;
  const section = (xMm: number, share: number, keelMm: number): HullSection => ({
    xMm,
    pointsMm: [
      { y: 0, z: Math.round(keelMm) },
      { y: Math.round(half * share * 0.5), z: Math.round(keelMm * 0.82) },
      { y: Math.round(half * share * 0.92), z: Math.round(keelMm * 0.35) },
      { y: Math.round(half * share), z: Math.max(20, waterlineZMm ?? 0) },
      { y: Math.round(half * share), z: sheer },
    ],
  });
  return {
    material: "laminate",
    thicknessMm: 12,
    sections: [
      section(-300, 0.75, groundZMm * 0.75),
      section(Math.round(lengthMm / 2), 1, groundZMm),
      section(lengthMm + 500, 0.35, groundZMm * 0.7),
    ],
  };
}

/** Edit that puts one section in place of another; its points from the keel up. */
export const buildChangeSection = (design: Design, hull: Hull, index: number, section: HullSection): Edit =>
  buildSetHull(design, { ...hull, sections: hull.sections.map((one, i) => (i === index ? section : one)) });

/** Edit that puts a section midway between one and the next, of the shape she has there. */
export function buildAddSection(design: Design, hull: Hull, after: number, between: HullSection): Edit {
  const sections = [...hull.sections.slice(0, after + 1), between, ...hull.sections.slice(after + 1)];
  return buildSetHull(design, { ...hull, sections });
}

/** Edit that takes a section out; three at least are left, or null. */
export const buildRemoveSection = (design: Design, hull: Hull, index: number): Edit | null =>
  hull.sections.length <= 3
    ? null
    : buildSetHull(design, { ...hull, sections: hull.sections.filter((_, i) => i !== index) });
