import type { Gear, GearKind, HoseEnd } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { USUAL_GEAR } from "../gear/usualGear";
import { listSentOn } from "./sentOn";

const piece = (id: string, kind: GearKind): readonly [string, Gear] => [
  id,
  { id, name: id, atMm: { x: 0, y: 0, z: 0 }, ...USUAL_GEAR[kind] },
];
const at = (gearId: string, port: string): HoseEnd => ({ kind: "gear", gearId, port });
const tank = (tankId: string): HoseEnd => ({ kind: "tank", tankId, portId: "in" });
const network = (
  pieces: readonly (readonly [string, GearKind])[],
  joins: readonly (readonly [HoseEnd, HoseEnd])[],
) => ({
  gear: new Map(pieces.map(([id, kind]) => piece(id, kind))),
  hoses: joins.map(
    ([from, to], i): Hose => ({
      id: `h${i}`,
      name: `h${i}`,
      kind: "hose",
      pipe: { innerMm: 38, outerMm: 46, manningN: 0.009 },
      from,
      to,
      pointsMm: [],
    }),
  ),
});
/** The same with every hose drawn from its other end, and the last one first. */
const turned = ({ gear, hoses }: ReturnType<typeof network>) => ({
  gear,
  hoses: hoses.map((hose) => ({ ...hose, from: hose.to, to: hose.from })).toReversed(),
});

test("a toilet's waste is followed and not what flushes it; a sump's outlet; each hose from either end", () => {
  const toilet = network(
    [
      ["bowl", "bowl"],
      ["pump", "pump"],
    ],
    [
      [tank("fresh"), at("pump", "in")],
      [at("pump", "out"), at("bowl", "flush")],
      [at("bowl", "waste"), tank("black")],
    ],
  );
  for (const one of [toilet, turned(toilet)])
    expect(listSentOn(one, "bowl")).toEqual({ tankIds: ["black"], isOverboard: false });
  const sump = network([["sump", "sump"]], [[at("sump", "out"), tank("grey")]]);
  for (const one of [sump, turned(sump)])
    expect(listSentOn(one, "sump")).toEqual({ tankIds: ["grey"], isOverboard: false });
  expect(listSentOn(sump, "gone")).toEqual({ tankIds: [], isOverboard: false });
});

test("by a three-way valve to the tank or to the sea; behind the hull, a deck fitting or another bowl nothing goes on", () => {
  const boat = network(
    [
      ["bowl", "bowl"],
      ["valve", "diverter"],
      ["hull", "skinFitting"],
      ["deck", "deckFitting"],
      ["tee", "tee"],
      ["other", "bowl"],
    ],
    [
      [at("bowl", "waste"), at("valve", "common")],
      [at("valve", "a"), at("tee", "a")],
      [at("tee", "b"), tank("black")],
      [at("tee", "c"), at("other", "waste")],
      [at("other", "flush"), tank("fresh")],
      [at("valve", "b"), at("hull", "in")],
    ],
  );
  for (const one of [boat, turned(boat)])
    expect(listSentOn(one, "bowl")).toEqual({ tankIds: ["black"], isOverboard: true });
});

test("the nearest tank first, of two as near the one whose name comes first; never against a pump, and a ring comes to an end", () => {
  const many = network(
    [
      ["sump", "sump"],
      ["tee", "tee"],
      ["far", "tee"],
      ["pump", "pump"],
    ],
    [
      [at("sump", "out"), at("tee", "a")],
      [at("tee", "b"), tank("near")],
      [at("tee", "b"), tank("beside")],
      [at("tee", "c"), at("far", "a")],
      [at("far", "b"), tank("a-far-one")],
      [at("far", "c"), at("pump", "out")],
      [at("pump", "in"), tank("behind-the-pump")],
      [at("far", "b"), at("tee", "c")],
    ],
  );
  for (const one of [many, turned(many)])
    expect(listSentOn(one, "sump")).toEqual({ tankIds: ["beside", "near", "a-far-one"], isOverboard: false });
  // a hose to a piece that is not there leads nowhere
  expect(listSentOn(network([["sump", "sump"]], [[at("sump", "out"), at("none", "in")]]), "sump")).toEqual({
    tankIds: [],
    isOverboard: false,
  });
});
