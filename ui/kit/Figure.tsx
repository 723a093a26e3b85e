"use client";
import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { WorkingSheet } from "./WorkingSheet";

type FigureProps = {
  /** Name of the working behind the figure. */
  readonly working: string;
  readonly label: string;
  readonly children: ReactNode;
  readonly className?: string;
};

/** A figure that opens to its working. */
export function Figure({ working, label, children, className = "" }: FigureProps) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`${label}: show the working`}
        className={`figures cursor-help rounded-[2px] decoration-faint decoration-dotted decoration-1 underline-offset-[5px] hover:bg-pick hover:underline data-[state=open]:bg-pick ${className}`}
      >
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          collisionPadding={10}
          sideOffset={6}
          className="z-40 w-[23rem] max-w-[calc(100vw-20px)] border border-ink bg-sheet p-4 text-ink shadow-[0_6px_24px_rgb(0_0_0/0.25)]"
        >
          <WorkingSheet working={working} />
          <Popover.Arrow className="fill-ink" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
