import fc from "fast-check";
import { fromBase45, toBase45 } from "./base45";

// The worked examples of RFC 9285, sections 4.3 and 4.4; from memory.
test.each([
  ["AB", "BB8"],
  ["Hello!!", "%69 VD92EX0"],
  ["base-45", "UJCLQE7W581"],
  ["ietf!", "QED8WEX0"],
])("%s is written %s, and read again", (plain, written) => {
  expect(toBase45(new TextEncoder().encode(plain))).toBe(written);
  expect(new TextDecoder().decode(fromBase45(written))).toBe(plain);
});

test("any bytes come back, in letters a code packs tight", () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 300 }), (bytes) => {
      const written = toBase45(bytes);
      expect(written).toMatch(/^[0-9A-Z $%*+./:-]*$/);
      expect(written.length).toBe(Math.ceil(bytes.length * 1.5));
      expect(fromBase45(written)).toEqual(bytes);
    }),
  );
});

test("what stands for no byte is refused: another letter, one left over, too large a value", () => {
  for (const bad of ["ab8", "BB8B", "GGW", ":::", "::"]) expect(() => fromBase45(bad)).toThrow(RangeError);
});
