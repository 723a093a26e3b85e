import { findRoutes } from "@/core/routes/findRoutes";
import { readDemo } from "@/tests/demoRigs";
import { describeNoRoute, describeRoute, describeRouteChange } from "./routes";

test("Lesesaal: the way that lacks a few millimetres is told with what mends it", () => {
  const design = readDemo("lesesaal");
  const { proposals, shortMm, changes } = findRoutes(design, "sink-drain")!;
  expect(proposals).toEqual([]);
  expect(describeNoRoute({ shortMm: shortMm, barredBy: [], isBestAlready: false }, design, "metric")).toMatch(
    /the best lacks \d+\u00a0mm\.$/,
  );
  expect(describeRouteChange(changes[0]!, design, "metric")).toMatch(/^Hang Grey tank \d+\u00a0mm lower$/);
  expect(describeRoute(changes[0]!, design, "imperial")).toMatch(/^\d+.*\sft of pipe, \d+ bends?, to Grey tank$/);
});

test("no room at all is said as such", () => {
  expect(
    describeNoRoute({ shortMm: null, barredBy: [], isBestAlready: false }, readDemo("lesesaal"), "metric"),
  ).toMatch(/^No way through/);
});
