import type { Metadata } from "next";
import { UnderPage } from "@/ui/under/UnderPage";

export const metadata: Metadata = { title: "Schleuse, under the floor" };

/** Stands in a box by name: the build lets React alone bring it to life (scripts/leanPage.mjs). */
export default function Page() {
  return (
    <div id="under">
      <UnderPage />
    </div>
  );
}
