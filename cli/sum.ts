import { findSum, SUMS, type Sum, workOut } from "@/core/sums/catalogue";
import { STANDINGS } from "@/words/sources";
import { describeSumFault, listTerms, readTerms, SUM_WORDS } from "@/words/sums";
import { formatQuantity, type Units } from "@/words/units";
import type { CliOutcome } from "./outcome";

/** `sum` by itself lists all; `sum ID name=value …` works one out. */
export function sum(args: readonly string[]): CliOutcome {
  const flags = args.filter((arg) => arg.startsWith("--"));
  const unknown = flags.find((flag) => flag !== "--json" && flag !== "--imperial");
  if (unknown) return refuse(`${unknown} is not known here.`);
  const json = flags.includes("--json");
  const units: Units = flags.includes("--imperial") ? "imperial" : "metric";
  const [id, ...given] = args.filter((arg) => !arg.startsWith("--"));
  if (id === undefined)
    return { code: 0, out: json ? print(SUMS.map(toEntry)) : `${SUMS.map(toLine).join("\n")}\n`, err: "" };
  const found = findSum(id);
  if (!found) return refuse(`There is no sum ${JSON.stringify(id)}. "schleuse sum" lists them.`);
  const read = readTerms(found, given, units);
  if (!read.ok) return refuse(read.reason);
  const outcome = workOut(found, read.values);
  if (!outcome.ok) return refuse(describeSumFault(outcome.fault, found, units));
  const { quantity } = found.result;
  if (json) {
    const terms = found.terms.map((term) => ({ ...toTerm(found, term.name), value: read.values[term.name] }));
    return {
      code: 0,
      out: print({ ...toEntry(found), terms, result: { ...toTerm(found, null), value: outcome.value } }),
      err: "",
    };
  }
  const words = SUM_WORDS[found.id];
  const lines = [
    words.title,
    ...found.terms.map(
      ({ name, quantity: kind }) =>
        `  ${name}  ${words.terms[name]}: ${formatQuantity(read.values[name]!, kind, units)}`,
    ),
    `${found.result.name}  ${words.result}: ${formatQuantity(outcome.value, quantity, units)}`,
    `${words.formula}. ${words.source} (${STANDINGS[found.standing].short}).`,
    words.plain,
  ];
  return { code: 0, out: `${lines.join("\n")}\n`, err: "" };
}

const refuse = (reason: string): CliOutcome => ({ code: 2, out: "", err: `${reason}\n` });
const print = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;
const toLine = (one: Sum): string => `${one.id.padEnd(18)}${SUM_WORDS[one.id].title}: ${listTerms(one)}`;

/** The unit each quantity is kept and given in. */
const UNITS: Readonly<Record<string, string>> = {
  length: "mm",
  volume: "L",
  slope: "mm/m",
  ratio: "1",
  velocity: "m/s",
  flow: "L/s",
  angle: "deg",
  days: "days",
  count: "1",
  times: "1",
  seconds: "s",
  losses: "1",
  roughness: "s/m^(1/3)",
  volumePerDay: "L/day",
  pressure: "Pa",
  weeks: "weeks",
  hours: "h",
  weight: "kg",
  force: "kN",
  temperature: "°C",
  area: "mm²",
  heatLoss: "W/K",
  power: "W",
  waterPressure: "kPa",
  grams: "g",
  concentration: "g/L",
  dose: "mJ/cm²",
};

function toTerm(one: Sum, name: string | null) {
  const words = SUM_WORDS[one.id];
  const term = one.terms.find((t) => t.name === name);
  if (!term)
    return {
      name: one.result.name,
      what: words.result,
      quantity: one.result.quantity,
      unit: UNITS[one.result.quantity],
    };
  const { quantity, least, most } = term;
  return { name: term.name, what: words.terms[term.name], quantity, unit: UNITS[quantity], least, most };
}

function toEntry(one: Sum) {
  const { title, formula, source } = SUM_WORDS[one.id];
  return {
    id: one.id,
    title,
    formula,
    terms: one.terms.map(({ name }) => toTerm(one, name)),
    result: toTerm(one, null),
    source,
    standing: one.standing,
  };
}
