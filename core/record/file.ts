import type { Design } from "../design/design";
import { MOST_BYTES, type ParseOutcome, writeDesignText } from "../design/parseDesign";
import { readDesign, readDesignText } from "../design/readDesign";
import * as z from "../design/z";
import { EMPTY_JOURNEY, type Journey, journey as journeySchema } from "./journey";
import { MOST_PHOTO_LETTERS, type PhotosInFile, readPhotos } from "./photos";
import { type BuildRecord, buildRecord, EMPTY_BUILD, type LogEntry, logEntry } from "./record";

/** A file that carries a design and what is kept beside it; a design by itself is a file too. */
export const FILE_FORMAT = "schleuse-file";
/** A logbook of 20,000 lines is below 6 MB; the rest is for photographs. */
export const MOST_FILE_BYTES = 4 * MOST_BYTES + MOST_PHOTO_LETTERS;

export type Records = {
  readonly build: BuildRecord;
  readonly log: readonly LogEntry[];
  readonly journey: Journey;
  /** Photographs of trials and of the book, by their ids. */
  readonly photos: PhotosInFile;
};

export type FileOutcome = {
  readonly design: ParseOutcome;
  readonly records: Records;
  /** Lines of the book that could not be read, and whether the building could not be. */
  readonly lostLines: number;
  readonly lostBuild: boolean;
  readonly lostJourney: boolean;
  readonly lostPhotos: number;
};

/** Whether nothing at all is kept beside a design: whatever a record comes to hold, a file leaves none of it behind. */
export const isEmptyRecords = ({ build, log, journey }: Records): boolean =>
  log.length === 0 &&
  journey.stops.length === 0 &&
  Object.values(build).every((part) => Object.keys(part).length === 0);

/** A design with its records as the text of a file; without any it is the design alone, as older versions read it. */
export function writeFileText(design: Design, records: Records): string {
  if (isEmptyRecords(records)) return writeDesignText(design);
  return `${JSON.stringify({ format: FILE_FORMAT, version: 1, design, ...records }, null, 1)}\n`;
}

export const NO_RECORDS: Records = { build: EMPTY_BUILD, log: [], journey: EMPTY_JOURNEY, photos: {} };

/** Reads a file of either kind. Never throws; what beside the design cannot be read is left out and counted. */
export function parseFileText(text: string): FileOutcome {
  const plain = (design: ParseOutcome): FileOutcome => ({
    design,
    records: NO_RECORDS,
    lostLines: 0,
    lostBuild: false,
    lostJourney: false,
    lostPhotos: 0,
  });
  if (text.length > MOST_FILE_BYTES) {
    return plain({ ok: false, faults: [{ code: "tooLarge", path: [], bytes: text.length, most: MOST_FILE_BYTES }] });
  }
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch {
    return plain(readDesignText(text));
  }
  if (typeof value !== "object" || value === null || (value as { format?: unknown }).format !== FILE_FORMAT) {
    return plain(readDesignText(text));
  }
  const file = value as {
    readonly version?: unknown;
    readonly design?: unknown;
    readonly build?: unknown;
    readonly log?: unknown;
    readonly journey?: unknown;
    readonly photos?: unknown;
  };
  if (file.version !== 1) {
    return plain({ ok: false, faults: [{ code: "unknownVersion", path: ["version"] }] });
  }
  const build = buildRecord.safeParse(file.build ?? EMPTY_BUILD);
  const lines: readonly unknown[] = Array.isArray(file.log) ? file.log : [];
  const log = lines.flatMap((line): LogEntry[] => {
    const read = z.safeParse(logEntry, line);
    return read.success ? [read.data] : [];
  });
  const journey = journeySchema.safeParse(file.journey ?? EMPTY_JOURNEY);
  const { photos, lost } = readPhotos(file.photos);
  return {
    design: readDesign(file.design),
    records: {
      build: build.success ? build.data : EMPTY_BUILD,
      log,
      journey: journey.success ? journey.data : EMPTY_JOURNEY,
      photos,
    },
    lostLines: lines.length - log.length,
    lostBuild: !build.success,
    lostJourney: !journey.success,
    lostPhotos: lost,
  };
}
