"use client";
import type { RefObject } from "react";
import * as WORDS from "@/words/panels/kit/workingPopover";
import { Slip } from "./Slip";
import { WorkingSheet } from "./WorkingSheet";

type WorkingPopoverProps = {
  readonly anchor: RefObject<HTMLButtonElement | null>;
  readonly working: string;
  readonly onClose: () => void;
};

/** The working of a figure on a slip of paper beside it. */
export function WorkingPopover({ anchor, working, onClose }: WorkingPopoverProps) {
  return (
    <Slip anchor={anchor} label={WORDS.working} onClose={onClose}>
      <WorkingSheet working={working} />
    </Slip>
  );
}
