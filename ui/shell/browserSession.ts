import { openBrowserStore, Session } from "@/store/session";
import type { Theme } from "@/store/state";
import { view as look, tell, workbench } from "@/store/workbench";
import type { Units } from "@/words/units";
import { handOut } from "../kit/handOut";
import { THEME_KEY } from "./themeScript";

const UNITS_KEY = "schleuse-units";

const download = (name: string, text: string): void => handOut(name, text, "application/json");

async function readSample(name: string): Promise<string> {
  const answer = await fetch(`/samples/${name}`);
  if (!answer.ok) throw new Error(`sample ${name}: ${answer.status}`);
  return answer.text();
}

/** The session of this tab. */
export const session = new Session({ open: openBrowserStore, now: () => Date.now(), readSample, download });

let started = false;

/** Starts the session once, however often the page is mounted. */
export async function startSession(): Promise<void> {
  if (started) return;
  started = true;
  look({ theme: document.documentElement.dataset["theme"] === "dark" ? "dark" : "light", units: readUnits() });
  try {
    await session.start();
  } catch {
    workbench.setState({ phase: "failed" });
  }
}

/** Opens a file a builder chose or dropped; more than one at a time is too much of a good thing. */
export async function openFile(file: File | undefined): Promise<void> {
  if (!file) return;
  try {
    await session.openText(await file.text(), file.name);
  } catch {
    tell(`${file.name} could not be read.`, { tone: "warning" });
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
