import { DEMO_NAMES, readDemo, readDemoText, readOldText } from "@/tests/demoRigs";
import { readStored } from "./readStored";
import { readSlip, writeSlip } from "./slip";

const VERSIONS = [4, 5, 6, 7, 8] as const;

test.each(VERSIONS)(
  "a design that version %d left in the browser opens, from its place and from its slip",
  async (version) => {
    const document = JSON.parse(readOldText(version, "kranich"));
    const stored = await readStored(document);
    expect(stored).toMatchObject({ ok: true, fromVersion: version });
    const slip = await readSlip({ read: () => JSON.stringify({ design: document, over: 3 }), write() {}, clear() {} });
    expect(slip).toEqual({ design: stored.ok && stored.design, over: 3 });
  },
);

test.each(DEMO_NAMES)("%s of today is read as it is", async (name) => {
  const design = readDemo(name);
  expect(await readStored(JSON.parse(readDemoText(name)))).toMatchObject({ ok: true, design });
  const box = new Map<string, string>();
  const place = {
    read: () => box.get("slip") ?? null,
    write: (text: string) => void box.set("slip", text),
    clear: () => void box.clear(),
  };
  expect(await readSlip(place)).toBeNull();
  writeSlip(place, { design, over: null });
  expect(await readSlip(place)).toEqual({ design, over: null });
});

test.each(["", "null", "7", "[]", "{", '{"design":{"format":"schleuse-design","version":0.5}}'])(
  "what lies on a slip as %j is no work of ours",
  async (text) => expect(await readSlip({ read: () => text, write() {}, clear() {} })).toBeNull(),
);

test("what is newer than this, or older than its steps, says so", async () => {
  const of = (version: unknown) => readStored({ ...JSON.parse(readDemoText("kranich")), version });
  expect(await of(10)).toMatchObject({ ok: false, faults: [{ code: "newerVersion" }] });
  for (const version of [0, -1, 1.5, "9"])
    expect(await of(version)).toMatchObject({ ok: false, faults: [{ code: "unknownVersion" }] });
});
