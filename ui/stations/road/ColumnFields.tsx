"use client";
import { useState } from "react";
import type { LogColumn, LogColumns } from "@/files/logCsv";
import * as WORDS from "@/words/panels/road/columnFields";
import { LOG_COLUMN_NAMES } from "@/words/road";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";

/** A file whose columns do not say what they are. */
export type AskedColumns = {
  readonly name: string;
  readonly text: string;
  readonly names: readonly string[];
  readonly guess: LogColumns;
};

/** Which column of a file is which, said by hand where its first line does not. */
export function ColumnFields({
  asked,
  onRead,
}: {
  readonly asked: AskedColumns;
  readonly onRead: (columns: LogColumns) => void;
}) {
  const [columns, setColumns] = useState<LogColumns>(asked.guess);
  const options = {
    "-1": "none",
    ...Object.fromEntries(asked.names.map((name, i) => [String(i), name === "" ? `column ${i + 1}` : name])),
  };
  const order = ["-1", ...asked.names.map((_, i) => String(i))];
  const isClear = columns.at >= 0 && columns.what >= 0;
  return (
    <fieldset className="mb-2 border-l-2 border-enamel pl-2">
      <legend className="text-[13.5px]">
        {WORDS.whichColumnOf} {asked.name} {WORDS.isWhich}
      </legend>
      {(Object.keys(LOG_COLUMN_NAMES) as LogColumn[]).map((column) => (
        <Pick
          key={column}
          label={LOG_COLUMN_NAMES[column]}
          value={String(columns[column])}
          names={options}
          order={order}
          onPick={(index) => setColumns({ ...columns, [column]: Number(index) })}
        />
      ))}
      <Button className="mt-1" disabled={!isClear} onClick={() => onRead(columns)}>
        {WORDS.readItSo}
      </Button>
      {!isClear && (
        <p className="text-[12.5px] text-faint">
          <Trade>{WORDS.whenAndWhatAreWanted}</Trade>
        </p>
      )}
    </fieldset>
  );
}
