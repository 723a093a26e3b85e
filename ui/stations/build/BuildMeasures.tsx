"use client";
import { Download } from "lucide-react";
import { useMemo, useState } from "react";
import { planBars } from "@/core/build/bars";
import { listCuts } from "@/core/build/cuts";
import { useWorkbench } from "@/store/useWorkbench";
import { CUT_NOTE, describeCutEnd, describeCutEnds, describeCutLength, NO_PIPE_BETWEEN } from "@/words/cuts";
import * as WORDS from "@/words/panels/build/buildMeasures";
import { describePipe } from "@/words/parts";
import { formatLength } from "@/words/units";
import { Group } from "../../fields/Group";
import { keepWithin } from "../../fields/keepWithin";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { AsBuiltFields } from "./AsBuiltFields";
import { BookFields, DrawingFiles } from "./BookFields";
import { GoodsList } from "./GoodsList";
import { HandOver } from "./HandOver";
import { JointFields, JointList } from "./JointFields";
import { OwnWorkFields } from "./OwnWorkFields";
import { WiringFields } from "./WiringFields";

/** What to buy and how it stands, and what to cut from which bar. */
export function BuildMeasures() {
  return (
    <>
      <GoodsList />
      <OwnWorkFields />
      <CutList />
      <AsBuiltFields />
      <WiringFields />
      <JointList />
      <JointFields />
      <BookFields />
      <DrawingFiles />
      <HandOver />
    </>
  );
}

/** Waste pipe is sold in bars of this, mm [T]. */
const USUAL_STOCK_MM = 2_000;

function CutList() {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const units = useWorkbench((state) => state.units);
  const [stockMm, setStock] = useState(USUAL_STOCK_MM);
  const cuts = useMemo(() => listCuts(design), [design]);
  const plans = useMemo(() => planBars(cuts, stockMm), [cuts, stockMm]);
  if (cuts.length === 0) return null;
  const nameOf = (lineId: string) => design.lines.find(({ id }) => id === lineId)?.name ?? lineId;
  const download = async () => {
    const { handOutCsv } = await import("../../kit/writeCsv");
    handOutCsv(
      `${design.id}-cuts.csv`,
      cuts.map((cut) => ({
        mark: cut.mark,
        line: nameOf(cut.lineId),
        pipe: describePipe(cut.pipe, units),
        [WORDS.middleToMiddle]: formatLength(cut.centreMm, units),
        cut: describeCutLength(cut, units),
        ends: describeCutEnds(cut, units),
      })),
    );
  };
  return (
    <Group
      title={WORDS.cutList}
      aside={
        <Button onClick={() => void download()}>
          <Download size={13} aria-hidden /> {WORDS.csv}
        </Button>
      }
    >
      <NumberField
        label={WORDS.barsAreSoldIn}
        value={stockMm}
        quantity="length"
        onCommit={(value) => keepWithin(value, [100, 20_000], "length", setStock)}
      />
      {plans.map(({ pipe, bars, tooLong }) => (
        <div key={`${pipe.innerMm}-${pipe.outerMm}`} className="pt-1.5">
          <p className="text-[13px] font-semibold">
            {describePipe(pipe, units)}: {bars.length} {bars.length === 1 ? WORDS.bar : WORDS.bars}
          </p>
          {bars.map((bar, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: bars of one pipe are alike
            <BarDrawing key={i} bar={bar} stockMm={stockMm} />
          ))}
          {tooLong.map(({ mark, cutMm }) => (
            <p key={mark} className="text-[12.5px] text-warn">
              {mark} <Trade>{WORDS.is}</Trade> {formatLength(cutMm, units)}
              <Trade>{WORDS.longerThanABarJoin}</Trade>
            </p>
          ))}
        </div>
      ))}
      <table className="mt-1.5 w-full text-[13px]" aria-label={WORDS.piecesToCut}>
        <thead className="text-faint">
          <tr>
            <th className="pr-2 text-left font-normal">{WORDS.piece}</th>
            <th className="text-left font-normal">{WORDS.of}</th>
            <th className="text-right font-normal">{WORDS.middles}</th>
            <th className="pl-2 text-right font-normal">{WORDS.cut}</th>
          </tr>
        </thead>
        <tbody className="figures text-[15px]">
          {cuts.map((cut) => (
            <tr key={cut.mark} className="border-t border-rule align-top">
              <td>{cut.mark}</td>
              <td>
                {nameOf(cut.lineId)}
                {cut.ends?.map((end, i) => (
                  <span
                    // biome-ignore lint/suspicious/noArrayIndexKey: a piece has two ends that stay where they are
                    key={i}
                    className="block pl-2 -indent-2 text-[12px] leading-snug text-faint"
                  >
                    {describeCutEnd(end, units)}
                  </span>
                ))}
              </td>
              <td className="text-right text-faint">{formatLength(cut.centreMm, units)}</td>
              <td className="pl-2 text-right font-semibold">{describeCutLength(cut, units)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1 text-[12px] leading-snug text-faint">
        <Trade>{CUT_NOTE}</Trade>
        {cuts.some(({ cutMm }) => cutMm === null) && <Trade>{` ${NO_PIPE_BETWEEN}`}</Trade>}
      </p>
    </Group>
  );
}

const BAR = { width: 300, height: 20 };

function BarDrawing({
  bar,
  stockMm,
}: {
  readonly bar: ReturnType<typeof planBars>[number]["bars"][number];
  readonly stockMm: number;
}) {
  const k = BAR.width / stockMm;
  let x = 0;
  const pieces = bar.cuts.map(({ mark, cutMm }) => {
    const piece = { mark, x, width: cutMm * k };
    x += cutMm * k + 2;
    return piece;
  });
  return (
    <svg
      viewBox={`0 0 ${BAR.width} ${BAR.height}`}
      className="my-0.5 w-full"
      role="img"
      aria-label={WORDS.barWith(bar.cuts.map(({ mark }) => mark).join(", "))}
    >
      <rect
        x={0}
        y={2}
        width={BAR.width}
        height={BAR.height - 4}
        fill="var(--rule)"
        fillOpacity={0.4}
        stroke="var(--edge)"
      />
      {pieces.map(({ mark, x: at, width }) => (
        <g key={mark}>
          <rect
            x={at}
            y={2}
            width={Math.max(1, width)}
            height={BAR.height - 4}
            fill="var(--sheet)"
            stroke="var(--ink)"
          />
          {width > 20 && (
            <text x={at + width / 2} y={14} fontSize={11} textAnchor="middle" style={{ fill: "var(--ink)" }}>
              {mark}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}
