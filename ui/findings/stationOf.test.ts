import fc from "fast-check";
import { findPlaceMm } from "@/core/design/moves";
import { evaluate } from "@/core/evaluate/evaluate";
import { STATIONS } from "@/store/state";
import { attitudes, designs } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { toMovable, toStation } from "./stationOf";

test("every finding of any design has a station, and what it picks has a place", () => {
  fc.assert(
    fc.property(designs, attitudes, (design, attitude) => {
      for (const finding of evaluate(design, attitude).findings) {
        expect(STATIONS).toContain(toStation(finding));
        const part = toMovable(finding, design);
        if (part) expect(findPlaceMm(design, part)).not.toBeNull();
      }
    }),
  );
});

test("the faults of the sample rigs are worked on where a builder would look", () => {
  const stations = (name: "lesesaal" | "puppenwagen") =>
    evaluate(readDemo(name)).findings.map((f) => [f.code, toStation(f)]);
  expect(stations("lesesaal")).toEqual([
    ["legBackwardsParked", "falls"],
    ["runsFull", "falls"],
    ["wasteEndsStay", "days"],
  ]);
  expect(stations("puppenwagen")).toEqual([
    ["trapMissing", "falls"],
    ["tankUnvented", "air"],
  ]);
});
