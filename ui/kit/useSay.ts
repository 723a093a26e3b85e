"use client";
import { createContext, use } from "react";

/** How the open rig is spoken of: a boat has a sole where others have a floor. Ashore until told. */
export const SpeechContext = createContext<(text: string) => string>((text) => text);

/** Puts a label or a sentence of ours into the words of the open rig. */
export const useSay = (): ((text: string) => string) => use(SpeechContext);
