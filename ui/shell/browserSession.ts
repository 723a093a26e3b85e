import { cleanName } from "@/core/design/cleanText";
import { openDatabase } from "@/store/database";
import { createLocalSlip } from "@/store/localSlip";
import { Session } from "@/store/session";
import type { SessionWorld } from "@/store/sessionWorld";
import type { Theme } from "@/store/state";
import { view as look, tell, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/shell/browserSession";
import type { Units } from "@/words/units";
import { handOut } from "../kit/handOut";
import { THEME_KEY } from "./themeScript";

const UNITS_KEY = "schleuse-units";
const HELD_KEY = "schleuse-held";

const download = (name: string, text: string): void => handOut(name, text, "application/json");

async function readSample(name: string): Promise<string> {
  const answer = await fetch(`/samples/${encodeURIComponent(name)}`);
  if (!answer.ok) throw new Error(`sample ${name}: ${answer.status}`);
  return answer.text();
}

// they come when a file is saved or opened, and not with the page
const records: SessionWorld["records"] = {
  read: async (id) => (await import("@/store/records")).records.read(id),
  adopt: async (id, beside) => (await import("@/store/records")).records.adopt(id, beside),
};

/** The session of this tab. */
export const session = new Session({
  open: (onEvent) => openDatabase(onEvent),
  now: () => Date.now(),
  readSample,
  download,
  records,
  persist: () => void navigator.storage?.persist?.().catch(() => false),
  slip: createLocalSlip("schleuse-slip"),
  held: {
    read: () => Number(recall(HELD_KEY) ?? 0) || 0,
    write: (count) => remember(HELD_KEY, String(count)),
  },
});

function recall(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

// A link may name a sample rig: /?sample=otter-heads. Once it is opened, the page comes back to what was worked on last.
function takeAsked(): string | null {
  const asked = new URLSearchParams(location.search).get("sample");
  if (asked !== null) history.replaceState(history.state, "", location.pathname);
  return asked;
}

let started = false;

/** Starts the session once, however often the page is mounted. */
export async function startSession(): Promise<void> {
  if (started) return;
  started = true;
  look({ theme: document.documentElement.dataset["theme"] === "dark" ? "dark" : "light", units: readUnits() });
  watchLeaving();
  try {
    await session.start(takeAsked());
  } catch {
    workbench.setState({ phase: "failed" });
  }
}

// Leaving within a moment of an edit loses nothing; leaving with what could not be kept is asked about.
function watchLeaving(): void {
  const hide = () => session.hide();
  window.addEventListener("pagehide", hide);
  document.addEventListener("visibilitychange", () => {
    if (document.visibilityState === "hidden") hide();
  });
  window.addEventListener("beforeunload", (event) => {
    if (!session.canLeave()) event.preventDefault();
  });
}

/** Opens a file a builder chose or dropped; more than one at a time is too much of a good thing. */
export async function openFile(file: File | undefined): Promise<void> {
  if (!file) return;
  try {
    const { openText, refuseTooLarge } = await import("@/store/openText");
    const name = cleanName(file.name);
    if (!refuseTooLarge(file.size, name)) await openText(session, records, await file.text(), name);
  } catch {
    tell(WORDS.couldNotBeRead(cleanName(file.name)), { tone: "warning" });
  }
}

function readUnits(): Units {
  try {
    return localStorage.getItem(UNITS_KEY) === "imperial" ? "imperial" : "metric";
  } catch {
    return "metric";
  }
}

export function setUnits(units: Units): void {
  look({ units });
  remember(UNITS_KEY, units);
}

export function setTheme(theme: Theme): void {
  document.documentElement.dataset["theme"] = theme;
  look({ theme });
  remember(THEME_KEY, theme);
}

function remember(key: string, value: string): void {
  try {
    localStorage.setItem(key, value);
  } catch {
    // a browser that keeps nothing still works for the day
  }
}
