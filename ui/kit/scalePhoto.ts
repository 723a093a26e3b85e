/** Longest side a photograph is kept at, px: enough to read a gauge. */
const MOST_PX = 1_600;
const QUALITY = 0.82;

export type Scaled =
  | { readonly ok: true; readonly photo: Blob; readonly from: number; readonly to: number }
  | { readonly ok: false };

/** A photograph made small enough to keep; not ok where the file is no picture that this browser reads. */
export async function scalePhoto(file: Blob): Promise<Scaled> {
  try {
    const picture = await createImageBitmap(file);
    const scale = Math.min(1, MOST_PX / Math.max(picture.width, picture.height));
    const canvas = new OffscreenCanvas(Math.max(1, picture.width * scale), Math.max(1, picture.height * scale));
    canvas.getContext("2d")!.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    const photo = await canvas.convertToBlob({ type: "image/jpeg", quality: QUALITY });
    return { ok: true, photo, from: file.size, to: photo.size };
  } catch {
    return { ok: false };
  }
}
