import Papa from "papaparse";
import { type BuildRecord, PART_STATES, type PartState } from "@/core/record/record";
import { type GoodsRow, PART_STATE_NAMES } from "@/words/goods";

type Listed = { readonly title: string; readonly rows: readonly GoodsRow[] };
type Kept = Pick<BuildRecord, "parts" | "prices">;

/** The parts with how they stand, price and shop; what a spreadsheet would take for a formula is neutralised. */
export function writeGoodsCsv(groups: readonly Listed[], { parts, prices = {} }: Kept): string {
  const rows = groups.flatMap(({ title, rows: own }) =>
    own.map(({ key, amount, name }) => ({
      counter: title,
      amount,
      part: name,
      state: PART_STATE_NAMES[parts[key] ?? "wanted"],
      price: prices[key]?.price ?? "",
      shop: prices[key]?.shop ?? "",
    })),
  );
  return `${Papa.unparse(rows, { escapeFormulae: true })}\r\n`;
}

export type GoodsCsvOutcome =
  | {
      readonly ok: true;
      readonly parts: BuildRecord["parts"];
      readonly prices: NonNullable<BuildRecord["prices"]>;
      /** Lines left out, each with its reason. */
      readonly skipped: readonly string[];
    }
  | { readonly ok: false; readonly sentence: string };

const MOST_LINES = 5_000;

/** Reads states, prices and shops back, part by part; what is no part of this design is told by its line and left out. */
export function readGoodsCsv(text: string, rows: readonly GoodsRow[]): GoodsCsvOutcome {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, "").replace(/\r\n?/g, "\n"), {
    skipEmptyLines: true,
  });
  const broken = errors.find(({ type }) => type === "Quotes");
  if (broken) return { ok: false, sentence: `Not readable at line ${(broken.row ?? 0) + 1}: ${broken.message}` };
  const [head = [], ...lines] = data;
  const names = head.map((name) => name.trim().toLowerCase());
  const [part, state, price, shop] = ["part", "state", "price", "shop"].map((name) => names.indexOf(name)) as [
    number,
    number,
    number,
    number,
  ];
  if (part < 0) {
    return {
      ok: false,
      sentence: `The first line must name the columns, "part" among them; it has ${names.join(", ") || "nothing"}.`,
    };
  }
  if (lines.length > MOST_LINES) return { ok: false, sentence: "More than 5,000 lines: that is no parts list." };
  const keyOf = new Map(
    rows.flatMap(({ key, name }) => [[key.toLowerCase(), key] as const, [name.toLowerCase(), key]]),
  );
  const parts: Record<string, PartState> = {};
  const prices: Record<string, { price: number | null; shop: string }> = {};
  const skipped: string[] = [];
  for (const [i, line] of lines.entries()) {
    const cell = (column: number) => (column < 0 ? "" : (line[column] ?? "").trim().replace(/^'(?=[=+\-@])/, ""));
    const key = keyOf.get(cell(part).toLowerCase());
    const cost = cell(price) === "" ? null : Number(cell(price).replace(",", "."));
    const stands = readState(cell(state));
    if (key === undefined) skipped.push(`line ${i + 2}: “${cell(part)}” is no part of this design`);
    else if (cost !== null && !(cost >= 0 && cost <= 100_000))
      skipped.push(`line ${i + 2}: ${cell(price)} is no price`);
    else if (stands === null) skipped.push(`line ${i + 2}: “${cell(state)}” is no state; use ${STATES}`);
    else {
      if (stands !== undefined) parts[key] = stands;
      if (cost !== null || cell(shop) !== "") prices[key] = { price: cost, shop: cell(shop).slice(0, 60) };
    }
  }
  return { ok: true, parts, prices, skipped };
}

const STATES = PART_STATES.map((state) => PART_STATE_NAMES[state]).join(", ");

// Undefined where the cell is empty, null where it says something else.
function readState(text: string): PartState | null | undefined {
  if (text === "") return undefined;
  const wanted = text.toLowerCase();
  return PART_STATES.find((state) => state === wanted || PART_STATE_NAMES[state].toLowerCase() === wanted) ?? null;
}
