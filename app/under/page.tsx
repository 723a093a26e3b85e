import type { Metadata } from "next";
import { UnderPage } from "@/ui/under/UnderPage";

export const metadata: Metadata = { title: "Schleuse, under the floor" };

export default function Page() {
  return <UnderPage />;
}
