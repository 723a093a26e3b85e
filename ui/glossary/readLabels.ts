/** The whole text of every label that stands in a drawing of the page. */
export const readLabels = (page: Document): string[] =>
  [...page.querySelectorAll("svg text")].map(({ textContent }) => textContent ?? "");

/** The label of a drawing at a place of the page, px, though something without a colour may lie over it. */
export function findLabel(page: Document, x: number, y: number): SVGTextElement | null {
  const drawing = page.elementFromPoint(x, y)?.closest("svg");
  if (!drawing) return null;
  return (
    [...drawing.querySelectorAll("text")].findLast((label) => {
      const { left, right, top, bottom } = label.getBoundingClientRect();
      return x >= left && x <= right && y >= top && y <= bottom;
    }) ?? null
  );
}

/** Which letter of a label stands at a place of the page, from 0; -1 beside them. */
export function findLetter(label: SVGTextElement, x: number, y: number): number {
  const toPage = label.getScreenCTM();
  return toPage ? label.getCharNumAtPosition(new DOMPoint(x, y).matrixTransform(toPage.inverse())) : -1;
}

/** Whether a press there does something of its own: a handle, a part that opens its station, a line that is chosen. */
export function isWorked(target: Element): boolean {
  if (!OF_THE_GROUND.has(getComputedStyle(target).cursor)) return true;
  for (let at: Element | null = target; at && at.tagName !== "svg"; at = at.parentElement) {
    if (at.matches(WORKED)) return true;
  }
  return false;
}

const OF_THE_GROUND: ReadonlySet<string> = new Set(["auto", "default", "grab", "help"]);
const WORKED = "a, button, [role=button], [role=slider], [tabindex], .handle";
