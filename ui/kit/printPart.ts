import { drawAllCharts } from "../charts/chartsWanted";

/**
 * Puts one part of the page on paper and nothing else, with all of its charts; nothing is printed where there is none. What is printed is a
 * copy beside the page: paper is narrow, and what the page would show on a narrow screen is something else. Over it stands what the page said around it: which
 * rig it is of, and what must not be lost.
 */
export async function printPart(part: Element | null | undefined, head: readonly string[] = []): Promise<void> {
  if (!part) return;
  await drawAllCharts(part);
  const paper = document.createElement("div");
  paper.className = "paper";
  const copy = part.cloneNode(true) as Element;
  const filled = listFilled(part);
  // a copy has what a field began with
  for (const [i, field] of listFilled(copy).entries()) field.value = filled[i]!.value;
  paper.append(...head.map(toLine), copy);
  clearPaper();
  document.body.append(paper);
  for (const kind of DONE) window.addEventListener(kind, clearPaper, { once: true, capture: true });
  window.print();
}

function toLine(text: string, i: number): HTMLElement {
  const line = document.createElement("p");
  line.className = i === 0 ? "text-[17px] font-semibold" : "pb-1 text-[14px]";
  line.textContent = text;
  return line;
}

// A telephone prints while the page goes on: the paper is there until printing is done, or the page is taken in hand again.
const DONE = ["afterprint", "pointerdown", "keydown"] as const;

function clearPaper(): void {
  document.querySelector(".paper")?.remove();
  for (const kind of DONE) window.removeEventListener(kind, clearPaper, { capture: true });
}

const listFilled = (part: Element) => part.querySelectorAll("select");
