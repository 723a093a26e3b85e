/** Fields and drawn things that are about the same part say so by `data-part`, its key. */
const PART = "data-part";
/** What is lit now. */
const LIT = "data-lit";

let now: string | null = null;

function light(page: Document, key: string | null): void {
  if (key === now) return;
  now = key;
  for (const element of page.querySelectorAll(`[${LIT}]`)) element.removeAttribute(LIT);
  if (key === null) return;
  for (const element of page.querySelectorAll(`[${PART}="${CSS.escape(key)}"]`)) element.setAttribute(LIT, "");
}

const findKey = (target: EventTarget | null): string | null =>
  target instanceof Element ? (target.closest(`[${PART}]`)?.getAttribute(PART) ?? null) : null;

/**
 * Lets a field of the column and its place on the stage light each other up: whatever is about the part under the pointer, or with
 * the focus. It goes by the elements alone, so that pointing at things draws nothing anew; while something is pulled nothing is
 * lit. Returns how to stop it.
 */
export function lightParts(page: Document): () => void {
  let isHeld = false;
  const stop = new AbortController();
  const on = <K extends keyof DocumentEventMap>(kind: K, hear: (event: DocumentEventMap[K]) => void) =>
    page.addEventListener(kind, hear, { signal: stop.signal, passive: true, capture: true });
  const letGo = () => {
    isHeld = false;
  };
  on("pointerdown", () => {
    isHeld = true;
    light(page, null);
  });
  on("pointerup", letGo);
  on("pointercancel", letGo);
  on("pointerover", ({ target }) => !isHeld && light(page, findKey(target) ?? findKey(page.activeElement)));
  on("focusin", ({ target }) => !isHeld && light(page, findKey(target)));
  return () => {
    stop.abort();
    light(page, null);
  };
}
