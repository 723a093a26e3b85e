"use client";
import dynamic from "next/dynamic";
import { type ReactNode, useRef, useState } from "react";
import type { GlossaryName } from "@/words/glossary";

const WordSlip = dynamic(() => import("./WordSlip").then((module) => module.WordSlip), { ssr: false });

type WordLinkProps = {
  readonly word: GlossaryName;
  readonly children: ReactNode;
  readonly label?: string;
  readonly className?: string;
};

/** A word of the trade that opens to what it means. */
export function WordLink({ word, children, label, className = "" }: WordLinkProps) {
  const [isOpen, setOpen] = useState(false);
  const anchor = useRef<HTMLAnchorElement>(null);
  return (
    <>
      <a
        ref={anchor}
        href={`#${word.toLowerCase().replaceAll(" ", "-")}`}
        {...(label ? { "aria-label": label } : {})}
        onClick={(event) => {
          event.preventDefault();
          setOpen(!isOpen);
        }}
        className={`decoration-faint decoration-dotted decoration-1 underline-offset-[3px] hover:bg-pick ${className || "underline"}`}
      >
        {children}
      </a>
      {isOpen && <WordSlip anchor={anchor} word={word} onClose={() => setOpen(false)} />}
    </>
  );
}
