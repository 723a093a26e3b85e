"use client";
import dynamic from "next/dynamic";
import { type CSSProperties, type ReactNode, useRef, useState } from "react";
import * as WORDS from "@/words/panels/kit/figure";
import { useSay } from "./useSay";

// The sheet and what places it beside the figure load when the first figure is opened.
const WorkingPopover = dynamic(() => import("./WorkingPopover").then((module) => module.WorkingPopover), {
  ssr: false,
});

type FigureProps = {
  /** Name of the working behind the figure. */
  readonly working: string;
  readonly label: string;
  readonly children: ReactNode;
  readonly className?: string;
  readonly style?: CSSProperties;
  /** Key of the part it is about: it and what else is about it light each other up. */
  readonly part?: string;
};

/** A figure that opens to its working. */
export function Figure({ working, label, children, className = "", style, part }: FigureProps) {
  const [isOpen, setIsOpen] = useState(false);
  const say = useSay();
  const button = useRef<HTMLButtonElement>(null);
  return (
    <>
      <button
        ref={button}
        type="button"
        aria-label={WORDS.showTheWorking(say(label))}
        aria-haspopup="dialog"
        aria-expanded={isOpen}
        onClick={() => setIsOpen(!isOpen)}
        {...(style ? { style } : {})}
        data-part={part}
        className={`figures cursor-help rounded-[2px] decoration-faint decoration-dotted decoration-1 underline-offset-[5px] hover:bg-pick hover:underline aria-expanded:bg-pick ${className}`}
      >
        {children}
      </button>
      {isOpen && <WorkingPopover anchor={button} working={working} onClose={() => setIsOpen(false)} />}
    </>
  );
}
