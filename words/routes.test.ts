import { findRoutes } from "@/core/routes/findRoutes";
import { readDemo } from "@/tests/demoRigs";
import { describeNoRoute, describeRoute, describeRouteChange } from "./routes";

test("Lesesaal: the way that lacks a few millimetres is told with what mends it", () => {
  const design = readDemo("lesesaal");
  const { proposals, shortMm, changes } = findRoutes(design, "sink-drain")!;
  expect(proposals).toEqual([]);
  expect(
    describeNoRoute(
      { shortMm: shortMm, barredBy: [], crossed: [], changes: [], isBestAlready: false },
      design,
      "metric",
    ),
  ).toMatch(/the best lacks \d+\u00a0mm\.$/);
  expect(describeRouteChange(changes[0]!, design, "metric")).toMatch(/^Hang Grey tank \d+\u00a0mm lower$/);
  expect(describeRoute(changes[0]!, design, "imperial")).toMatch(/^\d+.*\sft of pipe, \d+ bends?, to Grey tank$/);
});

test("no room at all is said as such", () => {
  expect(
    describeNoRoute(
      { shortMm: null, barredBy: [], crossed: [], changes: [], isBestAlready: false },
      readDemo("lesesaal"),
      "metric",
    ),
  ).toMatch(/^No way through/);
});

test("ways that only run into other pipes are told by their names", () => {
  const design = readDemo("lesesaal");
  const told = (crossed: string[]) =>
    describeNoRoute({ shortMm: 4, barredBy: [], crossed, changes: [], isBestAlready: false }, design, "metric");
  expect(told(["sink-drain"])).toBe("Every way runs into Sink drain. Move that pipe first, or end in it.");
  expect(told(["sink-drain", "grey-vent"])).toMatch(/^Every way runs into Sink drain, Breather\. Move one of them/);
  expect(told([])).toMatch(/lacks/);
});
