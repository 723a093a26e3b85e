import { spawn } from "node:child_process";
import { existsSync, readFileSync } from "node:fs";
import { type Browser, chromium, type Locator, type Page } from "@playwright/test";
import type { Design } from "@/core/design/design";
import { BROWSER_ARGS, EXECUTABLE } from "@/e2e/browser";
import { FURNISHED, readDemo } from "@/tests/demoRigs";
import type { Row } from "./core";
import { benchBook, benchPages, benchValve } from "./road";

const PORT = Number(process.env["PORT"] ?? 3219);
const ADDRESS = `http://localhost:${PORT}/`;

const DRAGGED = ["kranich", "lesesaal", "lesesaal furnished, 12 fixtures"] as const;

/** The production build in Debian's chromium: size of the first load, the map in its worker, frames while pulling. */
export async function benchBrowser(): Promise<Row[]> {
  const server = spawn("node", ["scripts/serve.mjs"], {
    stdio: "ignore",
    detached: true,
    env: { ...process.env, NODE_ENV: "production", PORT: String(PORT) },
  });
  try {
    await waitFor(ADDRESS);
    const browser = await chromium.launch({ executablePath: EXECUTABLE, args: BROWSER_ARGS });
    const before = readSteal();
    const rows: Row[] = [...(await benchFirstLoad(browser))];
    const bare: Row[][] = [];
    for (const [i, design] of [null, readDemo("lesesaal"), readDemo(FURNISHED)].entries()) {
      bare.push(await benchBareDrag(await browser.newPage()));
      rows.push(...(await benchDrag(await browser.newPage(), DRAGGED[i]!, design)));
    }
    rows.push(...findMiddles(bare));
    rows.push(...compareDrags(rows));
    rows.push(...(await benchMap(await browser.newPage())));
    rows.push(...(await benchValve(browser, ADDRESS)));
    rows.push(...(await benchBook(browser, ADDRESS)));
    rows.push(...(await benchPages(browser, ADDRESS)));
    rows.push(...toStealRows(before, readSteal()));
    await browser.close();
    return rows;
  } finally {
    if (server.exitCode === null) process.kill(-server.pid!);
  }
}

const FRAMES = "from frame to frame, 95 %";
const WORK = "work in a frame, 95 %";
const BARE = "one circle on an empty sheet";
/** What a rig's frames may cost, against one circle on an empty sheet in the same run. */
const MOST_TIMES = { [FRAMES]: 1.1, [WORK]: 4 } as const;

function compareDrags(rows: readonly Row[]): Row[] {
  const read = (what: string, of: string) => rows.find(({ name }) => name === `drag, ${what}, ${of}`)!.value;
  return DRAGGED.flatMap((name) =>
    ([FRAMES, WORK] as const).map(
      (what): Row => ({
        name: `drag, ${what}, ${name}, against one circle`,
        value: read(what, name) / read(what, BARE),
        unit: "times",
        budget: MOST_TIMES[what],
        better: "less",
      }),
    ),
  );
}

// One pull of the circle is over in two seconds, and from one to the next its figures differ by half; so it is pulled
// before each of the rigs, and the middle of each of its figures counts.
const findMiddles = (runs: readonly (readonly Row[])[]): Row[] =>
  runs[0]!.map((row, i) => ({
    ...row,
    value: runs.map((run) => run[i]!.value).sort((a, b) => a - b)[Math.floor(runs.length / 2)]!,
  }));

type Steal = { readonly stolen: number; readonly all: number };

// On a machine that is itself a guest the host takes time away in the middle of a frame; Linux counts it.
function readSteal(): Steal | null {
  if (!existsSync("/proc/stat")) return null;
  const ticks = readFileSync("/proc/stat", "utf8").split("\n")[0]!.trim().split(/\s+/).slice(1).map(Number);
  return { stolen: ticks[7] ?? 0, all: ticks.reduce((sum, n) => sum + n, 0) };
}

function toStealRows(before: Steal | null, after: Steal | null): Row[] {
  if (!before || !after || after.all === before.all) return [];
  const value = ((after.stolen - before.stolen) / (after.all - before.all)) * 100;
  return [{ name: "time the machine's host took away meanwhile", value, unit: "%", budget: null, better: "less" }];
}

async function waitFor(address: string): Promise<void> {
  for (let i = 0; i < 60; i++) {
    const answer = await fetch(address).catch(() => null);
    if (answer?.ok) return;
    await new Promise((resolve) => setTimeout(resolve, 500));
  }
  throw new Error("the production build does not answer; build it first");
}

const LOADS = 5;

// Every load is a first one, in a context of its own; the figures are medians. Scripts are those the page itself asks
// for until it is ready; what the service worker fetches for later is not the first load.
async function benchFirstLoad(browser: Browser): Promise<Row[]> {
  const sizes: number[] = [];
  const paints: number[] = [];
  for (let i = 0; i < LOADS; i++) {
    const context = await browser.newContext({ serviceWorkers: "block", viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    // as they come over the wire; a script that the worker asks for once more comes out of the browser's own store
    const sent = new Map<string, { readonly askedAt: number; readonly bytes: Promise<number> }>();
    page.on("requestfinished", (request) => {
      if (request.resourceType() !== "script" || sent.has(request.url())) return;
      const bytes = request.sizes().then((size) => size.responseBodySize);
      // what comes in as the page is closed is of no first load, and its size is not to be had any more
      bytes.catch(() => undefined);
      sent.set(request.url(), { askedAt: request.timing().startTime, bytes });
    });
    // the driver hears of it later, when the page is already at what can wait
    await page.addInitScript(() => {
      const own = window as { readyAt?: number };
      new MutationObserver(() => {
        if (document.querySelector('[data-phase="ready"]')) own.readyAt ??= performance.timeOrigin + performance.now();
      }).observe(document, { subtree: true, childList: true, attributes: true });
    });
    await page.goto(ADDRESS);
    await page.waitForSelector('[data-phase="ready"]');
    const readyAt = await page.evaluate(() => (window as { readyAt?: number }).readyAt ?? Number.POSITIVE_INFINITY);
    const asked = [...sent.values()].filter(({ askedAt }) => askedAt <= readyAt);
    sizes.push((await Promise.all(asked.map(({ bytes }) => bytes))).reduce((sum, bytes) => sum + bytes, 0));
    await page.waitForTimeout(500);
    paints.push(await page.evaluate(readLargestPaint));
    await context.close();
  }
  return [
    {
      name: "first-load script, compressed as it is sent",
      value: findShare(sizes, 0.5) / 1000,
      unit: "kB",
      budget: 250,
      better: "less",
    },
    { name: "largest paint", value: findShare(paints, 0.5), unit: "ms", budget: null, better: "less" },
  ];
}

const readLargestPaint = () =>
  new Promise<number>((resolve) => {
    new PerformanceObserver((list) => resolve(list.getEntries().at(-1)!.startTime)).observe({
      type: "largest-contentful-paint",
      buffered: true,
    });
  });

/** Moves of one pull; the next is sent when the page has answered the last. */
const MOVES = 120;

/** Points of each kind that are pulled, in section and plan. */
const PULLED: readonly (readonly [string, string, RegExp])[] = [
  ["tank", "Long section", /^Move Grey tank$/],
  ["bend", "Long section", /^Move bend/],
  ["passage", "Long section", /^Move the floor passage/],
  ["inlet", "Long section", /^Move the inlet/],
  ["outlet", "Long section", /^Move the outlet/],
  ["leg", "Long section", /^Move .*, leg \d+, keeping its fall$/],
  ["tank in plan", "Plan of", /^Move Grey tank in plan$/],
  ["bend in plan", "Plan of", /bend 1 of .* in plan$/],
  ["leg in plan", "Plan of", /^Move .*, leg \d+ in plan$/],
  ["passage in plan", "Plan of", /^Move the floor passage .* in plan$/],
  ["fixture in plan", "Plan of", /^Move the outlet of .* in plan$/],
];

// Work a frame costs while a point is pulled: every move with its sums, rendering and painting. Every kind of point is
// pulled, and the worst kind is named. Frames in which nothing moved are left out.
async function benchDrag(page: Page, name: string, design: Design | null): Promise<Row[]> {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(ADDRESS);
  await page.waitForSelector('[data-phase="ready"]');
  // on a first visit the page is put by for use without a network; nobody pulls while that is still going on
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  if (design) await openAsFile(page, design);
  await page.waitForTimeout(1500);
  await page.evaluate(watchFrames);
  const kinds: { readonly kind: string; readonly frames: number[]; readonly work: number[] }[] = [];
  for (const [kind, drawing, label] of PULLED) {
    const handle = page.getByRole("group", { name: new RegExp(`^${drawing}`) }).getByRole("button", { name: label });
    if ((await handle.count()) > 0) kinds.push({ kind, ...(await pull(page, handle.first())) });
  }
  await page.close();
  const worstOf = (pick: "frames" | "work") =>
    kinds.map((k) => ({ kind: k.kind, ms: findShare(k[pick], 0.95) })).sort((a, b) => b.ms - a.ms)[0]!;
  const all = (pick: "frames" | "work") => kinds.flatMap((k) => k[pick]);
  const [late, work] = [worstOf("frames"), worstOf("work")];
  const row = (what: string, value: number, budget: number | null = null): Row => ({
    name: `drag, ${what}, ${name}`,
    value,
    unit: "ms",
    budget,
    better: "less",
  });
  return [
    { ...row(`frames of ${kinds.length} kinds of points`, all("work").length), unit: "", better: "more" },
    row(FRAMES, findShare(all("frames"), 0.95)),
    row(`from frame to frame, 95 %, worst kind: ${late.kind}`, late.ms),
    row("work in a frame, median", findShare(all("work"), 0.5)),
    row(`work in a frame, 95 %, worst kind: ${work.kind}`, work.ms),
    row(WORK, findShare(all("work"), 0.95)),
  ];
}

// The baseline of the same run: one circle on an empty sheet follows the hand, with nothing to sum and nothing else to
// draw. What it costs is the browser's, the driver's and the machine's own.
async function benchBareDrag(page: Page): Promise<Row[]> {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.setContent(
    '<body style="margin:0"><svg width="1280" height="800"><g id="dot"><circle class="halo" cx="640" cy="400" r="15"/></g></svg>',
  );
  await page.evaluate(() => {
    const dot = document.querySelector("circle")!;
    document.addEventListener("pointermove", (event) => {
      dot.setAttribute("cx", String(event.clientX));
      dot.setAttribute("cy", String(event.clientY));
    });
  });
  await page.evaluate(watchFrames);
  const { frames, work } = await pull(page, page.locator("#dot"));
  await page.close();
  const row = (what: string, value: number): Row => ({
    name: `drag, ${what}, ${BARE}`,
    value,
    unit: "ms",
    budget: null,
    better: "less",
  });
  return [
    row(FRAMES, findShare(frames, 0.95)),
    row("work in a frame, median", findShare(work, 0.5)),
    row(WORK, findShare(work, 0.95)),
  ];
}

function watchFrames(): void {
  const frames: number[] = [];
  const work: number[] = [];
  const { port1, port2 } = new MessageChannel();
  let last = performance.now();
  let began = 0;
  let moved = false;
  let wasMoved = false;
  addEventListener("pointermove", () => {
    moved = true;
  });
  // the message comes after the frame's scripts, styles, layout and paint
  port2.onmessage = () => {
    if (wasMoved) work.push(performance.now() - began);
  };
  const tick = (now: number) => {
    if (wasMoved) frames.push(now - last);
    last = now;
    began = performance.now();
    wasMoved = moved;
    moved = false;
    port1.postMessage(0);
    requestAnimationFrame(tick);
  };
  requestAnimationFrame(tick);
  Object.assign(window, { measured: { frames, work } });
}

async function pull(page: Page, handle: Locator): Promise<Measured> {
  const box = (await handle.locator(".halo").boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.evaluate(() => {
    const { measured } = window as unknown as { measured: Measured };
    measured.frames.splice(0);
    measured.work.splice(0);
  });
  for (let i = 0; i < MOVES; i++) await page.mouse.move(x + 20 * Math.sin(i / 14), y + 9 * Math.sin(i / 9));
  const { frames, work } = await page.evaluate(() => (window as unknown as { measured: Measured }).measured);
  // called off, so that the next point is pulled in the design as it was
  await page.keyboard.press("Escape");
  await page.mouse.up();
  // the standing map is asked for again after each pull; a hand does not take the next point before it is there
  await page.waitForTimeout(900);
  return { frames, work };
}

// The way a builder opens a file.
async function openAsFile(page: Page, design: Design): Promise<void> {
  await page.keyboard.press("Control+o");
  const text = JSON.stringify({ ...design, id: "whole", name: "Whole" });
  await page
    .getByLabel("Design file")
    .setInputFiles({ name: "whole.json", mimeType: "application/json", buffer: Buffer.from(text) });
  await page.getByRole("button", { name: "Designs; Whole is open" }).waitFor();
}

type Measured = { readonly frames: number[]; readonly work: number[] };

const findShare = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * share)]!;

async function benchMap(page: Page): Promise<Row[]> {
  await page.goto(ADDRESS);
  const status = page.locator('[data-testid="map-status"][data-status="ready"] > span');
  await status.waitFor();
  const times: number[] = [];
  for (const people of ["3", "4", "3", "4", "3", "4", "3"]) {
    await page.keyboard.press("2");
    await page.getByLabel("People", { exact: true }).fill(people);
    await page.getByLabel("People", { exact: true }).press("Enter");
    await page
      .locator('[data-testid="map-status"][data-status="computing"]')
      .waitFor({ timeout: 400 })
      .catch(() => undefined);
    await status.waitFor();
    await page.waitForTimeout(300);
    times.push(Number(/(\d+)/.exec((await status.getAttribute("title")) ?? "")?.[1]));
  }
  await page.close();
  const value = times.slice(1).sort((a, b) => a - b)[3]!;
  return [
    { name: "standing map 61 × 61 of kranich, worker and back", value, unit: "ms", budget: null, better: "less" },
  ];
}
