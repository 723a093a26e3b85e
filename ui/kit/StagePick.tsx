type StagePickProps = {
  readonly label: string;
  readonly value: string;
  readonly options: readonly { readonly id: string; readonly name: string }[];
  readonly onPick: (id: string) => void;
};

/** Which of several stands on the stage, in the platform's own list so that it works with a wet thumb. */
export function StagePick({ label, value, options, onPick }: StagePickProps) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => onPick(event.target.value)}
      className="plate shrink-0 border border-edge bg-sheet text-[18px] phone:min-h-11"
    >
      {options.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}
