import { readWatched } from "@/core/devices/readWatched";
import { SPEED, simulateDevices } from "@/core/devices/simulateDevices";

export const dynamic = "force-dynamic";

const EVERY_MS = 1_000;
/** A stream that nobody closed ends by itself. */
const MOST_MS = 30 * 60_000;

/** Simulated devices as an event stream, one report a second; a real gateway would answer at the same address. */
export function GET(request: Request): Response {
  const asked = readWatched(new URL(request.url).searchParams);
  if (typeof asked === "string") return Response.json({ error: asked }, { status: 400 });
  const { scenario, stores, seed } = asked;
  const encoder = new TextEncoder();
  const begun = Date.now();
  let timer: ReturnType<typeof setInterval> | undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = () => {
        const passedMs = Date.now() - begun;
        if (passedMs > MOST_MS) {
          clearInterval(timer);
          controller.close();
          return;
        }
        const report = simulateDevices(stores, scenario, (passedMs / 1_000) * SPEED[scenario], seed);
        controller.enqueue(encoder.encode(`data: ${JSON.stringify(report)}\n\n`));
      };
      send();
      timer = setInterval(send, EVERY_MS);
      request.signal.addEventListener("abort", () => clearInterval(timer));
    },
    cancel() {
      clearInterval(timer);
    },
  });
  return new Response(stream, {
    headers: { "Content-Type": "text/event-stream", "Cache-Control": "no-store", Connection: "keep-alive" },
  });
}
