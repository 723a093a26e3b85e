import fc from "fast-check";
import { GLOSSARY } from "./glossary";
import { findMeaning, listWords, splitAtWords } from "./tradeWords";

test("a text in pieces is the text, each word told once, whatever stands in it", () => {
  const part = fc.oneof(
    fc.constantFrom(...GLOSSARY.flatMap(({ word, also }) => [word, word.toLowerCase(), ...also])),
    fc.constantFrom(" ", ", ", ". ", "-", "the tank", "\u00a0", "12 mm"),
    fc.string({ maxLength: 6 }),
  );
  fc.assert(
    fc.property(fc.array(part, { maxLength: 12 }), (parts) => {
      const text = parts.join("");
      const pieces = splitAtWords(text);
      expect(pieces.map((piece) => piece.text).join("")).toBe(text);
      const words = pieces.flatMap(({ word }) => word ?? []);
      expect(new Set(words).size).toBe(words.length);
      for (const word of words) expect(findMeaning(word).length).toBeGreaterThan(10);
    }),
  );
});

test("every word is found where it stands, but for those that mostly mean something else", () => {
  for (const { word } of GLOSSARY) {
    expect(listWords(`It is the ${word.toLowerCase()}.`)).toEqual(word === "Pitch" ? [] : [word]);
  }
});

test("the longest word is taken, the other forms too, and no part of another word", () => {
  expect(listWords("The trap arm from a trap to its vent")).toEqual(["Trap arm", "Trap", "Breather"]);
  expect(listWords("Use a wye with a bend")).toEqual(["Tee and wye"]);
  expect(listWords("Two seacocks and their weirs")).toEqual(["Seacock", "Weir"]);
  expect(listWords("A trapeze, fallen, ventilated")).toEqual([]);
});
