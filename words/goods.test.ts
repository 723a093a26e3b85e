import type { BoughtFor } from "@/core/build/goods";
import type { HoseWall } from "@/core/design/plumbing";
import { nameWare } from "./goods";
import { describeHoseDuty } from "./hoseDuty";
import type { Units } from "./units";

const pipe = { innerMm: 13, outerMm: 19, manningN: 0.009 };
const PIPE_38 = { innerMm: 38, outerMm: 46, manningN: 0.009 };
const name = (duty?: BoughtFor) => nameWare({ kind: "hose", pipe, ...(duty && { duty }) }, "metric");

test("hose is asked for by its size and by what it must stand", () => {
  const plain = name();
  expect(name({ isDrunk: true, isDrawn: true })).toBe(`${plain}, for drinking water, for suction`);
  expect(name({ bearsKPa: 400, isHot: true, isDrunk: true })).toBe(
    `${plain}, for drinking water, for hot water, made for 400\u00a0kPa when hot`,
  );
  expect(name({ isSewage: true, isFlushed: true })).toMatch(/, for sewage, .*sheet/);
  // what it is made of is its name, not a second one beside "smooth hose"
  const made = (wall: HoseWall, units: Units) => nameWare({ kind: "hose", pipe: PIPE_38, wall }, units);
  expect([made("barrier", "metric"), made("rigid", "imperial")]).toEqual(["barrier hose 38 mm", "rigid pipe 1½ in"]);
  expect(name({ bearsKPa: 300 })).toBe(`${plain}, made for 300\u00a0kPa`);
});

test("beside its measures stands what it must bear, and where that comes from", () => {
  const say = (duty: Partial<Parameters<typeof describeHoseDuty>[0]>) =>
    describeHoseDuty(
      { pressed: null, isDrawn: false, isHot: false, isDrunk: false, isSewage: false, flushedBy: null, ...duty },
      (id) => `the ${id}`,
      "metric",
    );
  expect(say({})).toBeNull();
  expect(say({ isDrawn: true })).toMatch(/water under suction/);
  expect(say({ isHot: true, isDrunk: true, pressed: { kPa: 310.2, gearId: "pump" } })).toMatch(
    /hot drinking water at 311\u00a0kPa or more: as much can come from the pump/,
  );
  // what a toilet's own pump gives nobody told
  expect(say({ isSewage: true, flushedBy: "toilet" })).toMatch(
    /^Made for sewage\. the toilet sends .* read off its sheet/,
  );
});
