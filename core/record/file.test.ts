import { DEMO_NAMES, readDemo, readDemoText } from "@/tests/demoRigs";
import { parseFileText, writeFileText } from "./file";
import { EMPTY_JOURNEY, type Stop } from "./journey";
import { EMPTY_BUILD, type LogEntry } from "./record";

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
  };
  const read = parseFileText(writeFileText(design, records));
  expect(read).toMatchObject({ records, lostLines: 0, lostBuild: false, lostJourney: false });
  if (read.design.ok) expect(read.design.design).toEqual(design);
  expect(read.design.ok).toBe(true);
  expect(writeFileText(design, { build: EMPTY_BUILD, log: [], journey: EMPTY_JOURNEY })).toBe(readDemoText(name));
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
