import { ALL_DEMOS } from "@/tests/demoRigs";
import { changeLeaf, listLeaves, tryOther } from "@/tests/leaves";
import "../evaluate/fitted";
import type { Design } from "../design/design";
import {
  BEDDINGS,
  BOWL_KINDS,
  DRIVES,
  FILTER_MEDIA,
  METALS,
  PUMP_KINDS,
  SERVES,
  TAILS,
  TAP_USES,
} from "../design/gear";
import {
  BOLT_SIZES,
  FASTENERS,
  FITTINGS,
  FIXING_KINDS,
  HELD_WATERS,
  HOSE_WALLS,
  INLINE_PIECES,
  LINK_KINDS,
  MATERIALS,
  PIPE_JOINTS,
  PORT_KINDS,
  SENDER_KINDS,
  THREADS,
  TRAP_KINDS,
} from "../design/plumbing";
import { isUnbuilt } from "../design/unbuilt";
import { evaluate } from "../evaluate/evaluate";
import { takeFingerprint } from "../trials/fingerprint";
import { listRedrawn, takeDrawn } from "./redrawn";
import { listSteps } from "./steps";

/** Words of fields that may change while a part stays as it is built, and why. */
const STAYS: Readonly<Record<string, string>> = {
  "tanks.holds": "what is in it",
};

/** The words a field of a built part may be, list by list. */
const FIELD_WORDS: readonly (readonly string[])[] = [
  ...[HELD_WATERS, MATERIALS, SENDER_KINDS, FIXING_KINDS, FASTENERS, BOLT_SIZES, THREADS, TRAP_KINDS, PIPE_JOINTS],
  ...[INLINE_PIECES, FITTINGS, HOSE_WALLS, PORT_KINDS, LINK_KINDS],
  ...[DRIVES, PUMP_KINDS, FILTER_MEDIA, TAP_USES, BOWL_KINDS, METALS, TAILS, BEDDINGS, SERVES],
  ["electric", "manual", "admittanceValve", "openPipe", "stays", "opens", "shuts", "a", "b"],
];

// Everything built and tried by the drawing as it is; then which steps a later drawing makes old.
function build(design: Design): (now: Design) => readonly string[] {
  const evaluation = evaluate(design);
  const steps = listSteps(design, evaluation);
  const done = steps.map((step) => {
    const drawn = takeDrawn(step, design, evaluation);
    return { stepId: step.id, on: "2026-05-01", name: step.id, ...(drawn ? { drawn } : {}) };
  });
  return (now) => {
    const judged = evaluate(now);
    const { redrawn, gone } = listRedrawn(listSteps(now, judged), done, now, judged);
    return [...redrawn.map(({ step }) => step.id), ...gone.map(({ stepId }) => stepId)].filter(
      (id) => !id.startsWith("trial"),
    );
  };
}

test("whatever is changed of a tank, a line or a piece of gear that stands, the steps it was built by tell it", () => {
  const silent = new Map<string, string>();
  const tried = new Map<string, number>();
  const seen = new Map<string, number>();
  for (const design of ALL_DEMOS) {
    const tell = build(design);
    for (const leaf of listLeaves(design)) {
      const [list, key] = [String(leaf.path[0]), String(leaf.path.at(-1))];
      if (!["tanks", "lines", "gear"].includes(list) || key === "id" || key.endsWith("Id") || isUnbuilt(key)) continue;
      const pattern = leaf.pattern;
      if (STAYS[pattern] || (seen.get(pattern) ?? 0) >= 2 || (tried.get(pattern) ?? 0) >= 12) continue;
      tried.set(pattern, (tried.get(pattern) ?? 0) + 1);
      const other = tryOther(leaf.value, (value) => changeLeaf(design, leaf.path, value), FIELD_WORDS);
      if (!other) continue;
      seen.set(pattern, (seen.get(pattern) ?? 0) + 1);
      if (tell(other).length === 0) silent.set(pattern, `${design.id} ${leaf.path.join(".")}`);
    }
  }
  expect([...silent]).toEqual([]);
  expect(seen.size).toBeGreaterThan(60);
});

test("a name, a lock, a valve that is secured and foam round a line make no trial held again", () => {
  for (const design of ALL_DEMOS) {
    const trials = listSteps(design, evaluate(design)).filter(({ kind }) => kind.startsWith("trial"));
    const other: Design = {
      ...design,
      tanks: design.tanks.map((tank) => ({ ...tank, name: `${tank.name} 2`, locked: true })),
      lines: design.lines.map((line) => ({
        ...line,
        name: `${line.name} 2`,
        locked: true,
        ...(line.kind === "vent" ? {} : { insulationMm: 9 }),
      })),
      gear: design.gear.map((piece) => ({ ...piece, name: `${piece.name} 2`, locked: true, isSecured: true })),
      fixtures: design.fixtures.map((fixture) => ({ ...fixture, name: `${fixture.name} 2`, locked: true })),
    };
    for (const { id } of trials) expect([id, takeFingerprint(other, id)]).toEqual([id, takeFingerprint(design, id)]);
  }
});
