import "fake-indexeddb/auto";
import { openDatabase } from "./database";
import { createPhotos } from "./photos";

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
