"use client";
import { Columns2, Copy, Download, FilePlus2, FolderOpen, Pencil, Trash2 } from "lucide-react";
import { useRef, useState } from "react";
import type { Fault } from "@/core/design/faults";
import { BIN_DAYS, type LibraryEntry } from "@/store/library";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { describeFault } from "@/words/faults";
import { nameSample } from "@/words/labels";
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
    <Sheet
      title="Designs"
      about="Kept in this browser. Save to a file what you want to keep for good. Deleted ones wait 30 days in the bin."
      onClose={onClose}
    >
      <div className="flex flex-wrap gap-2 pb-3">
        <Button look="plate" onClick={() => look({ overlay: "newDesign" })}>
          <FilePlus2 size={15} aria-hidden /> New design
        </Button>
        <Button onClick={() => input.current?.click()}>
          <FolderOpen size={15} aria-hidden /> Open a file
        </Button>
        <Button onClick={() => session.download()}>
          <Download size={15} aria-hidden /> Save the open one to a file
        </Button>
        <Button onClick={() => look({ overlay: "compare" })}>
          <Columns2 size={15} aria-hidden /> Compare
        </Button>
        <input
          ref={input}
          type="file"
          accept=".json,application/json"
          aria-label="Design file"
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
      <h3 className="plate mt-5 mb-1 text-[16px]">Sample rigs</h3>
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
      <h3 className="plate mt-4 mb-1 text-[16px]">Bare rigs, to lay out from nothing</h3>
      <div className="flex flex-wrap gap-2">
        {SAMPLES.filter((name) => !name.includes("-")).map((name) => (
          <Button
            key={name}
            onClick={() => {
              onClose();
              void session.openSample(name, true);
            }}
          >
            {nameSample(name)}, bare
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
          Licences of what Schleuse is built with
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
        In the bin: {bin.length}
      </summary>
      <ul className="mt-1 border-t border-rule" aria-label="In the bin">
        {bin.map(({ id, name, deletedAt }) => {
          const daysLeft = Math.min(BIN_DAYS, Math.max(0, Math.ceil(BIN_DAYS - (now - deletedAt) / 86_400_000)));
          return (
            <li key={id} className="flex min-h-11 items-center gap-1 border-b border-rule">
              <span className="min-w-0 flex-1 py-1.5 pl-2">
                <span className="block truncate">{name}</span>
                <span className="block text-[12.5px] text-faint">
                  gone for good in {daysLeft === 1 ? "1 day" : `${daysLeft} days`}
                </span>
              </span>
              <Button aria-label={`Put ${name} back`} onClick={() => void session.putBack(id)}>
                Put back
              </Button>
              <Button look="bare" aria-label={`Delete ${name} for good`} onClick={() => void session.destroy(id)}>
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
            {isOpen && <span className="font-normal text-faint">, open</span>}
          </span>
          <span className={`block text-[12.5px] ${fault ? "text-signal" : "text-faint"}`}>
            {fault ? describeTrouble(fault) : `kept ${formatWhen(savedAt)}`}
          </span>
        </button>
      )}
      {!fault && (
        <>
          <Button look="bare" aria-label={`Rename ${name}`} onClick={() => setIsRenaming(true)}>
            <Pencil size={15} aria-hidden />
          </Button>
          <Button look="bare" aria-label={`Duplicate ${name}`} onClick={() => void session.duplicate(id)}>
            <Copy size={15} aria-hidden />
          </Button>
        </>
      )}
      <Button look="bare" aria-label={`Delete ${name}`} onClick={() => void session.remove(id)}>
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
      aria-label={`New name of ${entry.name}`}
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
  `${fault.code === "newerVersion" ? "Newer." : "Damaged."} ${describeFault(fault)}`;

const formatWhen = (time: number): string =>
  new Date(time).toLocaleString("en-GB", { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" });
