import "fake-indexeddb/auto";
import { parseFileText, writeFileText } from "@/core/record/file";
import { readDemo } from "@/tests/demoRigs";
import { openDatabase } from "./database";
import { createPhotos } from "./photos";
import { createRecords } from "./records";

test("a photograph is kept and read back, is not found in another design, and is gone when taken out", async () => {
  const photos = createPhotos(() => openDatabase(() => undefined, "photos-test"));
  const bytes = Uint8Array.from({ length: 999 }, (_, i) => i % 251);
  const one = await photos.add("kranich", new Blob([bytes], { type: "image/jpeg" }));
  const two = await photos.add("kranich", new Blob([bytes.slice(0, 3)], { type: "image/png" }));
  expect(one).not.toBe(two);
  const back = (await photos.read("kranich", one))!;
  expect(back.type).toBe("image/jpeg");
  expect(new Uint8Array(await back.arrayBuffer())).toEqual(bytes);
  expect(await photos.read("otter", one)).toBeNull();
  await photos.remove("kranich", one);
  expect(await photos.read("kranich", one)).toBeNull();
  expect((await photos.read("kranich", two))!.size).toBe(3);
});

test("photographs of the book go into a file and come out of it in another browser, byte for byte", async () => {
  const here = createRecords(() => openDatabase(() => undefined, "photos-here"));
  const shots = createPhotos(() => openDatabase(() => undefined, "photos-here"));
  const bytes = Uint8Array.from({ length: 70_001 }, (_, i) => (i * 7) % 256);
  const id = await shots.add("kranich", new Blob([bytes], { type: "image/jpeg" }));
  // one that nothing speaks of any more stays behind
  await shots.add("kranich", new Blob([bytes], { type: "image/jpeg" }));
  await here.open("kranich");
  await here.addEntry({
    id: "e1",
    at: "2026-05-01T12:00",
    kind: "leak",
    storeId: null,
    amount: null,
    note: "",
    photos: [id],
  });
  const text = writeFileText(readDemo("kranich"), await here.read("kranich"));
  const { records, lostPhotos } = parseFileText(text);
  expect([Object.keys(records.photos), lostPhotos]).toEqual([[id], 0]);
  const there = createRecords(() => openDatabase(() => undefined, "photos-there"));
  await there.adopt("kranich-2", records);
  const back = await createPhotos(() => openDatabase(() => undefined, "photos-there")).read("kranich-2", id);
  expect(new Uint8Array(await back!.arrayBuffer())).toEqual(bytes);
});
