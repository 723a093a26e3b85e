"use client";
import { Popover } from "radix-ui";
import type { RefObject } from "react";
import * as WORDS from "@/words/panels/kit/workingPopover";
import { WorkingSheet } from "./WorkingSheet";

type WorkingPopoverProps = {
  readonly anchor: RefObject<HTMLButtonElement | null>;
  readonly working: string;
  readonly onClose: () => void;
};

/** The working of a figure on a slip of paper beside it. */
export function WorkingPopover({ anchor, working, onClose }: WorkingPopoverProps) {
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor virtualRef={anchor as RefObject<HTMLButtonElement>} />
      <Popover.Portal>
        <Popover.Content
          aria-label={WORDS.working}
          collisionPadding={10}
          sideOffset={6}
          // a second press on the figure closes the slip; it must not be closed and opened again at once
          onInteractOutside={(event) => anchor.current?.contains(event.target as Node) && event.preventDefault()}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            anchor.current?.focus();
          }}
          className="z-40 max-h-[var(--radix-popover-content-available-height)] w-[23rem] max-w-[calc(100vw-20px)] overflow-y-auto border border-ink bg-sheet p-4 text-ink shadow-[0_6px_24px_rgb(0_0_0/0.25)]"
        >
          <WorkingSheet working={working} />
          <Popover.Arrow className="fill-ink" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
