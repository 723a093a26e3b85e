import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { cleanName, cleanNote } from "./cleanText";
import { parseDesign } from "./parseDesign";

test.each([
  ["\u001b[31mred\u001b[0m tank", "red tank"],
  ["\u001b]0;title\u0007Tank", "Tank"],
  ["evil\u202egnp.exe", "evil gnp.exe"],
  ["two\nlines\tone", "two lines one"],
  ["M\u00f6we \u6f22\u5b57 \ud83d\ude90", "M\u00f6we \u6f22\u5b57 \ud83d\ude90"],
])("%j is cleaned", (text, clean) => expect(cleanName(text)).toBe(clean));

test("what was cleaned is clean, and a note keeps its lines", () => {
  fc.assert(
    fc.property(fc.string({ unit: "binary" }), (text) => {
      expect(cleanName(cleanName(text))).toBe(cleanName(text));
      expect(cleanNote(cleanNote(text))).toBe(cleanNote(text));
    }),
  );
  expect(cleanNote("first\nsecond\u202e\r\nthird")).toBe("first\nsecond\r\nthird");
});

test("a file's names are cleaned when it is read, and the reader is told; what had nothing to clean is not touched", () => {
  const design = readDemo("otter");
  const dirty = {
    ...design,
    name: "Otter\u202e",
    tanks: design.tanks.map((tank) => ({ ...tank, name: "\u001b[5mTank" })),
  };
  expect(parseDesign(dirty)).toMatchObject({
    ok: true,
    cleaned: true,
    design: { name: "Otter", tanks: [{ name: "Tank" }] },
  });
  expect(parseDesign(design)).toMatchObject({ ok: true, cleaned: false });
});
