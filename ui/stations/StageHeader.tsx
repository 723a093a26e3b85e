import type { ReactNode } from "react";

type StageHeaderProps = {
  readonly title: string;
  readonly text: ReactNode;
  /** Chooses what is shown, where there are several. */
  readonly choice?: ReactNode;
};

/** What stands on the stage, and in one line what it comes to. */
export function StageHeader({ title, text, choice }: StageHeaderProps) {
  return (
    <header className="flex min-h-11 flex-wrap items-baseline gap-x-3 border-b border-rule bg-sheet px-3 py-2">
      {choice ?? <h2 className="plate shrink-0 text-[19px] leading-tight">{title}</h2>}
      <div className="min-w-0 text-[14px] leading-snug" data-testid="stage-line">
        {text}
      </div>
    </header>
  );
}
