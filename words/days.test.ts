import { findRhythm } from "@/core/days/rhythm";
import type { Design } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import {
  CERTAINTY_NAMES,
  describeBalance,
  describeChance,
  describeEnd,
  describeRhythm,
  describeRooms,
  describeUse,
  describeUseDoubt,
  nameCertainty,
} from "./days";
import { formatDays } from "./units";

const kranich = readDemo("kranich");

test.each(DEMO_NAMES)("%s: what ends the stay is named, with its days, and every store has its line", (name) => {
  const design = readDemo(name);
  const { balance } = evaluate(design);
  expect(describeEnd(design, balance)).toMatch(/(is gone|is full) after [\d.]+ days? and ends the stay\.$/);
  const lines = describeBalance(design, balance, "metric");
  expect(lines).toHaveLength(balance.stores.length);
  expect(lines.filter((line) => line.includes("it ends the stay"))).toHaveLength(1);
});

test("a worse standing is told by its days, a better one too, and none where nothing is gained", () => {
  const level = evaluate(kranich);
  const worst = evaluate(kranich, { pitchDeg: 3, rollDeg: -2 });
  expect(describeRooms(kranich, level.balance, "metric")[0]).toMatch(
    /^At the worst standing it lasts 2\.4 days: Grey tank/,
  );
  expect(describeRooms(kranich, worst.balance, "metric")[0]).toMatch(/^Standing level it would last 2\.6 days/);
});

test("what goes on the ground is told with its litres, and that it is forbidden in many places", () => {
  const way = kranich.habits.ways.find(({ id }) => id === "wild")!;
  const uses = way.uses.map((use) => (use.kind === "washUpBowl" ? { ...use, fixtureId: null } : use));
  const outside: Design = {
    ...kranich,
    habits: { ...kranich.habits, ways: kranich.habits.ways.map((w) => (w.id === "wild" ? { ...w, uses } : w)) },
  };
  const lines = describeRooms(outside, evaluate(outside).balance, "metric");
  expect(lines.at(-1)).toMatch(/^7\.5.L\/day goes on the ground.*forbidden/);
});

test("the rhythm: whole days, times a day where it does not last one, and one stop for all", () => {
  const { balance } = evaluate(kranich);
  const lines = describeRhythm(kranich, balance, findRhythm(balance, 0.5));
  expect(lines).toEqual([
    "Fill the fresh water every 2 days",
    "Empty Grey tank every 2 days",
    "All at one stop: every 2 days",
  ]);
  const crowd = { ...kranich, habits: { ...kranich.habits, people: [{ ...kranich.habits.people[0]!, count: 12 }] } };
  const crowded = evaluate(crowd).balance;
  expect(describeRhythm(crowd, crowded, findRhythm(crowded, 0.9))[0]).toMatch(
    /^Fill the fresh water \d\.\d times a day$/,
  );
});

test("a use that sends more than it takes, takes nothing or never happens is doubted; a toilet is not", () => {
  const [use] = kranich.habits.ways.find(({ id }) => id === "wild")!.uses;
  expect(describeUseDoubt(use!)).toBeNull();
  expect(describeUseDoubt({ ...use!, sendsL: use!.takesL + 1 })).toMatch(/^More goes down/);
  expect(describeUseDoubt({ ...use!, kind: "toilet", sendsL: use!.takesL + 1 })).toBeNull();
  expect(describeUseDoubt({ ...use!, times: 0 })).toMatch(/never/);
  expect(describeUseDoubt({ ...use!, takesL: 0, sendsL: 0 })).toMatch(/nothing/);
});

test("days, certainties and uses read as people say them", () => {
  expect(formatDays(1)).toBe("1 day");
  expect(formatDays(4)).toBe("4 days");
  expect(formatDays(2.58)).toBe("2.6 days");
  expect(CERTAINTY_NAMES[nameCertainty(0.9)]).toBe("nine times in ten");
  expect(CERTAINTY_NAMES[nameCertainty(0.86)]).toBe("nine times in ten");
  expect(describeChance({ holds: "grey" }, 3, 5)).toBe("Full on day 3 to 5, eight times in ten.");
  expect(describeChance({ holds: "fresh" }, 3, null)).toBe("Gone from day 3 on, or later.");
  const [use] = kranich.habits.ways.find(({ id }) => id === "wild")!.uses;
  expect(describeUse(use!, "metric")).toMatch(/^1 × 2\.0.L a person and day$/);
});
