import "./fitted";
import { LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { applyEdit } from "../design/edit";
import type { HoseEnd } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { listGearPorts } from "../gear/gearPorts";
import { evaluate } from "./evaluate";

// Silence is a promise: whoever joins a hose to the wrong port must hear of it, whichever port that is.
test.each([...LOOP_NAMES, "otter-heads"] as const)(
  "%s: a hose led to any other free port than its own is told of, by more than a note",
  (name) => {
    const design = readDemo(name);
    const before = new Map(evaluate(design).findings.map(({ id, severity }) => [id, severity]));
    const ends: HoseEnd[] = [
      ...design.tanks.flatMap(({ id, ports }) =>
        ports.map((port) => ({ kind: "tank" as const, tankId: id, portId: port.id })),
      ),
      ...design.gear.flatMap(({ id, spec }) =>
        listGearPorts(spec.kind).map((port) => ({ kind: "gear" as const, gearId: id, port })),
      ),
    ];
    const silent: string[] = [];
    let led = 0;
    for (const [i, line] of design.lines.filter((one): one is Hose => one.kind === "hose").entries()) {
      for (const side of ["from", "to"] as const) {
        // every third of them, another third for the next hose: all of them were tried once
        for (const value of ends.filter((_, port) => (port + i) % 3 === 0)) {
          if (JSON.stringify(value) === JSON.stringify(line[side])) continue;
          const at = { kind: "line", id: line.id } as const;
          // a port that is taken refuses it
          const outcome = applyEdit(design, {
            code: "change",
            at,
            ops: [{ op: "set", path: ["lines", line.id, side], value }],
          });
          if (!outcome.ok) continue;
          led += 1;
          const isTold = evaluate(outcome.design).findings.some(
            ({ id, severity }) => severity !== "note" && before.get(id) !== severity,
          );
          if (!isTold) silent.push(`${line.id} ${side} ${JSON.stringify(value)}`);
        }
      }
    }
    expect(led).toBeGreaterThan(30);
    expect(silent).toEqual([]);
  },
);
