import { writeDesignText } from "@/core/design/parseDesign";
import { readDesign, readDesignText } from "@/core/design/readDesign";
import { evaluate } from "@/core/evaluate/evaluate";
import { proposeRemedies } from "@/core/remedies/proposeRemedies";
import { describeFault } from "@/words/faults";
import { describeFinding } from "@/words/findings";

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

export type FuzzTally = {
  readonly tried: number;
  readonly refused: number;
  readonly opened: number;
  /** What must never be: a throw, a sentence that does not end, a figure that is none, a file that is not read back. */
  readonly defects: readonly { readonly seed: number; readonly what: string }[];
};

/** Mutates real files so many times from a seed, reads each, and works out every one that opens. Same seed, same files. */
export function fuzzFiles(texts: readonly string[], runs: number, seed: number): FuzzTally {
  let refused = 0;
  let opened = 0;
  const defects: { seed: number; what: string }[] = [];
  const parsed = texts.map((text) => JSON.parse(text) as Json);
  for (let i = 0; i < runs; i++) {
    const own = seed + i;
    const random = createRandom(own);
    try {
      const what = tryOne(mutate(parsed[pick(random, parsed.length)]!, random), random);
      if (what === "refused") refused += 1;
      else opened += 1;
    } catch (error) {
      defects.push({ seed: own, what: String(error instanceof Error ? error.message : error) });
    }
  }
  return { tried: runs, refused, opened, defects };
}

function tryOne(text: string, random: () => number): "refused" | "opened" {
  const outcome = readDesignText(text);
  if (!outcome.ok) {
    if (outcome.faults.length === 0) throw new Error("refused without a fault");
    for (const fault of outcome.faults) expectSentence(describeFault(fault));
    return "refused";
  }
  const { design } = outcome;
  if (!readDesign(design).ok) throw new Error("what was opened does not open again");
  const again = readDesignText(writeDesignText(design));
  if (!again.ok || JSON.stringify(again.design) !== JSON.stringify(design)) throw new Error("not read back as saved");
  const attitude = { pitchDeg: Math.round(random() * 40 - 20), rollDeg: Math.round(random() * 40 - 20) };
  const evaluation = evaluate(design, attitude);
  findUnfinite(evaluation, "");
  for (const finding of evaluation.findings) {
    const { title, why, advice } = describeFinding(finding, design, "metric");
    for (const sentence of [`${title}.`, why, advice]) expectSentence(sentence);
  }
  const some = evaluation.findings[pick(random, Math.max(1, evaluation.findings.length))];
  if (some && random() < 0.1) proposeRemedies(design, evaluation, some);
  return "opened";
}

function expectSentence(text: string): void {
  if (!/[.!?]$/.test(text) || /undefined|NaN|Infinity|object Object/.test(text) || text.length > 1_000)
    throw new Error(`no sentence: ${text.slice(0, 120)}`);
}

function findUnfinite(value: unknown, path: string): void {
  if (typeof value === "number" && !Number.isFinite(value)) throw new Error(`${path} is ${value}`);
  if (typeof value !== "object" || value === null) return;
  for (const [key, child] of Object.entries(value)) findUnfinite(child, `${path}.${key}`);
}

// A small generator of its own, so that a seed means the same everywhere [T: mulberry32].
function createRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

const pick = (random: () => number, count: number): number => Math.floor(random() * count);

const ODD: readonly Json[] = [
  null,
  true,
  "",
  "__proto__",
  -1,
  0,
  1e-9,
  0.5,
  3,
  89.9,
  1e308,
  [],
  {},
  "\u202eevil\u001b[31m",
];

// A point of a line to join at, or one it has not: by its id, and in older files by its place.
function pickNode(random: () => number, points: Json | undefined, older: "bend" | "point"): Loose {
  const nodes = (points as Loose[] | undefined) ?? [];
  const nth = pick(random, nodes.length + 1);
  return nodes.some((node) => "id" in node) ? { node: nodes[nth]?.["id"] ?? "gone" } : { [older]: nth };
}

// One to four changes: of any value, or of what holds lines, tanks and places together.
function mutate(source: Json, random: () => number): string {
  const root = structuredClone(source) as { [key: string]: Json };
  // what holds together is changed while it still does; then single values
  for (let n = pick(random, 4); n > 0; n--) changeTopology(root, random);
  for (let n = pick(random, 3); n > 0; n--) changeAnything(root, random);
  const text = JSON.stringify(root);
  if (random() > 0.03) return text;
  const from = pick(random, text.length);
  return text.slice(0, from) + text.slice(from + pick(random, 40));
}

function changeAnything(root: Json, random: () => number): void {
  let at: Json = root;
  for (let depth = 0; depth < 8; depth++) {
    if (typeof at !== "object" || at === null) return;
    const holder = at as { [key: string]: Json };
    const keys = Object.keys(holder);
    if (keys.length === 0) return;
    const key = keys[pick(random, keys.length)]!;
    const child: Json = holder[key]!;
    if (typeof child === "object" && child !== null && random() < 0.85) {
      at = child;
      continue;
    }
    const how = random();
    if (how < 0.15) delete holder[key];
    else if (typeof child === "number" && how < 0.8) holder[key] = child * (random() * 3 - 1);
    else holder[how < 0.95 ? key : `${key}x`] = ODD[pick(random, ODD.length)]!;
    return;
  }
}

type Loose = { [key: string]: Json };
const listOf = (root: Loose, key: string): Loose[] => (Array.isArray(root[key]) ? (root[key] as Loose[]) : []);

// Junctions, breathers, several tanks, legs that lie or stand, equal places, long chains.
function changeTopology(root: Loose, random: () => number): void {
  const [lines, tanks, fixtures] = [listOf(root, "lines"), listOf(root, "tanks"), listOf(root, "fixtures")];
  const drains = lines.filter((line) => line["kind"] === "drain");
  const vents = lines.filter((line) => line["kind"] === "vent");
  const drain = drains[pick(random, Math.max(1, drains.length))];
  const vent = vents[pick(random, Math.max(1, vents.length))];
  const tank = tanks[pick(random, Math.max(1, tanks.length))];
  const ways: readonly (() => void)[] = [
    () => {
      // another drain that joins one that is there
      if (!drain || fixtures.length === 0) return;
      const id = `fuzz-${lines.length}-${pick(random, 1e6)}`;
      fixtures.push({ ...structuredClone(fixtures[pick(random, fixtures.length)]!), id });
      const to = {
        kind: "junction",
        lineId: drain["id"]!,
        ...pickNode(random, drain["bendsMm"], "bend"),
        fitting: "wye",
      };
      lines.push({ ...structuredClone(drain), id, fromFixture: id, to });
    },
    () => {
      // a breather that joins another by a tee, with or without points of its own
      if (!vent || !tank) return;
      const port = listOf(tank, "ports").find((p) => p["kind"] === "vent");
      if (!port) return;
      const to = { kind: "tee", lineId: vent["id"]!, ...pickNode(random, vent["pointsMm"], "point") };
      const pointsMm = random() < 0.5 ? [] : structuredClone(vent["pointsMm"]!);
      lines.push({
        ...structuredClone(vent),
        id: `vent-${pick(random, 1e6)}`,
        fromTank: tank["id"]!,
        fromPort: port["id"]!,
        to,
        pointsMm,
      });
    },
    () => {
      if (!tank) return;
      const copy = structuredClone(tank);
      const water = ["grey", "black", "fresh"][pick(random, 3)]!;
      tanks.push({
        ...copy,
        id: `tank-${pick(random, 1e6)}`,
        holds: water,
        link: random() < 0.4 ? { kind: random() < 0.5 ? "communicating" : "pumped", toTank: tank["id"]! } : null,
      });
    },
    () => {
      // a leg that lies, stands or has no length
      const bends = drain?.["bendsMm"] as Loose[] | undefined;
      if (!bends || bends.length < 2) return;
      const [a, b] = [bends[0]!, bends[1]!];
      const how = random();
      const moved = how < 0.33 ? { ...b, z: a["z"]! } : how < 0.66 ? { ...a, z: Number(b["z"]) } : { ...a };
      bends[1] = "id" in b ? { ...moved, id: b["id"]! } : moved;
    },
    () => {
      // chained one after another
      for (let i = 0; i < 6 && lines.length < 60; i++) ways[0]!();
    },
    () => {
      const rig = root["rig"] as Loose | undefined;
      if (rig)
        rig["axles"] = [
          { name: "A", xMm: 900, spareKg: 100 },
          { name: "B", xMm: 900, spareKg: null },
        ];
    },
  ];
  ways[pick(random, ways.length)]!();
}
