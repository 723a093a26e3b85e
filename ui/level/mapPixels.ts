import type { StandingMap } from "@/core/evaluate/standingMap";

/** Ink and ground of a state, with the pattern that tells it apart without colour. */
export type StateInk = { readonly ground: Rgb; readonly ink: Rgb };
type Rgb = readonly [number, number, number];

// Which pixels of a state bear ink: none, dots, slanted strokes, a lattice. In the order of STANDING_STATES.
const PATTERNS: readonly ((x: number, y: number) => boolean)[] = [
  () => false,
  (x, y) => x % 6 < 2 && y % 6 < 2,
  (x, y) => (x + y) % 6 < 2,
  (x, y) => (x + y) % 6 < 2 || (x - y + 6000) % 6 < 2,
];

/**
 * Paints a standing map for a screen whose right is nose up and whose top is left side up: where the bubble floats to.
 * `pixels` is the side of the picture.
 */
export function paintStandingMap(map: StandingMap, pixels: number, inks: readonly StateInk[]): Uint8ClampedArray {
  const out = new Uint8ClampedArray(pixels * pixels * 4);
  // pitch above 0 is nose down, and the nose points right, so the bubble goes left; roll above 0 is left side up, and left is
  // up on the screen: both run against the map
  const cells = Array.from(
    { length: pixels },
    (_, i) => map.size - 1 - Math.min(map.size - 1, Math.floor((i / pixels) * map.size)),
  );
  for (let y = 0, at = 0; y < pixels; y++) {
    const row = cells[y]! * map.size;
    for (let x = 0; x < pixels; x++, at += 4) {
      const state = map.states[row + cells[x]!]!;
      const { ground, ink } = inks[state]!;
      const colour = PATTERNS[state]!(x, y) ? ink : ground;
      out[at] = colour[0];
      out[at + 1] = colour[1];
      out[at + 2] = colour[2];
      out[at + 3] = 255;
    }
  }
  return out;
}

/** "#a81f14" or "#fff" as red, green and blue. */
export function parseHex(hex: string): Rgb {
  const text = hex.trim().replace("#", "");
  const full = text.length === 3 ? [...text].map((c) => c + c).join("") : text;
  const n = Number.parseInt(full, 16);
  return [(n >> 16) & 255, (n >> 8) & 255, n & 255];
}
