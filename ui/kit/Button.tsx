import type { ComponentProps } from "react";

const LOOKS = {
  /** The one thing to do. */
  plate: "bg-enamel text-on-enamel border-enamel hover:brightness-110 disabled:opacity-50",
  /** One of several things to do. */
  line: "border-edge text-ink hover:bg-pick disabled:text-faint disabled:border-rule disabled:hover:bg-transparent",
  /** In a row of tools. */
  bare: "border-transparent text-ink hover:bg-pick disabled:text-faint disabled:opacity-60 disabled:hover:bg-transparent",
} as const;

type ButtonProps = ComponentProps<"button"> & { readonly look?: keyof typeof LOOKS };

export function Button({ look = "line", className = "", ...props }: ButtonProps) {
  return (
    <button
      type="button"
      {...props}
      className={`inline-flex min-h-8 items-center justify-center gap-1.5 rounded-[3px] border px-2.5 text-[13px] leading-tight phone:min-h-11 phone:px-3.5 phone:text-[15px] ${LOOKS[look]} ${className}`}
    />
  );
}
