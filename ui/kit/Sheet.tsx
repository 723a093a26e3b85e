"use client";
import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import type { KeyboardEvent, ReactNode } from "react";
import { workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/kit/sheet";
import { NoticeBar } from "./NoticeBar";
import { useSay } from "./useSay";

type SheetProps = {
  readonly title: string;
  readonly about?: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  /** How much of the screen of a desk it takes. */
  readonly size?: "plain" | "wide" | "full";
};

// What was done in a sheet is undone in it: the way the notice offers.
function undoWithKeys(event: KeyboardEvent): void {
  const isTyping = event.target instanceof HTMLElement && event.target.closest("input, textarea, select") !== null;
  if (isTyping || event.key.toLowerCase() !== "z" || event.shiftKey || !(event.ctrlKey || event.metaKey)) return;
  const { notice } = workbench.getState();
  if (notice?.action?.label !== "Undo") return;
  event.preventDefault();
  notice.action.run();
}

/** A sheet of paper laid over the drawings; the whole screen on a phone. */
const SIZES = {
  plain: "desk:w-[38rem]",
  wide: "desk:w-[60rem]",
  full: "desk:h-[92vh] desk:max-h-[92vh] desk:w-[94vw]",
} as const;

export function Sheet({ title, about, onClose, children, size = "plain" }: SheetProps) {
  const say = useSay();
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/35" />
        <Dialog.Content
          onKeyDown={undoWithKeys}
          {...(about ? {} : { "aria-describedby": undefined })}
          className={`fixed z-50 flex flex-col overflow-hidden border border-ink bg-paper text-ink shadow-[0_10px_40px_rgb(0_0_0/0.3)] phone:inset-0 desk:top-1/2 desk:left-1/2 desk:max-h-[86vh] desk:-translate-x-1/2 desk:-translate-y-1/2 ${SIZES[size]}`}
        >
          <header className="flex items-start gap-4 border-b border-ink px-5 pt-4 pb-3">
            <div className="flex-1">
              <Dialog.Title className="plate text-[22px] leading-tight">{say(title)}</Dialog.Title>
              {about && <Dialog.Description className="mt-0.5 text-faint">{say(about)}</Dialog.Description>}
            </div>
            <Dialog.Close
              aria-label={WORDS.close}
              className="-mr-2 inline-flex size-9 items-center justify-center rounded-[3px] hover:bg-pick phone:size-11"
            >
              <X size={18} aria-hidden />
            </Dialog.Close>
          </header>
          <section
            // biome-ignore lint/a11y/noNoninteractiveTabindex: a sheet longer than the screen must scroll by keyboard
            tabIndex={0}
            aria-label={say(title)}
            className="min-h-0 flex-1 overflow-y-auto px-5 py-4"
          >
            {children}
          </section>
          <NoticeBar isInSheet />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
