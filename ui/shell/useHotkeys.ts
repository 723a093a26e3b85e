"use client";
import { useEffect } from "react";
import { workbench } from "@/store/workbench";
import { COMMANDS } from "./commands";

/** Runs commands from the keyboard. Letters are left alone while something is typed, and everything while a sheet is open. */
export function useHotkeys(): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.altKey) return;
      const pressed = toChord(event);
      const command = COMMANDS.find((c) => c.keys.includes(pressed));
      if (!command || workbench.getState().overlay !== null) return;
      const isPlain = !pressed.startsWith("mod+");
      if (isPlain && isTyping(event.target)) return;
      if (isTyping(event.target) && (command.id === "undo" || command.id === "redo")) return;
      if (pressed !== "escape") event.preventDefault();
      command.run();
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, []);
}

function toChord(event: KeyboardEvent): string {
  const key = event.key.toLowerCase();
  if (!event.ctrlKey && !event.metaKey) return key;
  return `mod+${event.shiftKey ? "shift+" : ""}${key}`;
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest("input, select, textarea, [contenteditable]") !== null;
