import type { ReactNode } from "react";

/** A group of measures under a name of its own. */
export function Group({
  title,
  children,
  aside,
}: {
  readonly title: string;
  readonly children: ReactNode;
  readonly aside?: ReactNode;
}) {
  return (
    <fieldset className="later border-t border-rule px-3 py-2 first:border-t-0">
      <legend className="sr-only">{title}</legend>
      <div className="flex min-h-7 items-center justify-between">
        <span className="plate text-[15px]" aria-hidden>
          {title}
        </span>
        {aside}
      </div>
      {children}
    </fieldset>
  );
}
