"use client";
import { ArrowRightLeft } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import {
  buildTakeOver,
  type Difference,
  listDifferences,
  type Summary,
  summarize,
} from "@/core/compare/compareDesigns";
import type { Design } from "@/core/design/design";
import type { StandingMap } from "@/core/evaluate/standingMap";
import { useWorkbench } from "@/store/useWorkbench";
import { change, tell, undo } from "@/store/workbench";
import { describeFault } from "@/words/faults";
import { formatLength, formatNumber, formatQuantity, formatRun, type Units } from "@/words/units";
import { ask } from "@/workers/client";
import { Button } from "../kit/Button";
import { FIELD_LOOK } from "../kit/FieldRow";
import { Sheet } from "../kit/Sheet";
import { findMapRange } from "../level/findMapRange";
import { StandingField } from "../level/StandingField";
import { session } from "../shell/browserSession";

/** The open design beside another one: what each comes to, where they differ, and a part taken over. */
export function CompareSheet({ onClose }: { readonly onClose: () => void }) {
  const here = useWorkbench((state) => state.history!.design);
  const library = useWorkbench((state) => state.library);
  const others = library.filter((entry) => entry.id !== here.id && entry.fault === null);
  const [otherId, setOtherId] = useState(() => others[0]?.id ?? "");
  const [there, setThere] = useState<Design | null>(null);
  useEffect(() => {
    let gone = false;
    void session.read(otherId).then((design) => !gone && setThere(design));
    return () => {
      gone = true;
    };
  }, [otherId]);
  return (
    <Sheet
      title="Compare"
      about="The open design beside another one. Duplicate a design to try a variant."
      onClose={onClose}
      size="wide"
    >
      {others.length === 0 ? (
        <p>There is no other design yet. Duplicate this one under Designs, change it, then compare.</p>
      ) : (
        <>
          <div className="flex flex-wrap items-center gap-3">
            <span className="plate text-[18px]">{here.name}</span>
            <span className="text-faint">beside</span>
            <select
              aria-label="The other design"
              value={otherId}
              onChange={(event) => setOtherId(event.target.value)}
              className={`min-w-44 text-[15px] ${FIELD_LOOK}`}
            >
              {others.map((entry) => (
                <option key={entry.id} value={entry.id}>
                  {entry.name}
                </option>
              ))}
            </select>
            <Button
              onClick={() => {
                onClose();
                void session.open(otherId);
              }}
            >
              <ArrowRightLeft size={14} aria-hidden /> Open it instead
            </Button>
          </div>
          {there && <Comparison here={here} there={there} />}
        </>
      )}
    </Sheet>
  );
}

function Comparison({ here, there }: { readonly here: Design; readonly there: Design }) {
  const units = useWorkbench((state) => state.units);
  const [mine, theirs] = useMemo(() => [summarize(here), summarize(there)], [here, there]);
  const differences = useMemo(() => listDifferences(here, there), [here, there]);
  return (
    <div className="mt-4 grid gap-6 desk:grid-cols-[1fr_14rem]">
      <div>
        <table className="w-full text-[14px]" aria-label="Both designs in figures">
          <thead>
            <tr className="border-b border-ink text-left">
              <th className="font-normal text-faint">
                <span className="sr-only">Figure</span>
              </th>
              <th className="plate pb-1 text-right">{here.name}</th>
              <th className="plate pb-1 text-right">{there.name}</th>
            </tr>
          </thead>
          <tbody>
            {listRows(mine, theirs, units).map(([name, left, right]) => (
              <tr key={name} className="border-b border-rule">
                <td className="py-1 text-faint">{name}</td>
                <td className="figures text-right text-[16px]">{left}</td>
                <td className={`figures text-right text-[16px] ${left === right ? "text-faint" : ""}`}>{right}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <Differences here={here} there={there} differences={differences} />
      </div>
      <div className="flex gap-4 desk:flex-col">
        <SmallMap design={here} />
        <SmallMap design={there} />
      </div>
    </div>
  );
}

type Row = readonly [name: string, here: string, there: string];

function listRows(mine: Summary, theirs: Summary, units: Units): Row[] {
  const ids = [...new Set([...mine.drains, ...theirs.drains].map(({ lineId }) => lineId))];
  const drainRows = ids.flatMap((id): Row[] => {
    const [a, b] = [mine, theirs].map(({ drains }) => drains.find(({ lineId }) => lineId === id));
    const name = (a ?? b)!.name;
    const show = (mm: number | undefined) => (mm === undefined ? "none" : formatLength(mm, units));
    return [
      [`${name}, in hand level`, show(a?.levelMm), show(b?.levelMm)],
      [`${name}, in hand at worst`, show(a?.worstMm), show(b?.worstMm)],
    ];
  });
  const both = (name: string, format: (side: Summary) => string): Row => [name, format(mine), format(theirs)];
  return [
    both("To settle before you drill", ({ musts }) => String(musts)),
    both("You'd regret", ({ shoulds }) => String(shoulds)),
    ...drainRows,
    both("Usable, worst standing", ({ usableL }) => formatQuantity(usableL, "volume", units)),
    both("Days, standing level", ({ days }) => (days === null ? "none" : formatNumber(days, 1))),
    both("Pipe to buy", ({ pipeM }) => formatRun(pipeM, units)),
    both("Bends, fittings, traps", ({ pieces }) => String(pieces)),
  ];
}

const HOW = { changed: "is different", onlyHere: "is only here", onlyThere: "is only there" } as const;

type DifferencesProps = {
  readonly here: Design;
  readonly there: Design;
  readonly differences: readonly Difference[];
};

function Differences({ here, there, differences }: DifferencesProps) {
  const [refusal, setRefusal] = useState<string | null>(null);
  const take = (difference: Difference) => {
    const edit = buildTakeOver(here, there, difference);
    if (!edit) return;
    const outcome = change(edit);
    setRefusal(outcome.ok ? null : outcome.faults[0] ? describeFault(outcome.faults[0]) : "That is not possible here.");
    if (outcome.ok) tell(`${difference.name} is copied here.`, { action: { label: "Undo", run: undo } });
  };
  return (
    <>
      <h3 className="plate mt-5 mb-1 text-[17px]">Where they differ</h3>
      {differences.length === 0 && <p className="text-faint">Nowhere: every part is the same.</p>}
      <ul>
        {differences.map((difference) => (
          <li
            key={`${difference.list}:${difference.id}`}
            className="flex min-h-9 items-center gap-3 border-b border-rule text-[14px]"
          >
            <span className="flex-1">
              {difference.name} <span className="text-faint">{HOW[difference.how]}</span>
            </span>
            {difference.how !== "onlyHere" && <Button onClick={() => take(difference)}>Copy it here</Button>}
          </li>
        ))}
      </ul>
      {refusal && (
        <p role="alert" className="pt-1 text-[13px] text-signal">
          {refusal} Take over what it belongs to first.
        </p>
      )}
    </>
  );
}

const SMALL_MAP = 41;

function SmallMap({ design }: { readonly design: Design }) {
  const [map, setMap] = useState<StandingMap | null>(null);
  useEffect(() => {
    const abort = new AbortController();
    const input = { design, size: SMALL_MAP, rangeDeg: findMapRange(design.rig) };
    void ask("standingMap", input, { signal: abort.signal }).then((asked) => {
      if (asked.status === "ready") setMap(asked.answer);
    });
    return () => abort.abort();
  }, [design]);
  return (
    <figure className="min-w-0 flex-1 desk:flex-none">
      <div className="relative aspect-square w-full max-w-[13rem] border border-ink bg-sheet">
        <StandingField map={map} pixels={240} />
      </div>
      <figcaption className="text-[12.5px] text-faint">{design.name}. Right: nose high. Up: left side high.</figcaption>
    </figure>
  );
}
