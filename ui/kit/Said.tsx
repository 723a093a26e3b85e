"use client";
import { useSay } from "./useSay";

/** A text of ours in the words of the open rig. */
export function Said({ children }: { readonly children: string }) {
  return useSay()(children);
}
