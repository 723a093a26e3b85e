import type { GlossaryName } from "@/words/glossary";
import { WORD_DRAWINGS, type WordPicture } from "./wordDrawings";

const LOOKS: readonly (readonly [layer: keyof WordPicture, stroke: string, width: number, dash?: string])[] = [
  ["faint", "var(--faint)", 1.2, "4 3"],
  ["ink", "var(--ink)", 1.6],
  ["mark", "var(--enamel)", 2.4],
  ["fault", "var(--signal)", 2.4],
];

/** The small picture of a word of the trade. */
export function WordDrawing({ word, className = "" }: { readonly word: GlossaryName; readonly className?: string }) {
  const picture = WORD_DRAWINGS[word];
  return (
    <svg
      viewBox="0 0 120 72"
      className={className}
      aria-hidden
      fill="none"
      strokeLinejoin="round"
      strokeLinecap="round"
    >
      {picture.water && <path d={picture.water} fill="var(--water)" fillOpacity={0.3} />}
      {LOOKS.map(
        ([layer, stroke, width, dash]) =>
          picture[layer] && (
            <path key={layer} d={picture[layer]} stroke={stroke} strokeWidth={width} strokeDasharray={dash} />
          ),
      )}
    </svg>
  );
}
