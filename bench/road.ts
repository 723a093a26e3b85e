import type { Browser, Page } from "@playwright/test";
import { evaluate } from "@/core/evaluate/evaluate";
import type { Stop } from "@/core/record/journey";
import { toDate, toDays } from "@/core/road/civil";
import { listMoments, planDumps } from "@/core/road/dumpPlan";
import { livePlan } from "@/core/road/livePlan";
import { buildPlanInput } from "@/core/road/planInput";
import { type Row, readDemo, time } from "./core";

const STOPS = 60;
const JOURNEYS = 2_000;
const FROM = "2026-05-01";

/** A plan over sixty stops, against living through the same journey so often as its certainty wants. */
export function benchPlan(): Row[] {
  const design = readDemo("kranich");
  const { balance } = evaluate(design);
  const first = toDays(FROM);
  const stops = Array.from(
    { length: STOPS },
    (_, i): Stop => ({
      id: `s${i}`,
      name: `Stop ${i + 1}`,
      latDeg: 50 + i / 40,
      lonDeg: 9 + (i % 7) / 20,
      arrive: toDate(first + i),
      nights: 1,
      has: { grey: i % 2 === 0, toilet: i % 3 === 0, fresh: i % 2 === 0 },
      isClosed: false,
      cost: i % 5,
      stands: null,
      note: "",
    }),
  );
  const input = buildPlanInput(balance, [], { stops, from: FROM, certainty: 0.9 });
  const plan = planDumps(input);
  const planned = time(() => planDumps(input), { batches: 5 });
  const lastDay = Math.max(...listMoments(input).map(({ day }) => day));
  const lived = time(
    () => livePlan(input.stores, input.stretches, plan.services, lastDay, { journeys: JOURNEYS, seed: 1 }),
    { batches: 5 },
  );
  return [
    { name: `plan over ${STOPS} stops`, value: planned, unit: "ms", budget: null, better: "less" },
    {
      name: `plan over ${STOPS} stops against its journey lived ${JOURNEYS} times`,
      value: planned / lived,
      unit: "times",
      budget: 20,
      better: "less",
    },
  ];
}

const LINES = 20_000;

/** The logbook with 20,000 lines against an empty one: a line more, and a search, until they are painted. */
export async function benchBook(browser: Browser, address: string): Promise<Row[]> {
  // in turn, so that both meet the same machine
  type Run = Awaited<ReturnType<typeof openBook>>;
  const runs: { readonly empty: Run; readonly full: Run }[] = [];
  for (let i = 0; i < 3; i++) {
    runs.push({ empty: await openBook(browser, address, 0), full: await openBook(browser, address, LINES) });
  }
  const least = (of: "empty" | "full", what: "added" | "sought") => Math.min(...runs.map((run) => run[of][what]));
  const empty = { added: least("empty", "added") };
  const full = { added: least("full", "added"), sought: least("full", "sought") };
  const row = (name: string, value: number, unit: string, budget: number | null): Row => ({
    name,
    value,
    unit,
    budget,
    better: "less",
  });
  return [
    row("a line more in an empty book, work until painted", empty.added, "ms", null),
    row(`a line more after ${LINES}, work until painted`, full.added, "ms", null),
    row(`a line more after ${LINES}, against an empty book`, full.added / empty.added, "times", 1.25),
    row(`a letter sought in ${LINES} lines, work until painted`, full.sought, "ms", null),
    row(`a letter sought in ${LINES} lines, in frames of the screen`, full.sought / FRAME_MS, "frames", 1),
  ];
}

/** A screen shows sixty frames a second. */
const FRAME_MS = 1000 / 60;

async function openBook(browser: Browser, address: string, lines: number) {
  const context = await browser.newContext({ serviceWorkers: "block", viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(address);
  await page.waitForSelector('[data-phase="ready"]');
  if (lines > 0) {
    await page.keyboard.press("Control+o");
    await page.getByLabel("Design file").setInputFiles({
      name: "book.json",
      mimeType: "application/json",
      buffer: Buffer.from(JSON.stringify(writeBook(lines))),
    });
    await page.getByRole("button", { name: "Designs; Long book is open" }).waitFor();
  }
  await page.keyboard.press("9");
  await page.getByLabel("Search the logbook").waitFor();
  // lines are worked out while the hand rests
  await page.waitForTimeout(4000);
  const dumped = page.getByRole("button", { name: "Dumped" }).first();
  const added = await measure(page, dumped.elementHandle(), "click");
  await page.getByLabel("Search the logbook").focus();
  await page.evaluate(watchPaint, "input");
  for (const letter of "weir 19 000") {
    await page.keyboard.type(letter);
    await page.waitForTimeout(150);
  }
  const sought = median(await readPainted(page));
  await context.close();
  return { added, sought };
}

export function writeBook(lines: number) {
  const first = toDays("1990-01-01");
  return {
    format: "schleuse-file",
    version: 1,
    design: { ...readDemo("kranich"), id: "long-book", name: "Long book" },
    build: { done: [], parts: {} },
    journey: { stops: [] },
    log: Array.from({ length: lines }, (_, i) => ({
      id: `l${i}`,
      at: `${toDate(first + Math.floor(i / 2))}T${i % 2 === 0 ? "09" : "18"}:00`,
      kind: i % 2 === 0 ? "reading" : "dump",
      storeId: "grey",
      amount: i % 2 === 0 ? 30 + (i % 11) : null,
      note: i % 2 === 0 ? "" : `weir ${i}`,
    })),
  };
}

async function measure(page: Page, handle: Promise<unknown>, event: string): Promise<number> {
  const button = (await handle) as { click: () => Promise<void> };
  await page.evaluate(watchPaint, event);
  for (let i = 0; i < 9; i++) {
    await button.click();
    await page.waitForTimeout(400);
  }
  // the first ones still warm up
  return median((await readPainted(page)).slice(2));
}

const readPainted = (page: Page): Promise<readonly number[]> =>
  page.evaluate(() => (window as unknown as { painted: number[] }).painted);

// Work of each event until what it changed has been painted: its own task, and the frame after it with its scripts, styles
// and paint, without the waiting for the screen between the two.
function watchPaint(event: string): void {
  const painted: number[] = [];
  Object.assign(window, { painted });
  addEventListener(
    event,
    () => {
      const began = performance.now();
      let task = 0;
      const { port1, port2 } = new MessageChannel();
      port2.onmessage = () => {
        task = performance.now() - began;
      };
      port1.postMessage(0);
      requestAnimationFrame(() => {
        const framed = performance.now();
        const after = new MessageChannel();
        after.port2.onmessage = () => painted.push(task + performance.now() - framed);
        after.port1.postMessage(0);
      });
    },
    { capture: true },
  );
}

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

const LOADS = 7;
/** A phone is about so many times slower than a desk [T]. */
const PHONE_SLOWER = 4;

/** When the phone's page can be worked against when the desk's can, both first loads on a slowed machine. */
export async function benchPages(browser: Browser, address: string): Promise<Row[]> {
  const load = async (path: string): Promise<number> => {
    const context = await browser.newContext({ serviceWorkers: "block", viewport: { width: 390, height: 844 } });
    const page = await context.newPage();
    const tools = await context.newCDPSession(page);
    await tools.send("Emulation.setCPUThrottlingRate", { rate: PHONE_SLOWER });
    await page.goto(`${address}${path}`, { waitUntil: "commit" });
    await page.waitForSelector('[data-phase="ready"]');
    const took = await page.evaluate(() => performance.now());
    await context.close();
    return took;
  };
  const desks: number[] = [];
  const phones: number[] = [];
  // in turn, so that a machine that grows slower meanwhile is so for both
  for (let i = 0; i < LOADS; i++) {
    desks.push(await load(""));
    phones.push(await load("under"));
  }
  const [desk, phone] = [median(desks), median(phones)];
  return [
    { name: "desk's page ready on a phone", value: desk, unit: "ms", budget: null, better: "less" },
    { name: "phone's page ready on a phone", value: phone, unit: "ms", budget: null, better: "less" },
    { name: "phone's page against the desk's", value: phone / desk, unit: "times", budget: 0.6, better: "less" },
  ];
}

/** A valve turned on the Waterway of a loop, until water, colours and findings are painted, in frames of the screen. */
export async function benchValve(browser: Browser, address: string): Promise<Row[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  await page.waitForSelector('[data-phase="ready"]');
  await page.keyboard.press("Control+o");
  await page.getByLabel("Design file").setInputFiles({
    name: "loop.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify({ ...readDemo("kranich-loop"), id: "valve", name: "Valve" })),
  });
  await page.getByRole("button", { name: "Designs; Valve is open" }).waitFor();
  await page.getByRole("navigation", { name: "Stations" }).getByRole("button", { name: /^Loop/ }).click();
  const valve = page.getByTestId("loop-waterway").getByRole("button", { name: /^Motor valve, / });
  await valve.waitFor();
  await page.waitForTimeout(1500);
  const took = await measure(page, valve.elementHandle(), "click");
  await page.close();
  return [
    { name: "a valve turned, work until painted", value: took, unit: "ms", budget: null, better: "less" },
    {
      name: "a valve turned, in frames of the screen",
      value: took / FRAME_MS,
      unit: "frames",
      budget: 1,
      better: "less",
    },
  ];
}
