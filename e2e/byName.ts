import type { Design } from "@/core/design/design";
import type { HoseEnd } from "@/core/design/gear";
import type { Line, Port } from "@/core/design/plumbing";

/** What a fitting says when nobody said more. */
const UNSAID = { tail: "straight", tailMm: null, hasBacking: false, bedding: "none", timerS: null };

/**
 * A design with every part known by its name and every end by where it is, for two that were laid out apart have other ids.
 * Holes of tanks that nothing uses are left out, and so are the design's own id, name and note.
 */
export function listByName(design: Design) {
  const { gear, tanks, fixtures, lines, states, habits, rig, obstacles } = design;
  const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
    list.find((one) => one.id === id)!.name;
  const nameEnd = (end: HoseEnd): string => {
    if (end.kind === "gear") return `${nameIn(gear, end.gearId)} ${end.port}`;
    const tank = tanks.find(({ id }) => id === end.tankId)!;
    return `${tank.name} ${tank.ports.find(({ id }) => id === end.portId)!.kind}`;
  };
  const bare = <T extends { readonly id: string }>({ id: _, ...rest }: T) => rest;
  const byName = <T extends { readonly name: string }>(list: readonly T[]) =>
    Object.fromEntries(list.map((one) => [one.name, one]));
  // points are known by their places: two that were laid apart have other ids
  const nodeOf = (line: Line, node: string | null) =>
    node === null ? null : (line.kind === "drain" ? line.bendsMm : line.pointsMm).findIndex(({ id }) => id === node);
  const place = (line: Line) => {
    const { id: _, ...rest } = line;
    return line.kind === "drain"
      ? {
          ...rest,
          bendsMm: line.bendsMm.map(bare),
          items: line.items.map((item) => ({ ...item, node: nodeOf(line, item.node) })),
        }
      : { ...rest, pointsMm: line.pointsMm.map(bare) };
  };
  const nameLine = (line: Line) => {
    if (line.kind === "hose") return { ...place(line), from: nameEnd(line.from), to: nameEnd(line.to) };
    if (line.kind === "vent" || line.kind === "dumpLine")
      return { ...place(line), fromTank: nameIn(tanks, line.fromTank), fromPort: "" };
    const { to } = line;
    const end =
      to.kind === "junction"
        ? { ...to, lineId: nameIn(lines, to.lineId), node: nodeOf(lines.find(({ id }) => id === to.lineId)!, to.node) }
        : to.kind === "inlet"
          ? { kind: to.kind, tankId: nameIn(tanks, to.tankId) }
          : to.kind === "vessel"
            ? { ...to, vesselId: nameIn(habits.vessels, to.vesselId) }
            : "gearId" in to
              ? { ...to, gearId: nameIn(gear, to.gearId) }
              : to;
    return { ...place(line), fromFixture: nameIn(fixtures, line.fromFixture), to: end };
  };
  const isIdle = (tankId: string, port: Port) =>
    port.kind === "inlet" &&
    !lines.some(({ to }) => to.kind === "inlet" && to.tankId === tankId && to.portId === port.id);
  return {
    rig,
    obstacles: byName(obstacles.map(bare)),
    fixtures: byName(fixtures.map(bare)),
    tanks: byName(
      tanks.map((tank) => ({
        ...bare(tank),
        ports: tank.ports
          .filter((port) => !isIdle(tank.id, port))
          .map(bare)
          .sort((a, b) => a.kind.localeCompare(b.kind)),
      })),
    ),
    gear: byName(gear.map((piece) => ({ ...bare(piece), spec: { ...pickUnsaid(piece.spec), ...piece.spec } }))),
    lines: byName(lines.map(nameLine)),
    states: byName(
      states.map((state) => ({
        ...bare(state),
        on: state.on.map((id) => nameIn(gear, id)).sort(),
        openTaps: state.openTaps.map((id) => nameIn(gear, id)).sort(),
        positions: Object.fromEntries(state.positions.map(({ gearId, at }) => [nameIn(gear, gearId), at])),
      })),
    ),
    people: habits.people,
    vessels: habits.vessels.map(bare),
    uses: habits.ways.map(({ name, uses }) => ({
      name,
      uses: byName(
        uses.map((use) => ({
          ...bare(use),
          fixtureId: use.fixtureId && nameIn(fixtures, use.fixtureId),
          vesselId: use.vesselId && nameIn(habits.vessels, use.vesselId),
        })),
      ),
    })),
  };
}

function pickUnsaid(spec: Design["gear"][number]["spec"]): object {
  const { timerS, ...fitting } = UNSAID;
  return spec.kind === "skinFitting" ? fitting : spec.kind === "pump" ? { timerS } : {};
}
