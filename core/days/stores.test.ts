import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import type { Drain, Hose } from "../design/plumbing";
import { buildNetwork } from "../falls/network";
import { USUAL_GEAR } from "../gear/usualGear";
import { findUseEnd, listStores, type UseEnd } from "./stores";

const endOf = (design: Design, fixtureId: string | null, kind: "toilet" | "drains" = "drains"): UseEnd =>
  findUseEnd(buildNetwork(design), listStores(design), { kind, fixtureId, vesselId: null });

// What the samples' notes say of them.
test.each([
  ["otter-heads", null, "toilet", { kind: "store", id: "black" }],
  ["setzkasten", null, "toilet", { kind: "store", id: "black" }],
  ["otter-heads", "sink", "drains", { kind: "overboard" }],
  ["setzkasten", "basin", "drains", { kind: "overboard" }],
  ["puppenwagen-heads", "urinediverter", "drains", { kind: "store", id: "black-can" }],
  ["kranich", null, "toilet", { kind: "ground" }],
  ["kranich", null, "drains", { kind: "ground" }],
] as const)("%s: what is sent from %s on %s ends where it does", (name, fixtureId, kind, end) => {
  expect(endOf(readDemo(name), fixtureId, kind)).toEqual(end);
});

/** Kranich's sink over a sump box whose hose leads to the grey tank, or nowhere. */
function pumped(to: "tank" | "nowhere"): Design {
  const kranich = readDemo("kranich");
  const sump: Gear = { id: "box", name: "Box", atMm: { x: 900, y: 0, z: 20 }, ...USUAL_GEAR.sump };
  const [tank] = kranich.tanks as [Design["tanks"][number]];
  const port = { ...tank.ports.find(({ kind }) => kind === "inlet")!, id: "pumped-in" };
  const drain = kranich.lines.find((line): line is Drain => line.kind === "drain" && line.fromFixture === "sink")!;
  const hose = {
    ...readDemo("kranich-loop").lines.find((line): line is Hose => line.kind === "hose")!,
    id: "rising",
    from: { kind: "gear", gearId: "box", port: "out" },
    to: { kind: "tank", tankId: tank.id, portId: port.id },
  } as Hose;
  return {
    ...kranich,
    gear: [sump],
    tanks: kranich.tanks.map((one) => (one === tank ? { ...one, ports: [...one.ports, port] } : one)),
    lines: [
      ...kranich.lines.map((line) =>
        line === drain ? { ...drain, to: { kind: "sump" as const, gearId: "box" } } : line,
      ),
      ...(to === "tank" ? [hose] : []),
    ],
  };
}

test("what runs into a sump fills the tank its hose leads to, and is lost where none does", () => {
  const { id } = readDemo("kranich").tanks[0]!;
  expect(endOf(pumped("tank"), "sink")).toEqual({ kind: "store", id });
  expect(endOf(pumped("nowhere"), "sink")).toEqual({ kind: "ground" });
});

test("of two toilets the tank whose name comes first counts, whichever stands first, and a tank before the sea", () => {
  const boat = readDemo("setzkasten");
  const bowl = boat.gear.find(({ spec }) => spec.kind === "bowl")!;
  const other: Gear = { ...bowl, id: "other-bowl" };
  const tank = { ...boat.tanks.find(({ id }) => id === "black")!, id: "aft", link: null };
  const inlet = tank.ports.find(({ kind }) => kind === "inlet") ?? tank.ports[0]!;
  const hose = {
    ...boat.lines.find((line): line is Hose => line.kind === "hose")!,
    id: "aft-hose",
    from: { kind: "gear", gearId: "other-bowl", port: "waste" },
    to: { kind: "tank", tankId: "aft", portId: inlet.id },
  } as Hose;
  for (const gear of [
    [...boat.gear, other],
    [other, ...boat.gear],
  ])
    expect(
      endOf({ ...boat, gear, tanks: [...boat.tanks, tank], lines: [...boat.lines, hose] }, null, "toilet"),
    ).toEqual({
      kind: "store",
      id: "aft",
    });
});
