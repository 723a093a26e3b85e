import { MIGRATIONS } from "./migrations";
import { type ParseOutcome, parseDesign, parseDesignText } from "./parseDesign";

/** Checks an unknown value of any version against the schema and against itself. */
export const readDesign = (value: unknown): ParseOutcome => parseDesign(value, MIGRATIONS);

/** Reads the text of a design file of any version. Never throws; every refusal names its place. */
export const readDesignText = (text: string): ParseOutcome => parseDesignText(text, MIGRATIONS);
