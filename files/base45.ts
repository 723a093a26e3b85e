/** The letters a code of dots packs tightest: two in eleven bits, where any other letter takes eight. */
const LETTERS = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ $%*+-./:";
const VALUES = new Map([...LETTERS].map((letter, i) => [letter, i]));

/** Bytes as letters, two bytes in three. Source: base 45 [P: RFC 9285]. Example: "AB" → "BB8". */
export function toBase45(bytes: Uint8Array): string {
  let text = "";
  for (let i = 0; i < bytes.length; i += 2) {
    const isPair = i + 1 < bytes.length;
    const value = isPair ? bytes[i]! * 256 + bytes[i + 1]! : bytes[i]!;
    text += LETTERS[value % 45]! + LETTERS[Math.floor(value / 45) % 45]!;
    if (isPair) text += LETTERS[Math.floor(value / 2025)]!;
  }
  return text;
}

/** The bytes again; throws a RangeError where the letters are none of these or stand for no byte. Source: as above. */
export function fromBase45(text: string): Uint8Array {
  const bytes: number[] = [];
  for (let i = 0; i < text.length; i += 3) {
    const group = [...text.slice(i, i + 3)].map((letter) => VALUES.get(letter) ?? Number.NaN);
    const value = group.reduce((sum, one, at) => sum + one * 45 ** at, 0);
    const isPair = group.length === 3;
    if (group.length === 1 || !(value < (isPair ? 65_536 : 256))) throw new RangeError(`No byte at letter ${i + 1}`);
    bytes.push(...(isPair ? [value >> 8, value & 255] : [value]));
  }
  return Uint8Array.from(bytes);
}
