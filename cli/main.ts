import { closeSync, openSync, readSync, writeFileSync } from "node:fs";
import * as z from "zod";
import { type Attitude, LEVEL } from "@/core/attitude/attitude";
import { cleanName } from "@/core/design/cleanText";
import { type Design, design as designSchema } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";
import { proveInterlock } from "@/core/gear/interlock";
import { MOST_FILE_BYTES, parseFileText, type Records } from "@/core/record/file";
import type { Stop } from "@/core/record/journey";
import { proposeRemedies } from "@/core/remedies/proposeRemedies";
import { toDate, toDays } from "@/core/road/civil";
import { listWorkings } from "@/core/workings/listWorkings";
import { DRAWING_FORMATS, DRAWINGS, writeDrawing } from "@/files/drawing/writeDrawing";
import { writeJourneyCalendar } from "@/files/journeyCalendar";
import { writeLogCsv } from "@/files/logCsv";
import { describeFault } from "@/words/faults";
import { exportBook } from "./book";
import { type DaysOptions, printDays, reportDays, USUAL_DAYS } from "./days";
import { printHeads, printHoles, reportHeads, reportHoles } from "./holes";
import { exportEpanet, printLoop, reportLoop } from "./loop";
import type { CliOutcome } from "./outcome";
import { printPlan, readStops, reportPlan } from "./plan";
import { reportDesign } from "./report";
import { sum } from "./sum";
import { exportTable } from "./tables";

const USAGE = `schleuse check FILE [--json] [--imperial] [--pitch DEG] [--roll DEG]   findings of a design
schleuse days FILE [--days N] [--journeys N] [--seed N] [--standing ID|worst] [--json] [--imperial] [--pitch DEG] [--roll DEG]
                                                                         how long it lasts, tank by tank
schleuse loop FILE [--state ID] [--json] [--imperial]                    pumped water: flows, hazards, dose, change
schleuse holes FILE [--as pdf|svg|dxf --out PATH] [--json] [--imperial]   every hole: size, saw, place; templates in full size
schleuse heads FILE [--json] [--imperial]                                skin fittings, floods, ways for sea and black water
schleuse export FILE --as parts|cuts|steps|book|plan|section|waterway|holes|epanet [--state ID] --out PATH   what to buy, cut and do as CSV; the book as PDF; drawings as .svg or .dxf; the network for a general engine
schleuse plan FILE --stops F --from DATE [--certainty 0.9] [--json]       where to dump and fill on a journey; stops as GPX, KML, GeoJSON or CSV
schleuse log FILE --as csv|ics --out PATH [--from DATE]                   the logbook in a file as a table; plan and care as a calendar
schleuse sum [ID name=value …] [--json] [--imperial]                      the formulas by themselves, such as sum trapArm D=1.5in S=0.25in/ft
schleuse schema                                                          JSON Schema of a design file
Pitch above 0 is nose down, roll above 0 is right side low. Exit: 0 clean, 1 something must be settled, 2 not read.
`;

type WriteFile = (path: string, content: string | Uint8Array) => void;

/** Runs one command; the file system comes in, so that it can be tested without one. */
export function runCli(
  args: readonly string[],
  readFile: (path: string) => string = readUtf8,
  writeFile: WriteFile = writeUtf8,
): CliOutcome {
  const [command, ...rest] = args;
  if (command === "check") return check(rest, readFile);
  if (command === "days") return days(rest, readFile);
  if (command === "loop") return loop(rest, readFile);
  if (command === "log") return log(rest, readFile, writeFile);
  if (command === "plan") return plan(rest, readFile);
  if (command === "holes") return holes(rest, readFile, writeFile);
  if (command === "heads") return heads(rest, readFile);
  if (command === "export") return exportAs(rest, readFile, writeFile);
  if (command === "sum") return sum(rest);
  if (command === "schema") {
    const schema = z.toJSONSchema(designSchema, { target: "draft-2020-12", io: "input" });
    return { code: 0, out: `${JSON.stringify({ title: "Schleuse design", ...schema }, null, 2)}\n`, err: "" };
  }
  if (command === "--help" || command === "help") return { code: 0, out: USAGE, err: "" };
  return { code: 2, out: "", err: USAGE };
}

// A file, a device or a pipe: no more is read than a design can have, however much comes.
function readUtf8(path: string): string {
  const file = openSync(path, "r");
  try {
    const chunks: Buffer[] = [];
    let size = 0;
    while (size <= MOST_FILE_BYTES) {
      const chunk = Buffer.alloc(CHUNK_BYTES);
      const got = readSync(file, chunk, 0, CHUNK_BYTES, null);
      if (got === 0) break;
      chunks.push(chunk.subarray(0, got));
      size += got;
    }
    return Buffer.concat(chunks).toString("utf8");
  } finally {
    closeSync(file);
  }
}

const CHUNK_BYTES = 65_536;

const writeUtf8: WriteFile = (path, content) => writeFileSync(path, content);

function check(args: readonly string[], readFile: (path: string) => string): CliOutcome {
  const asked = readAsked(args, readFile, {});
  if ("code" in asked) return asked;
  const { design, options } = asked;
  const evaluation = evaluate(design, options.attitude);
  const code = evaluation.findings.some((finding) => finding.severity === "must") ? 1 : 0;
  const out = options.json
    ? `${JSON.stringify(toJson(design, evaluation), null, 2)}\n`
    : reportDesign(design, evaluation, options.units);
  return { code, out, err: "" };
}

const DAYS_OPTIONS: CountOptions = { "--days": [1, 365], "--journeys": [1, 1_000_000], "--seed": [0, 4_294_967_295] };

function days(args: readonly string[], readFile: (path: string) => string): CliOutcome {
  const at = args.indexOf("--standing");
  const standingId = at < 0 ? null : cleanName(args[at + 1] ?? "");
  const asked = readAsked(at < 0 ? args : args.toSpliced(at, 2), readFile, DAYS_OPTIONS);
  if ("code" in asked) return asked;
  const { design, options } = asked;
  const standing = design.rig.standings.find(({ id }) => id === standingId);
  if (standingId !== null && standingId !== "worst" && !standing) {
    const known = ["worst", ...design.rig.standings.map(({ id }) => id)].join(", ");
    return fail(`--standing ${standingId} is not one of this rig's: ${known}.`);
  }
  const attitude = standing?.attitude ?? options.attitude;
  const wanted: DaysOptions = {
    days: options.counts["--days"] ?? USUAL_DAYS.days,
    journeys: options.counts["--journeys"] ?? USUAL_DAYS.journeys,
    seed: options.counts["--seed"] ?? USUAL_DAYS.seed,
    standing: standingId === "worst" ? "worst" : "here",
  };
  const out = options.json
    ? `${JSON.stringify(reportDays(design, attitude, wanted), null, 2)}\n`
    : printDays(design, attitude, wanted, options.units);
  return { code: 0, out, err: "" };
}

/** Takes an option with its value out of a command line; null where it is not there. */
function takeOption(
  args: readonly string[],
  name: string,
): { readonly value: string | null; readonly rest: readonly string[] } {
  const at = args.indexOf(name);
  return at < 0 ? { value: null, rest: args } : { value: cleanName(args[at + 1] ?? ""), rest: args.toSpliced(at, 2) };
}

function loop(args: readonly string[], readFile: (path: string) => string): CliOutcome {
  const { value: stateId, rest } = takeOption(args, "--state");
  const asked = readAsked(rest, readFile, {});
  if ("code" in asked) return asked;
  const { design, options } = asked;
  const unknown = findUnknownState(design, stateId);
  if (unknown) return fail(unknown);
  const out = options.json
    ? `${JSON.stringify(reportLoop(design, stateId), null, 2)}\n`
    : printLoop(design, stateId, options.units);
  return { code: proveInterlock(design).some(({ kind }) => kind === "fouls") ? 1 : 0, out, err: "" };
}

function findUnknownState({ states }: Design, stateId: string | null): string | null {
  if (stateId === null || states.some(({ id }) => id === stateId)) return null;
  const known = states.map(({ id }) => id).join(", ");
  return `--state ${stateId} is not one of this design's: ${known === "" ? "it has none" : known}.`;
}

function holes(args: readonly string[], readFile: (path: string) => string, writeFile: WriteFile): CliOutcome {
  const as = takeOption(args, "--as");
  const to = takeOption(as.rest, "--out");
  const asked = readAsked(to.rest, readFile, {});
  if ("code" in asked) return asked;
  const { design, options } = asked;
  if (as.value !== null) {
    const format = HOLE_FORMATS.find((one) => one === as.value);
    if (!format) return fail(`--as takes one of: ${HOLE_FORMATS.join(", ")}.`);
    return writeOut(to.value, writeFile, () =>
      format === "pdf"
        ? exportBook(design, options.units, { parts: ["holes"] })
        : writeDrawing(design, "holes", format, options.units),
    );
  }
  const out = options.json ? `${JSON.stringify(reportHoles(design), null, 2)}\n` : printHoles(design, options.units);
  return { code: 0, out, err: "" };
}

function heads(args: readonly string[], readFile: (path: string) => string): CliOutcome {
  const asked = readAsked(args, readFile, {});
  if ("code" in asked) return asked;
  const { design, options } = asked;
  const out = options.json ? `${JSON.stringify(reportHeads(design), null, 2)}\n` : printHeads(design, options.units);
  return { code: 0, out, err: "" };
}

function log(args: readonly string[], readFile: (path: string) => string, writeFile: WriteFile): CliOutcome {
  const as = takeOption(args, "--as");
  const to = takeOption(as.rest, "--out");
  const since = takeOption(to.rest, "--from");
  const asked = readAsked(since.rest, readFile, {});
  if ("code" in asked) return asked;
  const { design, records } = asked;
  if (as.value === "ics") {
    const from = since.value ?? today();
    if (!isDay(from)) return fail(NO_DAY);
    const options = { stops: records.journey.stops, from, certainty: design.habits.certainty, stampMs: Date.now() };
    return writeOut(to.value, writeFile, () => writeJourneyCalendar(design, records.log, options));
  }
  if (as.value !== "csv") return fail("--as takes one of: csv, ics.");
  if (records.log.length === 0)
    return fail("There is no logbook in this file. Save it from Road, with what was written.");
  return writeOut(to.value, writeFile, () => writeLogCsv(design, records.log));
}

const NO_DAY = "--from takes a day as 2026-05-01.";
const isDay = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && toDate(toDays(text)) === text;
const today = (): string => new Date().toISOString().slice(0, 10);

function plan(args: readonly string[], readFile: (path: string) => string): CliOutcome {
  const stopsAt = takeOption(args, "--stops");
  const since = takeOption(stopsAt.rest, "--from");
  const sure = takeOption(since.rest, "--certainty");
  const asked = readAsked(sure.rest, readFile, {});
  if ("code" in asked) return asked;
  const { design, records, options } = asked;
  const from = since.value ?? "";
  if (!isDay(from)) return fail(NO_DAY);
  const certainty = sure.value === null ? design.habits.certainty : Number(sure.value);
  if (!(certainty >= 0.5 && certainty <= 0.99)) return fail("--certainty takes a share from 0.5 to 0.99.");
  let stops: readonly Stop[] | string = records.journey.stops;
  if (stopsAt.value !== null) {
    try {
      stops = readStops(readFile(stopsAt.value), from);
    } catch {
      return fail(`${stopsAt.value}: there is no such file, or it cannot be read.`);
    }
    if (typeof stops === "string") return fail(`${stopsAt.value}: ${stops}`);
  }
  if (stops.length === 0) return fail("No stops: add --stops FILE, or save the design with its journey.");
  const wanted = { stops, from, certainty };
  const report = reportPlan(design, records.log, wanted);
  const out = options.json
    ? `${JSON.stringify(report, null, 2)}\n`
    : printPlan(design, records.log, wanted, options.units);
  return { code: report.holds ? 0 : 1, out, err: "" };
}

// The end of every command that writes a file.
function writeOut(path: string | null, writeFile: WriteFile, toText: () => string | Uint8Array): CliOutcome {
  if (!path) return fail("Where to? Add --out PATH.");
  try {
    writeFile(path, toText());
  } catch {
    return fail(`${path} could not be written.`);
  }
  return { code: 0, out: `${path}\n`, err: "" };
}

const HOLE_FORMATS = ["pdf", ...DRAWING_FORMATS] as const;
const EXPORTS = ["epanet", "parts", "cuts", "steps", "book", ...DRAWINGS] as const;

function exportAs(args: readonly string[], readFile: (path: string) => string, writeFile: WriteFile): CliOutcome {
  const as = takeOption(args, "--as");
  const out = takeOption(as.rest, "--out");
  const state = takeOption(out.rest, "--state");
  const kind = EXPORTS.find((one) => one === as.value);
  if (!kind) return fail(`--as takes one of: ${EXPORTS.join(", ")}.`);
  if (!out.value) return fail("Where to? Add --out PATH.");
  const asked = readAsked(state.rest, readFile, {});
  if ("code" in asked) return asked;
  const unknown = findUnknownState(asked.design, state.value);
  if (unknown) return fail(unknown);
  if (kind === "epanet" && asked.design.gear.length === 0)
    return fail("Nothing is pumped in this design: there is no network to write.");
  const { design, records, options } = asked;
  const drawing = DRAWINGS.find((one) => one === kind);
  // a drawing is what its name ends in
  const format = DRAWING_FORMATS.find((one) => out.value!.toLowerCase().endsWith(`.${one}`));
  if (drawing && !format) return fail(`A drawing is written as ${DRAWING_FORMATS.join(" or ")}: end its name so.`);
  return writeOut(out.value, writeFile, () => {
    if (drawing) return writeDrawing(design, drawing, format!, options.units);
    if (kind === "epanet") return exportEpanet(design, state.value);
    if (kind === "book") return exportBook(design, options.units, { build: records.build });
    return exportTable(design, kind as "parts" | "cuts" | "steps", options.units, records.build);
  });
}

type Asked = { readonly design: Design; readonly records: Records; readonly options: Options };

// The design a command is about, and how it wants it told; or why that is not to be had.
function readAsked(
  args: readonly string[],
  readFile: (path: string) => string,
  counts: CountOptions,
): Asked | CliOutcome {
  const options = readOptions(args, counts);
  if (typeof options === "string") return fail(options);
  let text: string;
  try {
    text = readFile(options.file);
  } catch {
    return fail(`${cleanName(options.file)}: there is no such file, or it cannot be read.`);
  }
  const { design: outcome, records } = parseFileText(text);
  if (!outcome.ok) return fail(`${cleanName(options.file)}: ${describeFault(outcome.faults[0]!)}`);
  return { design: outcome.design, records, options };
}

function toJson(design: Design, evaluation: ReturnType<typeof evaluate>) {
  const findings = evaluation.findings.map((finding) => ({
    ...finding,
    remedies: proposeRemedies(design, evaluation, finding),
  }));
  return {
    design: { id: design.id, name: design.name, version: design.version },
    ...evaluation,
    findings,
    workings: listWorkings(design, evaluation),
  };
}

const fail = (reason: string): CliOutcome => ({ code: 2, out: "", err: `${reason}\n` });

type Options = {
  readonly file: string;
  readonly json: boolean;
  readonly units: "metric" | "imperial";
  readonly attitude: Attitude;
  readonly counts: Readonly<Record<string, number>>;
};

/** Whole numbers a command takes beside the others, each with its least and most. */
type CountOptions = Readonly<Record<string, readonly [number, number]>>;

function readOptions(args: readonly string[], known: CountOptions): Options | string {
  const counts: Record<string, number> = {};
  let file: string | null = null;
  let json = false;
  let units: Options["units"] = "metric";
  let attitude = LEVEL;
  for (let i = 0; i < args.length; i++) {
    const arg = args[i]!;
    if (arg === "--json") json = true;
    else if (arg === "--imperial") units = "imperial";
    else if (arg === "--pitch" || arg === "--roll") {
      const given = args[++i]?.trim() ?? "";
      const value = Number(given);
      if (given === "" || !(Math.abs(value) <= 20)) return `${arg} takes degrees from -20 to 20.`;
      attitude = arg === "--pitch" ? { ...attitude, pitchDeg: value } : { ...attitude, rollDeg: value };
    } else if (known[arg]) {
      const [least, most] = known[arg];
      const given = args[++i]?.trim() ?? "";
      const value = Number(given);
      if (!/^\d+$/.test(given) || value < least || value > most)
        return `${arg} takes a whole number from ${least} to ${most}.`;
      counts[arg] = value;
    } else if (arg.startsWith("--")) return `${cleanName(arg)} is not known here. Try: schleuse help`;
    else if (file === null) file = arg;
    else return "One file at a time.";
  }
  return file === null ? "Which file? Try: schleuse check FILE" : { file, json, units, attitude, counts };
}
