import type { Design } from "../design/design";
import type { Line } from "../design/plumbing";
import type { BuildStep, StepKind } from "./steps";

/** How far a part is built: there, being worked on, or not yet. */
export type Built = "solid" | "lit" | "thin";

/** The step after which a part is there. */
const STANDS: Readonly<Record<"tank" | "gear" | Line["kind"], StepKind>> = {
  tank: "hangTank",
  drain: "layDrain",
  vent: "layVent",
  hose: "layHose",
  dumpLine: "layDumpLine",
  gear: "mountGear",
};

/** Each tank, line and piece of gear by how far it is built: what the step given is about is lit. Keys are kind and id. */
export function listBuilt(
  { tanks, lines, gear }: Design,
  done: ReadonlySet<string>,
  current: BuildStep | null,
): ReadonlyMap<string, Built> {
  const built = new Map<string, Built>();
  const lit = current && toPartKey(current);
  const put = (key: string, stepId: string) =>
    built.set(key, key === lit ? "lit" : done.has(stepId) ? "solid" : "thin");
  for (const { id } of tanks) put(`tank:${id}`, `${STANDS.tank}:${id}`);
  for (const { id, kind } of lines) put(`line:${id}`, `${STANDS[kind]}:${id}`);
  for (const { id } of gear) put(`gear:${id}`, `${STANDS.gear}:${id}`);
  return built;
}

function toPartKey({ at }: BuildStep): string {
  if ("lineId" in at) return `line:${at.lineId}`;
  return "id" in at ? `${at.kind}:${at.id}` : at.kind;
}
