import type { SlipPlace } from "./slip";

/** A place in the browser's local store, which takes a text at once. Where it cannot be reached nothing is left there. */
export function createLocalSlip(key: string): SlipPlace {
  return {
    read: () => {
      try {
        return localStorage.getItem(key);
      } catch {
        return null;
      }
    },
    write: (text) => localStorage.setItem(key, text),
    clear: () => {
      try {
        localStorage.removeItem(key);
      } catch {
        // nothing was kept either
      }
    },
  };
}
