import { ALL_DEMOS } from "@/tests/demoRigs";
import { showPart } from "./showPart";

test("a finding's part is put on its stage: its own drain, tank or breather, never another's", () => {
  for (const design of ALL_DEMOS) {
    for (const { id, ports } of design.tanks) {
      const own = design.lines.filter((line) => line.kind === "vent" && line.fromTank === id);
      const shown = showPart(design, { kind: "tank", id });
      expect([shown.tankId, shown.ventId]).toEqual([id, own[0]?.id]);
      for (const port of ports) {
        const at = own.find((line) => line.kind === "vent" && line.fromPort === port.id) ?? own[0];
        const part = { kind: "port", tankId: id, id: port.id } as const;
        expect([showPart(design, part).tankId, showPart(design, part).ventId]).toEqual([id, at?.id]);
      }
    }
    for (const line of design.lines) {
      const shown = {
        drain: { drainId: line.id },
        vent: line.kind === "vent" && { ventId: line.id, tankId: line.fromTank },
        dumpLine: line.kind === "dumpLine" && { tankId: line.fromTank },
        hose: {},
      }[line.kind];
      expect(showPart(design, { kind: "line", id: line.id })).toEqual(shown);
      expect(showPart(design, { kind: "bend", lineId: line.id, index: 0 })).toEqual(shown);
    }
    for (const { id } of design.fixtures) {
      const drain = design.lines.find((line) => line.kind === "drain" && line.fromFixture === id);
      const shown = drain ? { drainId: drain.id, fixtureId: null } : { fixtureId: id };
      expect(showPart(design, { kind: "fixture", id })).toEqual(shown);
    }
    expect(showPart(design, { kind: "rig" })).toEqual({});
    expect(showPart(design, { kind: "line", id: "gone" })).toEqual({});
  }
});
