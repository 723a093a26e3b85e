import { deflateSync, inflateSync, strFromU8, strToU8 } from "fflate";
import { fromBase45, toBase45 } from "./base45";

/** Letters of data in one frame: with its head just within a code of 73 dots a side, which a phone's camera reads at arm's length. */
const FRAME_LETTERS = 642;
const MARK = "SL2";
/** Between the parts of a head: a letter that codes pack as tight as the data. */
const APART = ":";
/** More than this is no sheet of ours: a small code may not unpack into a large one. */
const MOST_BYTES = 2_000_000;
const MOST_FRAMES = 400;

/** A text as a sequence of short frames, packed, numbered, each with the checksum of the whole. */
export function splitFrames(text: string): string[] {
  const packed = toBase45(deflateSync(strToU8(text), { level: 9 }));
  const sum = checksum(packed);
  const count = Math.max(1, Math.ceil(packed.length / FRAME_LETTERS));
  return Array.from({ length: count }, (_, i) =>
    [MARK, sum, i + 1, count, packed.slice(i * FRAME_LETTERS, (i + 1) * FRAME_LETTERS)].join(APART),
  );
}

/** What has come in of a sequence so far. */
export type Gathered = {
  readonly sum: string;
  readonly count: number;
  readonly parts: ReadonlyMap<number, string>;
};

/** Takes one frame in, in any order; one of another sequence begins anew, what is no frame of ours changes nothing. */
export function gatherFrame(before: Gathered | null, frame: string): Gathered | null {
  const [mark, sum = "", at = "", of = "", ...rest] = frame.split(APART);
  const [index, count] = [Number(at), Number(of)];
  const isOurs =
    mark === MARK &&
    /^[0-9A-F]{8}$/.test(sum) &&
    Number.isInteger(index) &&
    Number.isInteger(count) &&
    index >= 1 &&
    index <= count &&
    count <= MOST_FRAMES;
  if (!isOurs) return before;
  const known = before && before.sum === sum && before.count === count ? before.parts : new Map<number, string>();
  return { sum, count, parts: new Map(known).set(index, rest.join(APART)) };
}

export type JoinOutcome =
  | { readonly ok: true; readonly text: string }
  /** So many frames are still to come; 0 where all came and do not add up. */
  | { readonly ok: false; readonly missing: number };

/** The text again once every frame has come and the checksum holds. Never throws. */
export function joinFrames({ sum, count, parts }: Gathered): JoinOutcome {
  if (parts.size < count) return { ok: false, missing: count - parts.size };
  const packed = Array.from({ length: count }, (_, i) => parts.get(i + 1) ?? "").join("");
  if (checksum(packed) !== sum) return { ok: false, missing: 0 };
  try {
    const bytes = inflateSync(fromBase45(packed), { out: new Uint8Array(MOST_BYTES) });
    return { ok: true, text: strFromU8(bytes) };
  } catch {
    return { ok: false, missing: 0 };
  }
}

// Fowler, Noll and Vo, 32 bits: enough to tell a frame that was read wrongly [P: FNV-1a, from memory].
function checksum(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) {
    hash ^= text.charCodeAt(i);
    hash = Math.imul(hash, 0x01000193) >>> 0;
  }
  return hash.toString(16).toUpperCase().padStart(8, "0");
}
