import * as Comlink from "comlink";
import { evaluate } from "@/core/evaluate/evaluate";
import { computeStandingMap } from "@/core/evaluate/standingMap";
import { proposeRemedies } from "@/core/remedies/proposeRemedies";
import { readDemo } from "@/tests/demoRigs";
import { ask } from "./client";
import { serve } from "./serve";

// A worker that lives in this thread, at the other end of a real message channel.
class NearWorker {
  static born: NearWorker[] = [];
  static serve: typeof serve = serve;
  onerror: (() => void) | null = null;
  isAlive = true;
  readonly #channel = new MessageChannel();

  constructor() {
    NearWorker.born.push(this);
    Comlink.expose(NearWorker.serve, this.#channel.port2 as unknown as Comlink.Endpoint);
    this.#channel.port1.start();
    this.#channel.port2.start();
  }
  postMessage(message: unknown, transfer: Transferable[] = []): void {
    if (this.isAlive) this.#channel.port1.postMessage(message, transfer as never);
  }
  addEventListener(type: string, listener: EventListener): void {
    this.#channel.port1.addEventListener(type as "message", listener as never);
  }
  removeEventListener(type: string, listener: EventListener): void {
    this.#channel.port1.removeEventListener(type as "message", listener as never);
  }
  terminate(): void {
    this.isAlive = false;
    this.#channel.port1.close();
    this.#channel.port2.close();
  }
}

const design = readDemo("lesesaal");
const request = (signal: AbortSignal, onProgress: (share: number) => void = () => undefined, size = 21) =>
  ask("standingMap", { design, size, rangeDeg: 5 }, { onProgress, signal });

// Channels that are still open would keep the test run alive.
const ports: MessagePort[] = [];
const RealChannel = globalThis.MessageChannel;
class CountedChannel extends RealChannel {
  constructor() {
    super();
    ports.push(this.port1, this.port2);
  }
}

beforeAll(() => {
  Object.assign(globalThis, { Worker: NearWorker, MessageChannel: CountedChannel });
});
beforeEach(() => {
  NearWorker.serve = serve;
});
afterAll(() => {
  for (const port of ports) port.close();
  Object.assign(globalThis, { MessageChannel: RealChannel });
});

test("the map that comes back is the one the core computes, and progress ends at the whole", async () => {
  const shares: number[] = [];
  const outcome = await request(new AbortController().signal, (share) => shares.push(share));
  if (outcome.status !== "ready") throw new Error(outcome.status);
  const direct = computeStandingMap(design, { size: 21, rangeDeg: 5 })!;
  expect([...outcome.answer.states]).toEqual([...direct.states]);
  expect([...outcome.answer.inHandMm]).toEqual([...direct.inHandMm]);
  // progress comes by its own messages, which may be a turn behind the answer
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(shares[shares.length - 1]).toBe(1);
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
});

test("a worker that did its work is asked again, not born again", async () => {
  await request(new AbortController().signal);
  const { length } = NearWorker.born;
  await request(new AbortController().signal);
  expect(NearWorker.born).toHaveLength(length);
});

test("cancelling stops the worker at once; the next request gets a new one and an answer", async () => {
  await request(new AbortController().signal);
  const worker = NearWorker.born[NearWorker.born.length - 1]!;
  const controller = new AbortController();
  const running = request(controller.signal, () => undefined, 61);
  controller.abort();
  expect(await running).toEqual({ status: "cancelled" });
  expect(worker.isAlive).toBe(false);
  expect((await request(new AbortController().signal)).status).toBe("ready");
});

test("a request that was called off before it began starts nothing", async () => {
  const { length } = NearWorker.born;
  expect(await request(AbortSignal.abort())).toEqual({ status: "cancelled" });
  expect(NearWorker.born).toHaveLength(length);
});

test("a worker that fails is an outcome, never a promise that hangs or throws", async () => {
  const idle = request(new AbortController().signal);
  await idle;
  // the idle one is good; take it out of the way first
  const controller = new AbortController();
  const running = request(controller.signal);
  controller.abort();
  await running;
  NearWorker.serve = () => {
    throw new Error("out of memory");
  };
  expect(await request(new AbortController().signal)).toEqual({ status: "failed" });
  NearWorker.serve = () => new Promise(() => undefined) as never;
  const hanging = request(new AbortController().signal);
  NearWorker.born[NearWorker.born.length - 1]!.onerror!();
  expect(await hanging).toEqual({ status: "failed" });
});

test("what settles a finding comes over the wire as it is worked out here; a finding that is gone has nothing, and none in common is no answer lost", async () => {
  const attitude = { pitchDeg: 0, rollDeg: 0 };
  const evaluation = evaluate(design, attitude);
  const finding = evaluation.findings.find((one) => proposeRemedies(design, evaluation, one).length > 0)!;
  const { signal } = new AbortController();
  const asked = await ask("remedies", { design, attitude, findingId: finding.id }, { signal });
  expect(asked).toMatchObject({ status: "ready", answer: proposeRemedies(design, evaluation, finding) });
  expect(await ask("remedies", { design, attitude, findingId: "gone" }, { signal })).toMatchObject({ answer: [] });
  const alike = await ask("mendAlike", { design, attitude, ids: [finding.id] }, { signal });
  expect(alike).toMatchObject({ status: "ready", answer: { remedy: null } });
});
