import { drawAllCharts } from "../charts/chartsWanted";

/**
 * Puts one part of the page on paper and nothing else, with all of its charts; nothing is printed where there is none. What is printed is a
 * copy beside the page: paper is narrow, and what the page would show on a narrow screen is something else.
 */
export async function printPart(part: Element | null | undefined): Promise<void> {
  if (!part) return;
  await drawAllCharts(part);
  const paper = document.createElement("div");
  paper.className = "paper";
  paper.dataset["theme"] = "light";
  const copy = part.cloneNode(true) as Element;
  const filled = listFilled(part);
  // a copy has what a field began with
  for (const [i, field] of listFilled(copy).entries()) field.value = filled[i]!.value;
  paper.append(copy);
  document.body.append(paper);
  window.print();
  paper.remove();
}

const listFilled = (part: Element) =>
  part.querySelectorAll<HTMLInputElement | HTMLSelectElement>("input:not([type=file]), select");
