"use client";
import { FolderOpen, Moon, Redo2, Search, Sun, Undo2, Waypoints } from "lucide-react";
import dynamic from "next/dynamic";
import { useEffect, useState } from "react";
import { isUnkept } from "@/store/committed";
import type { SaveState } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, redo, undo } from "@/store/workbench";
import type { describeEdit } from "@/words/edits";
import * as WORDS from "@/words/panels/shell/topBar";
import { Button } from "../kit/Button";
import { useSettled } from "../kit/useSettled";
import { setTheme, setUnits } from "./browserSession";

// a newer version is looked for when the page has nothing better to do
const UpdateLine = dynamic(() => import("./UpdateLine").then((module) => module.UpdateLine), { ssr: false });

const SAVE_WORDS: Readonly<Record<SaveState, string>> = {
  saved: WORDS.keptInThisBrowser,
  saving: "keeping",
  unsaved: "keeping",
  full: WORDS.notKeptStoreFull,
  failed: WORDS.notKept,
  conflict: WORDS.changedInAnotherTab,
  deleted: WORDS.inTheBin,
  away: WORDS.notKeptNoStore,
};

/** Which design is open, whether it is kept, and the way back. */
export function TopBar() {
  const name = useWorkbench((state) => state.history?.design.name);
  const save = useWorkbench((state) => state.save);
  const units = useWorkbench((state) => state.units);
  const theme = useWorkbench((state) => state.theme);
  const isReady = useWorkbench((state) => state.phase === "ready");
  const isSettled = useSettled(isReady);
  const troubled = isUnkept(save);
  return (
    <header className="flex h-12 shrink-0 items-center gap-2 border-b border-ink bg-paper px-3 phone:gap-1 phone:px-2">
      <h1 className="plate mr-1 border-[1.5px] border-enamel px-1.5 text-[17px] leading-[22px] text-enamel phone:hidden">
        Schleuse
      </h1>
      <Button
        look="bare"
        onClick={() => look({ overlay: "library" })}
        className="min-w-0"
        aria-label={WORDS.designsIsOpen(name ?? "none")}
      >
        <FolderOpen size={16} aria-hidden className="shrink-0" />
        <span className="plate truncate text-[17px]">{name ?? ""}</span>
      </Button>
      <span
        className={`truncate text-[12.5px] ${troubled ? "font-semibold text-signal" : "text-faint"} phone:hidden`}
        data-testid="save-state"
      >
        {SAVE_WORDS[save]}
      </span>
      <span className="flex-1" />
      {isSettled && <UpdateLine />}
      <WayBack />
      <Button look="bare" onClick={() => look({ overlay: "waterway" })} aria-label={WORDS.waterway} title={WORDS.keyY}>
        <Waypoints size={16} aria-hidden />
      </Button>
      <Button
        look="bare"
        onClick={() => setUnits(units === "metric" ? "imperial" : "metric")}
        aria-label={units === "metric" ? WORDS.showInchesAndGallons : WORDS.showMillimetresAndLitres}
        title={WORDS.keyU}
        className="whitespace-nowrap phone:hidden"
      >
        <span className="figures text-[15px]">{units === "metric" ? WORDS.mmL : WORDS.inGal}</span>
      </Button>
      <Button
        look="bare"
        onClick={() => setTheme(theme === "light" ? "dark" : "light")}
        aria-label={theme === "light" ? WORDS.darkForUnderTheRig : WORDS.light}
        title={WORDS.keyD}
      >
        {theme === "light" ? <Moon size={16} aria-hidden /> : <Sun size={16} aria-hidden />}
      </Button>
      <Button
        look="bare"
        onClick={() => look({ overlay: "palette" })}
        aria-label={WORDS.searchCommands}
        title={WORDS.ctrlK}
      >
        <Search size={16} aria-hidden />
      </Button>
    </header>
  );
}

function WayBack() {
  const last = useWorkbench((state) => state.history?.past[state.history.past.length - 1]);
  const next = useWorkbench((state) => state.history?.future[0]);
  const nameEdit = useEditWords(Boolean(last ?? next));
  const title = (verb: string, step: typeof last) =>
    step && nameEdit ? `${verb}: ${nameEdit(step.edit, step.before)}` : verb;
  return (
    <>
      <Button
        look="bare"
        disabled={!last}
        onClick={undo}
        aria-label={title(WORDS.undo, last)}
        title={title(WORDS.undo, last)}
      >
        <Undo2 size={17} aria-hidden />
      </Button>
      <Button
        look="bare"
        disabled={!next}
        onClick={redo}
        aria-label={title(WORDS.redo, next)}
        title={title(WORDS.redo, next)}
      >
        <Redo2 size={17} aria-hidden />
      </Button>
    </>
  );
}

// What an edit is called is fetched with the first edit: a page that comes up has none.
function useEditWords(isAsked: boolean): typeof describeEdit | null {
  const [words, setWords] = useState<{ readonly describe: typeof describeEdit } | null>(null);
  useEffect(() => {
    if (!isAsked) return;
    import("@/words/edits").then((loaded) => setWords({ describe: loaded.describeEdit })).catch(() => undefined);
  }, [isAsked]);
  return words?.describe ?? null;
}
