import Papa from "papaparse";
import { handOut } from "./handOut";

/** Hands a table out as CSV; what a spreadsheet would take for a formula is neutralised. */
export function handOutCsv(name: string, rows: readonly Readonly<Record<string, string | number>>[]): void {
  handOut(name, `${Papa.unparse([...rows], { escapeFormulae: true })}\r\n`, "text/csv");
}
