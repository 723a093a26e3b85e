import type { Design } from "../design/design";
import type { FixtureKind } from "../design/plumbing";
import { buildNetwork } from "../falls/network";
import { listFittings } from "./fittings";

/** Who lets water go through one skin fitting, or draws by it. */
export type Sharers = {
  readonly gearId: string;
  /** Fixtures whose drains end there, by themselves or through another drain. */
  readonly fixtures: readonly { readonly id: string; readonly kind: FixtureKind }[];
  /** Hoses on it from gear: a bowl's discharge, a pump, an intake's strainer. */
  readonly hoses: readonly string[];
};

/** Every skin fitting with all that share it. */
export function listSharers(design: Design): Sharers[] {
  const network = buildNetwork(design);
  const endOf = (lineId: string, left = design.lines.length): string | null => {
    const line = network.drains.get(lineId);
    if (!line || left < 0) return null;
    if (line.to.kind === "junction") return endOf(line.to.lineId, left - 1);
    return line.to.kind === "overboard" ? line.to.gearId : null;
  };
  const drains = design.lines.flatMap((line) => (line.kind === "drain" ? [line] : []));
  return listFittings(design).map(({ id }) => ({
    gearId: id,
    fixtures: drains.flatMap(({ id: lineId, fromFixture }) => {
      const fixture = design.fixtures.find((one) => one.id === fromFixture);
      return fixture && endOf(lineId) === id ? [{ id: fixture.id, kind: fixture.kind }] : [];
    }),
    hoses: design.lines.flatMap((line) => {
      if (line.kind !== "hose") return [];
      const touches = [line.from, line.to].some((end) => end.kind === "gear" && end.gearId === id);
      return touches ? [line.id] : [];
    }),
  }));
}
