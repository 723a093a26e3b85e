import { DEMO_NAMES, readDemo, readDemoText } from "@/tests/demoRigs";
import { NO_RECORDS, parseFileText, writeFileText } from "./file";
import { EMPTY_JOURNEY, type Stop } from "./journey";
import { type BuildRecord, buildRecord, EMPTY_BUILD, type LogEntry } from "./record";

const line: LogEntry = {
  id: "e1",
  at: "2026-05-01T12:00",
  kind: "dump",
  storeId: "grey",
  amount: null,
  note: "at the mill",
};

const stop: Stop = {
  id: "mill",
  name: "Mill pond",
  latDeg: 51.2,
  lonDeg: 9.4,
  arrive: "2026-05-01",
  nights: 2,
  has: { grey: true, toilet: false, fresh: true },
  isClosed: false,
  cost: 5,
  stands: null,
  note: "",
};

test.each(DEMO_NAMES)("%s with its records comes back as it was; without any it is the design alone", (name) => {
  const design = readDemo(name);
  const records = {
    build: { done: [{ stepId: "hangTank:grey", on: "2026-05-01" }], parts: { trap: "came" as const } },
    log: [line],
    journey: { stops: [stop] },
    photos: { p1: { type: "image/jpeg" as const, base64: "AAECAw==" } },
  };
  const read = parseFileText(writeFileText(design, records));
  expect(read).toMatchObject({ records, lostLines: 0, lostBuild: false, lostJourney: false, lostPhotos: 0 });
  if (read.design.ok) expect(read.design.design).toEqual(design);
  expect(read.design.ok).toBe(true);
  expect(writeFileText(design, { build: EMPTY_BUILD, log: [], journey: EMPTY_JOURNEY, photos: {} })).toBe(
    readDemoText(name),
  );
  expect(parseFileText(readDemoText(name)).design).toMatchObject({ ok: true });
});

test("what beside the design cannot be read is counted, and takes nothing else along", () => {
  const design = readDemo("kranich");
  const text = JSON.stringify({
    format: "schleuse-file",
    version: 1,
    design,
    build: { done: 3 },
    log: [line, { at: "soon" }, 7],
    journey: { stops: [{ name: "nowhere" }] },
  });
  expect(parseFileText(text)).toMatchObject({
    design: { ok: true },
    lostLines: 2,
    lostBuild: true,
    lostJourney: true,
    records: { log: [line] },
  });
});

test("a file of a version to come, a spoilt design in it, and no file at all are refused with their place", () => {
  expect(parseFileText(JSON.stringify({ format: "schleuse-file", version: 2 })).design).toMatchObject({
    ok: false,
    faults: [{ code: "unknownVersion" }],
  });
  expect(parseFileText(JSON.stringify({ format: "schleuse-file", version: 1, design: {} })).design).toMatchObject({
    ok: false,
  });
  expect(parseFileText("{").design).toMatchObject({ ok: false, faults: [{ code: "notJson" }] });
  expect(parseFileText("null").design).toMatchObject({ ok: false });
});

test("whatever single thing a record holds, its file brings it back", () => {
  const design = readDemo("kranich");
  const parts: readonly Partial<BuildRecord>[] = [
    { done: [{ stepId: "hangTank:grey", on: "2026-05-01" }] },
    { parts: { trap: "came" } },
    { order: ["hangTank:grey"] },
    { saws: [38] },
    { steps: [{ id: "own:worktop", name: "Worktop", hours: 3 }] },
    { rules: [{ firstId: "own:worktop", thenId: "closeUp:all" }] },
    { prices: { trap: { price: 4, shop: "the corner" } } },
    { trials: [{ id: "t1", trialId: "trialTank:grey", at: "2026-05-01T12:00", result: "held", note: "" }] },
    { measured: [{ part: { kind: "tank", id: "grey" }, offMm: { x: 1, y: 0, z: 0 }, on: "2026-05-01" }] },
  ];
  // a field that is added to the record is missing here until it is tried, too
  expect(new Set(parts.flatMap((part) => Object.keys(part)))).toEqual(new Set(Object.keys(buildRecord.shape)));
  for (const part of parts) {
    const records = { ...NO_RECORDS, build: { ...EMPTY_BUILD, ...part } };
    expect(parseFileText(writeFileText(design, records)).records.build).toEqual(records.build);
  }
});

test("photographs that are no pictures, too large or strangely named are left out and counted", () => {
  const design = readDemo("kranich");
  const photos = {
    p1: { type: "image/jpeg", base64: "AAEC" },
    p2: { type: "text/html", base64: "AAEC" },
    p3: { type: "image/png", base64: "no picture!" },
    "../p4": { type: "image/png", base64: "AAEC" },
    p5: 7,
  };
  const read = parseFileText(JSON.stringify({ format: "schleuse-file", version: 1, design, photos }));
  expect(read.lostPhotos).toBe(4);
  expect(Object.keys(read.records.photos)).toEqual(["p1"]);
  const none = parseFileText(JSON.stringify({ format: "schleuse-file", version: 1, design, photos: "all of them" }));
  expect([none.lostPhotos, none.records.photos]).toEqual([1, {}]);
});
