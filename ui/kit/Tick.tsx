"use client";
import { useId } from "react";
import { useSay } from "./useSay";

/** Yes or no, with a box large enough for a thumb. */
export function Tick({
  label,
  value,
  onPick,
}: {
  readonly label: string;
  readonly value: boolean;
  readonly onPick: (value: boolean) => void;
}) {
  const id = useId();
  const say = useSay();
  return (
    <div className="flex min-h-8 items-center gap-2 phone:min-h-11">
      <label htmlFor={id} className="min-w-0 flex-1 text-[13px] text-faint phone:text-[15px]">
        {say(label)}
      </label>
      <input
        id={id}
        type="checkbox"
        checked={value}
        onChange={(event) => onPick(event.target.checked)}
        className="size-4 accent-enamel phone:size-6"
      />
    </div>
  );
}
