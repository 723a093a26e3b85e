"use client";
import { Columns2, Copy, Download, FilePlus2, FolderOpen, Pencil, Trash2 } from "lucide-react";
import { useRef, useState } from "react";
import type { Fault } from "@/core/design/faults";
import { BIN_DAYS, type LibraryEntry } from "@/store/library";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { describeFault } from "@/words/faults";
import * as WORDS from "@/words/panels/library/librarySheet";
import { nameSample } from "@/words/samples";
import { Button } from "../kit/Button";
import { Sheet } from "../kit/Sheet";
import { openFile, session } from "../shell/browserSession";
import { SAMPLES } from "./samples";

/** Every design kept in this browser, and the ways in and out. */
export function LibrarySheet({ onClose }: { readonly onClose: () => void }) {
  const library = useWorkbench((state) => state.library);
  const openId = useWorkbench((state) => state.history?.design.id);
  const input = useRef<HTMLInputElement>(null);
  return (
    <Sheet title={WORDS.designs} about={WORDS.keptInThisBrowserSave} onClose={onClose}>
      <div className="flex flex-wrap gap-2 pb-3">
        <Button look="plate" onClick={() => look({ overlay: "newDesign" })}>
          <FilePlus2 size={15} aria-hidden /> {WORDS.newDesign}
        </Button>
        <Button onClick={() => input.current?.click()}>
          <FolderOpen size={15} aria-hidden /> {WORDS.openAFile}
        </Button>
        <Button onClick={() => session.download()}>
          <Download size={15} aria-hidden /> {WORDS.saveTheOpenOneTo}
        </Button>
        <Button onClick={() => look({ overlay: "compare" })}>
          <Columns2 size={15} aria-hidden /> {WORDS.compare}
        </Button>
        <input
          ref={input}
          type="file"
          accept=".json,application/json"
          aria-label={WORDS.designFile}
          className="hidden"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = "";
            onClose();
            void openFile(file);
          }}
        />
      </div>
      <ul className="border-t border-ink">
        {library.map((entry) => (
          <LibraryRow key={entry.id} entry={entry} isOpen={entry.id === openId} onClose={onClose} />
        ))}
      </ul>
      <Bin />
      <h3 className="plate mt-5 mb-1 text-[16px]">{WORDS.sampleRigs}</h3>
      <div className="flex flex-wrap gap-2">
        {SAMPLES.map((name) => (
          <Button
            key={name}
            onClick={() => {
              onClose();
              void session.openSample(name);
            }}
          >
            {nameSample(name)}
          </Button>
        ))}
      </div>
      <h3 className="plate mt-4 mb-1 text-[16px]">{WORDS.bareRigsToLayOut}</h3>
      <div className="flex flex-wrap gap-2">
        {SAMPLES.filter((name) => !name.includes("-")).map((name) => (
          <Button
            key={name}
            onClick={() => {
              onClose();
              void session.openSample(name, true);
            }}
          >
            {nameSample(name)}
            {WORDS.bare}
          </Button>
        ))}
      </div>
      <p className="mt-5 text-[12.5px] text-faint">
        <a
          href="/licences.txt"
          target="_blank"
          rel="noreferrer"
          className="underline decoration-dotted underline-offset-4"
        >
          {WORDS.licencesOfWhatSchleuseIs}
        </a>
      </p>
    </Sheet>
  );
}

/** What was deleted, and for how long it can still be put back. */
function Bin() {
  const bin = useWorkbench((state) => state.bin);
  const [now] = useState(() => Date.now());
  if (bin.length === 0) return null;
  return (
    <details className="mt-3">
      <summary className="cursor-pointer text-[13.5px] text-enamel underline decoration-dotted underline-offset-4">
        {WORDS.inTheBin} {bin.length}
      </summary>
      <ul className="mt-1 border-t border-rule" aria-label={WORDS.inTheBin2}>
        {bin.map(({ id, name, deletedAt }) => {
          const daysLeft = Math.min(BIN_DAYS, Math.max(0, Math.ceil(BIN_DAYS - (now - deletedAt) / 86_400_000)));
          return (
            <li key={id} className="flex min-h-11 items-center gap-1 border-b border-rule">
              <span className="min-w-0 flex-1 py-1.5 pl-2">
                <span className="block truncate">{name}</span>
                <span className="block text-[12.5px] text-faint">
                  {WORDS.goneForGoodIn} {daysLeft === 1 ? WORDS.n1Day : WORDS.days(daysLeft)}
                </span>
              </span>
              <Button aria-label={WORDS.putBack(name)} onClick={() => void session.putBack(id)}>
                {WORDS.putBack2}
              </Button>
              <Button look="bare" aria-label={WORDS.deleteForGood(name)} onClick={() => void session.destroy(id)}>
                <Trash2 size={15} aria-hidden />
              </Button>
            </li>
          );
        })}
      </ul>
    </details>
  );
}

type RowProps = { readonly entry: LibraryEntry; readonly isOpen: boolean; readonly onClose: () => void };

function LibraryRow({ entry, isOpen, onClose }: RowProps) {
  const [isRenaming, setIsRenaming] = useState(false);
  const { id, name, savedAt, fault } = entry;
  const open = () => {
    onClose();
    void session.open(id);
  };
  return (
    <li className="flex min-h-11 items-center gap-1 border-b border-rule">
      {isRenaming ? (
        <RenameField entry={entry} onDone={() => setIsRenaming(false)} />
      ) : (
        <button type="button" onClick={open} className="min-w-0 flex-1 py-1.5 pl-2 text-left hover:bg-pick">
          <span className={`block truncate ${isOpen ? "font-semibold" : ""}`}>
            {name}
            {isOpen && <span className="font-normal text-faint">{WORDS.open}</span>}
          </span>
          <span className={`block text-[12.5px] ${fault ? "text-signal" : "text-faint"}`}>
            {fault ? describeTrouble(fault) : WORDS.kept(formatWhen(savedAt))}
          </span>
        </button>
      )}
      {!fault && (
        <>
          <Button look="bare" aria-label={WORDS.rename(name)} onClick={() => setIsRenaming(true)}>
            <Pencil size={15} aria-hidden />
          </Button>
          <Button look="bare" aria-label={WORDS.duplicate(name)} onClick={() => void session.duplicate(id)}>
            <Copy size={15} aria-hidden />
          </Button>
        </>
      )}
      <Button look="bare" aria-label={WORDS.deleteIt(name)} onClick={() => void session.remove(id)}>
        <Trash2 size={15} aria-hidden />
      </Button>
    </li>
  );
}

function RenameField({ entry, onDone }: { readonly entry: LibraryEntry; readonly onDone: () => void }) {
  const [text, setText] = useState(entry.name);
  const rename = async () => {
    const value = text.trim();
    onDone();
    if (value === "" || value === entry.name) return;
    await session.rename(entry.id, value.slice(0, 80));
  };
  return (
    <input
      // biome-ignore lint/a11y/noAutofocus: the builder asked to rename this one
      autoFocus
      aria-label={WORDS.newNameOf(entry.name)}
      value={text}
      maxLength={80}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => void rename()}
      onKeyDown={(event) => {
        if (event.key === "Enter") void rename();
        if (event.key === "Escape") {
          event.stopPropagation();
          onDone();
        }
      }}
      className="h-9 min-w-0 flex-1 border border-enamel bg-sheet px-2"
    />
  );
}

const describeTrouble = (fault: Fault): string =>
  `${fault.code === "newerVersion" ? WORDS.newer : WORDS.damaged} ${describeFault(fault)}`;

const formatWhen = (time: number): string =>
  new Date(time).toLocaleString("en-GB", { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" });
