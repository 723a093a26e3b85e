"use client";
import { Popover } from "radix-ui";
import type { ReactNode, RefObject } from "react";

type SlipProps = {
  /** What it belongs to, and goes back to. */
  readonly anchor: RefObject<HTMLElement | SVGElement | null>;
  readonly label: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
};

/** A slip of paper beside what was pressed. */
export function Slip({ anchor, label, onClose, children }: SlipProps) {
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor virtualRef={anchor as RefObject<HTMLElement>} />
      <Popover.Portal>
        <Popover.Content
          aria-label={label}
          collisionPadding={10}
          sideOffset={6}
          // a second press on what it belongs to closes the slip; it must not be closed and opened again at once
          onInteractOutside={(event) => anchor.current?.contains(event.target as Node) && event.preventDefault()}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            anchor.current?.focus();
          }}
          className="z-40 max-h-[var(--radix-popover-content-available-height)] w-[23rem] max-w-[calc(100vw-20px)] overflow-y-auto border border-ink bg-sheet p-4 text-ink shadow-[0_6px_24px_rgb(0_0_0/0.25)]"
        >
          {children}
          <Popover.Arrow className="fill-ink" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
