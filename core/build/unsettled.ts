import type { Design } from "../design/design";
import type { PartRef } from "../design/part";
import type { Line } from "../design/plumbing";
import type { Finding } from "../evaluate/findings";
import type { BuildStep, StepKind } from "./steps";

/** Musts against what is about to be built, by the id of the step; those of its own parts come first. */
export type Unsettled = ReadonlyMap<string, readonly Finding[]>;

/** Work that can be done whatever is still open: it makes no hole and hangs nothing. */
const isFree = (kind: StepKind): boolean => kind === "own" || kind.startsWith("trial");

/**
 * Which musts stand against which step: those of its own part and of every part that is joined to it, for settling them may
 * move it; those of nothing that has a step of its own (the rig, its axles, its days, its working states) stand against all,
 * and before anything is closed up all of them do. Source: geometry and common practice [C on T].
 */
export function listUnsettled(design: Design, steps: readonly BuildStep[], findings: readonly Finding[]): Unsettled {
  const musts = findings.filter(({ severity }) => severity === "must");
  if (musts.length === 0) return new Map();
  const joined = joinParts(design);
  const told = musts.map((finding) => ({ finding, keys: listKeys(finding, joined) }));
  const making = steps.filter(({ kind }) => !isFree(kind));
  const near = making.map((step) => {
    // closing up is at the rig, and waits for everything anyway
    if (step.kind === "closeUp") return { step, found: [] };
    const own = toKey(step.at);
    const keys = new Set([own, ...(joined.get(own) ?? [])]);
    return { step, found: told.filter((one) => one.keys.some((key) => keys.has(key))).map(({ finding }) => finding) };
  });
  const placed = new Set(near.flatMap(({ found }) => found));
  const whole = musts.filter((finding) => !placed.has(finding));
  return new Map(
    near.flatMap(({ step, found }) => {
      const all = step.kind === "closeUp" ? musts : [...found, ...whole];
      return all.length > 0 ? [[step.id, all]] : [];
    }),
  );
}

// What a finding is about: its part, and the other one it names.
function listKeys(finding: Finding, joined: ReadonlyMap<string, ReadonlySet<string>>): string[] {
  const other = "otherId" in finding ? finding.otherId : null;
  return [
    toKey(finding.at),
    ...(other === null ? [] : ["tank", "line", "gear"].map((kind) => `${kind}:${other}`)).filter((key) =>
      joined.has(key),
    ),
  ];
}

function toKey(at: PartRef): string {
  if ("lineId" in at) return `line:${at.lineId}`;
  if ("tankId" in at) return `tank:${at.tankId}`;
  return "id" in at ? `${at.kind}:${at.id}` : at.kind;
}

// Each part with those it is joined to.
function joinParts({ lines, tanks, gear }: Design): ReadonlyMap<string, ReadonlySet<string>> {
  const joined = new Map<string, Set<string>>();
  const put = (one: string, other: string) => {
    for (const [a, b] of [
      [one, other],
      [other, one],
    ] as const)
      joined.set(a, (joined.get(a) ?? new Set()).add(b));
  };
  for (const { id } of gear) put(`gear:${id}`, `gear:${id}`);
  for (const { id, link } of tanks) {
    put(`tank:${id}`, `tank:${id}`);
    if (link) put(`tank:${id}`, `tank:${link.toTank}`);
  }
  for (const line of lines) {
    put(`line:${line.id}`, `line:${line.id}`);
    for (const key of listEnds(line)) put(`line:${line.id}`, key);
  }
  return joined;
}

function listEnds(line: Line): string[] {
  switch (line.kind) {
    case "drain":
      return [`fixture:${line.fromFixture}`, ...toOutfall(line.to)];
    case "vent":
      return [`tank:${line.fromTank}`, ...(line.to.kind === "tee" ? [`line:${line.to.lineId}`] : [])];
    case "dumpLine":
      return [`tank:${line.fromTank}`, ...(line.to.kind === "wye" ? [`line:${line.to.lineId}`] : [])];
    case "hose":
      return [line.from, line.to].map((end) => (end.kind === "tank" ? `tank:${end.tankId}` : `gear:${end.gearId}`));
  }
}

function toOutfall(to: Extract<Line, { kind: "drain" }>["to"]): string[] {
  switch (to.kind) {
    case "inlet":
      return [`tank:${to.tankId}`];
    case "junction":
      return [`line:${to.lineId}`];
    case "overboard":
    case "sump":
      return [`gear:${to.gearId}`];
    case "ground":
    case "vessel":
      return [];
  }
}
