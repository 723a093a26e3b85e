"use client";
import { Columns2, Copy, Download, FilePlus2, FolderOpen, Pencil, Trash2 } from "lucide-react";
import { useRef, useState } from "react";
import type { LibraryEntry } from "@/store/library";
import { SAMPLES } from "@/store/session";
import { useWorkbench } from "@/store/useWorkbench";
import { change, view as look } from "@/store/workbench";
import { describeFault } from "@/words/faults";
import { nameSample } from "@/words/labels";
import { Button } from "../kit/Button";
import { Sheet } from "../kit/Sheet";
import { openFile, session } from "../shell/browserSession";

/** Every design kept in this browser, and the ways in and out. */
export function LibrarySheet({ onClose }: { readonly onClose: () => void }) {
  const library = useWorkbench((state) => state.library);
  const openId = useWorkbench((state) => state.history?.design.id);
  const input = useRef<HTMLInputElement>(null);
  return (
    <Sheet
      title="Designs"
      about="Kept in this browser. Save to a file what you want to keep for good."
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
    </Sheet>
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
        <RenameField entry={entry} isOpen={isOpen} onDone={() => setIsRenaming(false)} />
      ) : (
        <button type="button" onClick={open} className="min-w-0 flex-1 py-1.5 pl-2 text-left hover:bg-pick">
          <span className={`block truncate ${isOpen ? "font-semibold" : ""}`}>
            {name}
            {isOpen && <span className="font-normal text-faint">, open</span>}
          </span>
          <span className={`block text-[12.5px] ${fault ? "text-signal" : "text-faint"}`}>
            {fault ? `Damaged. ${describeFault(fault)}` : `kept ${formatWhen(savedAt)}`}
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

function RenameField({
  entry,
  isOpen,
  onDone,
}: {
  readonly entry: LibraryEntry;
  readonly isOpen: boolean;
  readonly onDone: () => void;
}) {
  const [text, setText] = useState(entry.name);
  const rename = async () => {
    const value = text.trim();
    onDone();
    if (value === "" || value === entry.name) return;
    if (!isOpen) await session.open(entry.id);
    change({ code: "rename", at: { kind: "rig" }, ops: [{ op: "set", path: ["name"], value: value.slice(0, 80) }] });
    await session.flush();
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

const formatWhen = (time: number): string =>
  new Date(time).toLocaleString("en-GB", { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" });
