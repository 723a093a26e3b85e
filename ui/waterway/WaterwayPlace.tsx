import type { ReactNode } from "react";
import type { Frame } from "../drawing/useFrame";

type WaterwayPlaceProps = {
  readonly frame: Frame<HTMLDivElement>;
  readonly label: string;
  readonly className: string;
  readonly children: ReactNode;
};

/** Where a Waterway is read that may be higher than its place: it scrolls, and shows that there is more. */
export function WaterwayPlace({ frame, label, className, children }: WaterwayPlaceProps) {
  return (
    <div
      ref={frame.ref}
      className={`more overflow-y-auto ${className}`}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keys
      tabIndex={0}
      role="group"
      aria-label={label}
    >
      {children}
    </div>
  );
}
