import {
  cToF,
  fToC,
  inPerFtToMmPerM,
  inToMm,
  KG_PER_LB,
  KPA_PER_PSI,
  L_PER_US_GAL,
  lToUsGal,
  MM_PER_FT,
  MM_PER_IN,
  mmPerMToInPerFt,
  mmToIn,
  N_PER_LBF,
  PA_PER_IN_WATER,
} from "@/core/quantity/convert";
import type { Quantity } from "@/core/workings/working";

export type Units = "metric" | "imperial";

const MINUS = "\u2212";
const THIN = "\u00a0";

/** A number as people write it: a real minus, no trailing noise, never "−0". */
export function formatNumber(value: number, decimals: number): string {
  if (!Number.isFinite(value)) return value > 0 ? "no bound" : "none";
  const text = Math.abs(value).toFixed(decimals);
  return value < 0 && Number(text) !== 0 ? `${MINUS}${text}` : text;
}

/** A length without its unit: millimetres, or inches in sixteenths. */
export function formatLengthFigure(lengthMm: number, units: Units): string {
  if (units === "imperial") return formatInches(mmToIn(lengthMm));
  const isWhole = Math.abs(lengthMm - Math.round(lengthMm)) < 0.05;
  return formatNumber(lengthMm, isWhole || Math.abs(lengthMm) >= 100 ? 0 : 1);
}

export const lengthUnit = (units: Units): string => (units === "metric" ? "mm" : "in");

export function formatLength(lengthMm: number, units: Units): string {
  return `${formatLengthFigure(lengthMm, units)}${THIN}${lengthUnit(units)}`;
}

/** A length of pipe as it is bought, from metres. */
export function formatRun(lengthM: number, units: Units): string {
  const feet = (lengthM * 1000) / MM_PER_FT;
  return units === "metric" ? `${formatNumber(lengthM, 1)}${THIN}m` : `${formatNumber(feet, 1)}${THIN}ft`;
}

/** So little water or sealant that it is measured out in a cup; or a rate of it with "/min". */
export function formatMl(ml: number, decimals: number, units: Units, per: "" | "/min" = ""): string {
  return units === "metric"
    ? `${formatNumber(ml, decimals)}${THIN}mL${per}`
    : `${formatNumber(ml / ML_PER_FL_OZ, decimals + 1)}${THIN}fl oz${per}`;
}

/** US fluid ounce [P]. */
const ML_PER_FL_OZ = 29.5735;

function formatInches(inches: number): string {
  const sixteenths = Math.round(Math.abs(inches) * 16);
  const sign = inches < 0 && sixteenths > 0 ? MINUS : "";
  const whole = Math.floor(sixteenths / 16);
  let [over, under] = [sixteenths % 16, 16];
  if (over === 0) return `${sign}${whole}`;
  while (over % 2 === 0) [over, under] = [over / 2, under / 2];
  return whole === 0 ? `${sign}${over}/${under}` : `${sign}${whole} ${over}/${under}`;
}

/** A figure and its unit apart, for columns and for fields; a unit of "" stands for none. */
export type FigureParts = { readonly figure: string; readonly unit: string };

/** Any quantity in the reader's units, figure and unit apart. */
export function formatParts(value: number, quantity: Quantity, units: Units): FigureParts {
  const imperial = units === "imperial";
  const pick = (metric: FigureParts, us: FigureParts): FigureParts => (imperial ? us : metric);
  const part = (figure: string, unit: string): FigureParts => ({ figure, unit });
  const gallons = formatNumber(lToUsGal(value), Math.abs(lToUsGal(value)) < 1 ? 2 : 1);
  switch (quantity) {
    case "length":
      return part(formatLengthFigure(value, units), lengthUnit(units));
    case "volume":
      return pick(
        part(formatNumber(value, value === 0 ? 0 : value < 1 ? 2 : 1), "L"),
        part(value === 0 ? "0" : gallons, "gal"),
      );
    case "volumePerDay":
      return pick(part(formatNumber(value, 1), "L/day"), part(gallons, "gal/day"));
    case "slope":
      return pick(
        part(formatNumber(value, Math.abs(value) < 10 ? 1 : 0), "mm/m"),
        part(formatNumber(mmPerMToInPerFt(value), 2), "in/ft"),
      );
    case "velocity":
      return pick(part(formatNumber(value, 2), "m/s"), part(formatNumber((value * 1000) / MM_PER_FT, 2), "ft/s"));
    case "flow":
      return pick(part(formatNumber(value * 60, 1), "L/min"), part(formatNumber(lToUsGal(value * 60), 2), "gal/min"));
    case "pressure":
      return pick(part(formatNumber(value, 0), "Pa"), part(formatNumber(value / PA_PER_IN_WATER, 1), "in water"));
    case "angle":
      return part(formatNumber(value, 1), "°");
    case "days":
      return part(formatNumber(value, 1), "days");
    case "weeks":
      return part(formatNumber(value, value < 10 ? 1 : 0), "weeks");
    case "hours":
      return part(formatNumber(value, value < 10 ? 1 : 0), "h");
    case "force":
      return pick(part(formatNumber(value, 2), "kN"), part(formatNumber((value * 1000) / N_PER_LBF, 0), "lbf"));
    case "weight":
      return pick(part(formatNumber(value, 0), "kg"), part(formatNumber(value / KG_PER_LB, 0), "lb"));
    case "temperature":
      return pick(part(formatNumber(value, 0), "°C"), part(formatNumber(cToF(value), 0), "°F"));
    case "area":
      return pick(part(formatNumber(value / 100, 0), "cm²"), part(formatNumber(value / MM_PER_IN ** 2, 1), "sq in"));
    case "heatLoss":
      return part(formatNumber(value, 2), "W/K");
    case "film":
      return part(formatNumber(value, 0), "W/m²K");
    case "conductivity":
      return part(formatNumber(value, 3), "W/mK");
    case "altitude":
      return pick(part(formatNumber(value, 0), "m"), part(formatNumber((value * 1000) / MM_PER_FT, 0), "ft"));
    case "power":
      return part(formatNumber(value, 0), "W");
    case "waterPressure":
      return pick(
        part(formatNumber(value, Math.abs(value) < 10 ? 2 : 0), "kPa"),
        part(formatNumber(value / KPA_PER_PSI, 1), "psi"),
      );
    case "grams":
      return part(formatNumber(value, 1), "g");
    case "concentration":
      return part(formatNumber(value, 3), "g/L");
    case "dose":
      return part(formatNumber(value, 1), "mJ/cm²");
    case "ratio":
      return part(formatNumber(value * 100, 0), "%");
    case "losses":
      return part(formatNumber(value, 2), "");
    case "roughness":
      return part(formatNumber(value, 3), "");
    case "count":
      return part(formatNumber(value, 0), "");
    case "times":
      return part(formatNumber(value, Number.isInteger(value) ? 0 : 2), "");
    case "seconds":
      return part(formatNumber(value, Number.isInteger(value) ? 0 : 1), "s");
  }
}

/** Any quantity with its unit, in the reader's units. */
export function formatQuantity(value: number, quantity: Quantity, units: Units): string {
  const { figure, unit } = formatParts(value, quantity, units);
  return unit === "" || unit === "°" ? `${figure}${unit}` : `${figure}${THIN}${unit}`;
}

export type ReadOutcome =
  | { readonly ok: true; readonly value: number }
  | { readonly ok: false; readonly reason: ReadReason };
export type ReadReason = "empty" | "notANumber" | "unknownUnit";

const LENGTH_UNITS: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_IN,
  inch: MM_PER_IN,
  inches: MM_PER_IN,
  '"': MM_PER_IN,
  "″": MM_PER_IN,
  ft: MM_PER_FT,
  foot: MM_PER_FT,
  feet: MM_PER_FT,
  "'": MM_PER_FT,
  "′": MM_PER_FT,
};
const VOLUME_UNITS: Readonly<Record<string, number>> = { l: 1, litre: 1, litres: 1, ml: 0.001, gal: L_PER_US_GAL };

/** A typed length, mm: "412", "41.2 cm", "16 1/4 in", "5 ft 2 1/2"; a bare number is in the reader's unit. */
export function parseLength(text: string, units: Units): ReadOutcome {
  return parseParts(text, LENGTH_UNITS, units === "metric" ? 1 : inToMm(1));
}

/** A typed volume, L: "80", "80 L", "20 gal". */
export function parseVolume(text: string, units: Units): ReadOutcome {
  return parseParts(text, VOLUME_UNITS, units === "metric" ? 1 : L_PER_US_GAL);
}

/** A typed plain number; a comma may stand for the point. */
export function parsePlain(text: string): ReadOutcome {
  return parseParts(text.replace(/°|%/g, ""), {}, 1);
}

/** Any typed quantity in its stored unit (mm, L, mm/m, m/s, L/s, share of 1, degrees): what `formatParts` shows, read back. */
export function parseQuantity(text: string, quantity: Quantity, units: Units): ReadOutcome {
  const imperial = units === "imperial";
  switch (quantity) {
    case "length":
      return parseLength(text, units);
    case "volume":
    case "volumePerDay":
      return parseVolume(text.replace(/\/\s*day/i, ""), units);
    case "slope":
      return parseWithUnit(text, SLOPE_UNITS, imperial ? "in/ft" : "mm/m");
    case "velocity":
      return parseWithUnit(text, VELOCITY_UNITS, imperial ? "ft/s" : "m/s");
    case "flow":
      return parseWithUnit(text, FLOW_UNITS, imperial ? "gal/min" : "l/min");
    case "pressure":
      return parseWithUnit(text.replace(/in\s+water/i, "inwater"), PRESSURE_UNITS, imperial ? "inwater" : "pa");
    case "force":
      return parseWithUnit(text, { kn: 1, lbf: N_PER_LBF / 1000 }, imperial ? "lbf" : "kn");
    case "weight":
      return parseWithUnit(text, { kg: 1, lb: KG_PER_LB }, imperial ? "lb" : "kg");
    case "temperature":
      return parseTemperature(text, imperial);
    case "heatLoss":
      return parseWithUnit(text, { "w/k": 1 }, "w/k");
    case "film":
      return parseWithUnit(text.replace("²", "2"), { "w/m2k": 1 }, "w/m2k");
    case "conductivity":
      return parseWithUnit(text, { "w/mk": 1 }, "w/mk");
    case "altitude":
      return parseWithUnit(text, { m: 1, ft: MM_PER_FT / 1000 }, imperial ? "ft" : "m");
    case "power":
      return parseWithUnit(text, { w: 1 }, "w");
    case "waterPressure":
      return parseWithUnit(text, { kpa: 1, bar: 100, psi: KPA_PER_PSI, pa: 0.001 }, imperial ? "psi" : "kpa");
    case "area":
      return parseWithUnit(
        text.replace(/\s*(cm|mm|m)(²|2)/i, "sq$1").replace(/sq\s+in/i, "sqin"),
        { sqcm: 100, sqmm: 1, sqm: 1e6, sqin: MM_PER_IN ** 2 },
        imperial ? "sqin" : "sqcm",
      );
    case "angle":
      return parsePlain(text.replace(/\s*(°|deg)$/i, ""));
    case "ratio":
      return parseWithUnit(text, { "%": 1 / 100 }, "%");
    default:
      return parsePlain(text);
  }
}

// A scale with another nought: the letter says which, a bare figure is in the reader's own.
function parseTemperature(text: string, imperial: boolean): ReadOutcome {
  const isFahrenheit = /f\s*$/i.test(text) || (imperial && !/c\s*$/i.test(text));
  const read = parsePlain(text.replace(/[cf]\s*$/i, ""));
  return read.ok && isFahrenheit ? { ok: true, value: fToC(read.value) } : read;
}

const SLOPE_UNITS: Readonly<Record<string, number>> = { "mm/m": 1, "in/ft": inPerFtToMmPerM(1), "%": 10 };
const PRESSURE_UNITS: Readonly<Record<string, number>> = { pa: 1, kpa: 1000, mbar: 100, inwater: PA_PER_IN_WATER };
const VELOCITY_UNITS: Readonly<Record<string, number>> = { "m/s": 1, "ft/s": MM_PER_FT / 1000 };
const FLOW_UNITS: Readonly<Record<string, number>> = {
  "l/s": 1,
  "l/min": 1 / 60,
  "gal/min": L_PER_US_GAL / 60,
};

// One figure with one unit of a ratio; a bare figure is in the reader's own.
function parseWithUnit(text: string, unitTable: Readonly<Record<string, number>>, bareUnit: string): ReadOutcome {
  const unit = /[a-z%/]+$/i.exec(text.trim())?.[0] ?? "";
  const size = unitTable[unit.toLowerCase() || bareUnit];
  if (size === undefined) return { ok: false, reason: /\d/.test(text) ? "unknownUnit" : "notANumber" };
  const read = parseParts(text.trim().slice(0, text.trim().length - unit.length), {}, 1);
  return read.ok ? { ok: true, value: read.value * size } : read;
}

/** Why a typed figure was not understood, and what to type instead. */
export function describeRead(reason: ReadReason, quantity: Quantity, units: Units): string {
  const { unit } = formatParts(0, quantity, units);
  const example = quantity === "length" ? (units === "metric" ? "412 or 41.2 cm" : "16 1/4") : "12.5";
  if (reason === "empty") return `Type a number, such as ${example}.`;
  if (reason === "unknownUnit") return `That unit is not known here. Type a number${unit === "" ? "" : ` in ${unit}`}.`;
  return `That is not a number. Type one such as ${example}.`;
}

// a fraction stands after a space or a dash, so that 1 1/2 and 1-1/2 are one and a half
const FIGURE = /^(\d+)\/(\d+)|^(\d+(?:\.\d+)?|\.\d+)(?:(?:\s+|\s*-\s*)(\d+)\/(\d+))?/;

const VULGAR: Readonly<Record<string, string>> = {
  "½": "1/2",
  "¼": "1/4",
  "¾": "3/4",
  "⅛": "1/8",
  "⅜": "3/8",
  "⅝": "5/8",
  "⅞": "7/8",
  "⅓": "1/3",
  "⅔": "2/3",
};

// As people paste and type it: single signs for fractions, curly quotes, a dash between feet and inches.
const spellOut = (text: string): string =>
  text
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (sign) => ` ${VULGAR[sign]}`)
    .replace(/(\d)\s*\u2044\s*(\d)/g, "$1/$2")
    .replace(/[\u2018\u2019\u02bc]/g, "'")
    .replace(/[\u201c\u201d]|''/g, '"')
    .replace(/(['′]|ft|feet|foot)\s*[-–]\s*(?=\d)/gi, "$1 ");

// Figures with units follow one another ("5 ft 2 1/2 in"); a sign stands once, before them all.
function parseParts(text: string, unitTable: Readonly<Record<string, number>>, bareUnit: number): ReadOutcome {
  let rest = spellOut(text).trim().replace(/,/g, ".").toLowerCase();
  if (rest === "") return { ok: false, reason: "empty" };
  const sign = /^[-−]/.test(rest) ? -1 : 1;
  rest = rest.replace(/^[-−+]\s*/, "");
  let sum = 0;
  let last = 0;
  while (rest !== "") {
    const figure = FIGURE.exec(rest);
    if (!figure) return { ok: false, reason: "notANumber" };
    const [, alone, below, whole, over, under] = figure;
    const value = alone ? Number(alone) / Number(below) : Number(whole) + (over ? Number(over) / Number(under) : 0);
    rest = rest.slice(figure[0].length).trim();
    const unit = /^[a-z"″'′]+/.exec(rest)?.[0] ?? "";
    rest = rest.slice(unit.length).trim();
    // after feet a bare figure is inches
    const size = unit === "" ? (last === MM_PER_FT ? MM_PER_IN : bareUnit) : unitTable[unit];
    if (size === undefined) return { ok: false, reason: "unknownUnit" };
    if (last !== 0 && size >= last) return { ok: false, reason: "notANumber" };
    sum += value * size;
    last = size;
  }
  return Number.isFinite(sum) ? { ok: true, value: sign * sum } : { ok: false, reason: "notANumber" };
}

/** Days as they are spoken: whole ones without a tenth. */
export const formatDays = (days: number): string =>
  days === 1 ? "1 day" : `${formatNumber(days, Number.isInteger(days) ? 0 : 1)} days`;
