import { readFileSync } from "node:fs";
import { join } from "node:path";
import { SAMPLES } from "@/ui/library/samples";

export const dynamic = "force-static";
export const dynamicParams = false;
export const generateStaticParams = () => SAMPLES.map((name) => ({ name }));

/** A sample rig as a design file. */
export async function GET(_request: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  const { name } = await params;
  const text = readFileSync(join(process.cwd(), "demo", `${name}.json`), "utf8");
  return new Response(text, { headers: { "Content-Type": "application/json" } });
}
