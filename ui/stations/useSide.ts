"use client";
import * as WORDS from "@/words/panels/stations/side";
import { useIsNarrow } from "../shell/useIsNarrow";

/** Where the measures beside a stage are found on this screen, in words. */
export const useSide = (): string => (useIsNarrow() ? WORDS.inItsOwnView : WORDS.inTheColumn);
