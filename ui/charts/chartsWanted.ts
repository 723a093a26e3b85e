/** Asks a chart to be drawn though it is out of sight; it puts what has to be waited for into the list it is sent. */
const WANTED = "chartwanted";

/** Every chart of a part of the page is drawn, also what is out of sight: paper shows all of it. */
export async function drawAllCharts(part: Element): Promise<void> {
  const waits: Promise<unknown>[] = [];
  for (const chart of part.querySelectorAll("[data-chart]")) {
    chart.dispatchEvent(new CustomEvent(WANTED, { detail: waits }));
  }
  await Promise.all(waits);
}

/** Has a chart drawn when it is asked for; the answer ends that. */
export function whenWanted(chart: Element, draw: () => Promise<unknown>): () => void {
  const answer = (event: Event) => (event as CustomEvent<Promise<unknown>[]>).detail.push(draw());
  chart.addEventListener(WANTED, answer);
  return () => chart.removeEventListener(WANTED, answer);
}
