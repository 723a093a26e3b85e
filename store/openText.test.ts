import { NO_RECORDS, type Records, writeFileText } from "@/core/record/file";
import { readDemo, readDemoText } from "@/tests/demoRigs";
import "@/core/evaluate/fitted";
import { openText, refuseTooLarge } from "./openText";
import { loadDesign, workbench } from "./workbench";

const offered: string[] = [];
const session = {
  adopt: async (design: Parameters<typeof loadDesign>[0]) => loadDesign(design),
  offerFile: (design: { readonly name: string }) => void offered.push(design.name),
};
const open = () => workbench.getState().history!.design;

beforeEach(() => {
  workbench.setState(workbench.getInitialState(), true);
  loadDesign(readDemo("otter"));
});

test("a bad file is refused with a sentence and the open design stays; a good one is opened and said so", async () => {
  const before = open();
  await openText(session, undefined, "{", "notes.txt");
  expect(open()).toBe(before);
  expect(workbench.getState().notice!.text).toMatch(/^notes.txt was not opened\. .*JSON/);
  await openText(session, undefined, readDemoText("kranich"), "kranich.json");
  expect(open().name).toBe("Kranich");
  expect(workbench.getState().notice!.text).toBe("kranich.json is open.");
});

test("what is kept beside a design in its file is handed on under the id it got", async () => {
  const adopted: [string, Records][] = [];
  const records = {
    read: () => Promise.reject(new Error("not asked for")),
    adopt: async (id: string, beside: Records) => void adopted.push([id, beside]),
  };
  await openText(session, records, readDemoText("kranich"), "kranich.json");
  expect(adopted).toEqual([]);
  const entry = {
    id: "n1",
    at: "2026-05-01T10:00",
    kind: "note",
    storeId: null,
    amount: null,
    note: "Valve stiff",
  } as const;
  const file = writeFileText(readDemo("kranich"), { ...NO_RECORDS, log: [entry] });
  await openText(session, records, file, "kranich.json");
  expect(adopted.map(([id, { log }]) => [id, log])).toEqual([["kranich", [entry]]]);
  await openText(session, records, file.replace('"kind": "note"', '"kind": "nonsense"'), "kranich.json");
  expect(workbench.getState().notice!.text).toMatch(/could not be read and was left out/);
});

test("a file larger than any design is refused before it is read", () => {
  expect(refuseTooLarge(1_000, "small.json")).toBe(false);
  expect(refuseTooLarge(1e9, "film.mp4")).toBe(true);
  expect(workbench.getState().notice!.text).toMatch(/^film.mp4 was not opened\. /);
});
