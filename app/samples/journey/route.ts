import { readFileSync } from "node:fs";
import { join } from "node:path";

export const dynamic = "force-static";

/** Invented stops of an invented coast, by the day one comes there. */
export const GET = (): Response =>
  new Response(readFileSync(join(process.cwd(), "demo", "journey.json"), "utf8"), {
    headers: { "Content-Type": "application/json" },
  });
