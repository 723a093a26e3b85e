import "../evaluate/fitted";
import { readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import { USUAL_GEAR } from "../gear/usualGear";
import { proposeOwnState } from "./stateRemedies";

const loop = readDemo("lesesaal-loop");
const at = (id: string) => ({ kind: "gear", id }) as const;
/** What a remedy puts in: who is on, and which taps are open. */
const listStates = (design: Design, id: string) =>
  proposeOwnState(design, at(id)).map(({ edit, byMm }) => {
    expect([edit.code, edit.at, byMm]).toEqual(["addState", at(id), null]);
    const { states } = mustApply(design, edit);
    expect(states.slice(0, -1)).toEqual(design.states);
    return states.at(-1)!;
  });

test("a tap gets a state with each pump that feeds it on, a pump one with each tap it feeds open and one with none", () => {
  expect(listStates(loop, "head")).toMatchObject([{ on: ["pump"], openTaps: ["head"], positions: [] }]);
  expect(listStates(loop, "pump")).toMatchObject([
    { on: ["pump"], openTaps: ["head"] },
    { on: ["pump"], openTaps: [] },
  ]);
  // its name tells who is in it, and its id is its own
  const { gear } = loop;
  const nameOf = (id: string) => gear.find((piece) => piece.id === id)!.name;
  const [both, alone] = listStates(loop, "pump");
  expect(both!.name).toBe(`${nameOf("head")}, ${nameOf("pump")}`);
  expect(alone!.name).toBe(nameOf("pump"));
  expect(loop.states.map(({ id }) => id)).not.toContain(both!.id);
});

test("what is not joined feeds nothing: no pump is named with a tap its water does not come to, and a valve gets no state", () => {
  const lone: Design = {
    ...loop,
    gear: [...loop.gear, { id: "lone", name: "Lone pump", atMm: { x: 100, y: 0, z: 20 }, ...USUAL_GEAR.pump }],
  };
  expect(listStates(lone, "head").map(({ on }) => on)).toEqual([["pump"]]);
  expect(listStates(lone, "lone").map(({ openTaps }) => openTaps)).toEqual([[]]);
  expect(proposeOwnState(loop, at("valve"))).toEqual([]);
  expect(proposeOwnState(loop, at("gone"))).toEqual([]);
  expect(proposeOwnState(loop, { kind: "rig" })).toEqual([]);
});
