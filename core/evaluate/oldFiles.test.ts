import { readFileSync } from "node:fs";
import { readDesignText } from "../design/readDesign";
import { evaluate } from "./evaluate";

type Figures = {
  /** Drain, fall in hand standing level and at the worst, mm. */
  readonly falls: readonly (readonly [string, number, number])[];
  /** Tank, what it holds, and what of that standing level, L. */
  readonly tanks: readonly (readonly [string, number, number])[];
};

// Files as the program of each version wrote them, and the figures that same program printed for them.
const SAID: Readonly<Record<string, Readonly<Record<string, Figures>>>> = JSON.parse(
  readFileSync("tests/files/figures.json", "utf8"),
);
const FILES = Object.entries(SAID).flatMap(([version, files]) =>
  Object.entries(files).map(([file, figures]) => [Number(version), file, figures] as const),
);

test("files of every version before this one are there", () => {
  expect(Object.keys(SAID)).toEqual(["1", "2", "3", "4", "5", "6", "7", "8"]);
});

test.each(FILES)(
  "version %i, %s: it opens, and has the falls and litres its own program found",
  (version, file, said) => {
    const outcome = readDesignText(readFileSync(`tests/files/v${version}/${file}`, "utf8"));
    if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
    expect(outcome.fromVersion).toBe(version);
    const { drains, tanks } = evaluate(outcome.design);
    expect(drains.map(({ lineId, level, worst }) => [lineId, level.inHandMm, worst.inHandMm])).toEqual(
      said.falls.map(([id, levelMm, worstMm]) => [id, expect.closeTo(levelMm, 5), expect.closeTo(worstMm, 5)]),
    );
    expect(tanks.map(({ tankId, capacityL, level }) => [tankId, capacityL, level.litres])).toEqual(
      said.tanks.map(([id, holdsL, levelL]) => [id, expect.closeTo(holdsL, 5), expect.closeTo(levelL, 5)]),
    );
  },
);
