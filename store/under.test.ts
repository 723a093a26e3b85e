import "fake-indexeddb/auto";
import fc from "fast-check";
import { evaluate } from "@/core/evaluate/evaluate";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import { writeUnderCards } from "@/words/underCards";
import { isSheet, keepUnderDone, keepUnderSheet, readUnderDone, readUnderSheet } from "./under";

test("a sheet is kept and read back; its ticks are those of its own design", async () => {
  expect(await readUnderSheet()).toBeNull();
  for (const [place, name] of DEMO_NAMES.entries()) {
    const design = readDemo(name);
    const sheet = writeUnderCards(design, evaluate(design), "metric");
    expect(isSheet(JSON.parse(JSON.stringify(sheet)))).toBe(true);
    await keepUnderSheet(sheet);
    expect(await readUnderSheet()).toEqual(sheet);
    await keepUnderDone(design.id, new Set([sheet.cards[place]!.id]));
    expect(await readUnderDone(design.id)).toEqual(new Set([sheet.cards[place]!.id]));
  }
  for (const [place, name] of DEMO_NAMES.entries()) {
    const design = readDemo(name);
    const cards = writeUnderCards(design, evaluate(design), "metric").cards;
    expect(await readUnderDone(design.id)).toEqual(new Set([cards[place]!.id]));
  }
  expect(await readUnderDone("nobody")).toEqual(new Set());
});

test("what is no sheet is none, whatever it is, and nothing throws", () => {
  fc.assert(
    fc.property(fc.anything(), (any) => {
      expect(isSheet(any)).toBe(false);
    }),
  );
  const good = {
    designId: "a",
    name: "A",
    cards: [{ id: "x", group: "steps", title: "T", figures: [["a", "b"]], text: "" }],
  };
  expect(isSheet(good)).toBe(true);
  expect(isSheet({ ...good, cards: [{ ...good.cards[0], figures: [["a"]] }] })).toBe(false);
  expect(isSheet({ ...good, cards: Array.from({ length: 3_000 }, () => good.cards[0]) })).toBe(false);
});
