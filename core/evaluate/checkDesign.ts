import type { Design } from "../design/design";
import { createFinding } from "./createFinding";
import type { StayResult } from "./evaluation";
import type { Finding } from "./findings";

/** What concerns the whole design rather than one drain or tank. */
export function checkDesign(design: Design, stay: StayResult | null): Finding[] {
  const findings = design.fixtures
    .filter((fixture) => !design.lines.some((line) => line.kind === "drain" && line.fromFixture === fixture.id))
    .map((fixture) => createFinding("must", { kind: "fixture", id: fixture.id }, { code: "fixtureUndrained" }));
  if (stay && stay.level.endedBy === "grey") {
    const { daysToGreyFull, daysToFreshEmpty } = stay.level;
    const numbers = { code: "greyEndsStay", greyDays: daysToGreyFull, freshDays: daysToFreshEmpty } as const;
    findings.push(createFinding("note", { kind: "habits" }, numbers));
  }
  return findings;
}
