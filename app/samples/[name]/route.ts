import { readFileSync } from "node:fs";
import { join } from "node:path";

const NAMES = ["kranich", "lesesaal", "lesesaal-furnished", "puppenwagen", "otter"];

export const dynamic = "force-static";
export const dynamicParams = false;
export const generateStaticParams = () => NAMES.map((name) => ({ name }));

/** A sample rig as a design file. */
export async function GET(_request: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  const { name } = await params;
  const text = readFileSync(join(process.cwd(), "demo", `${name}.json`), "utf8");
  return new Response(text, { headers: { "Content-Type": "application/json" } });
}
