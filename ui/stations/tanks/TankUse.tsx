"use client";
import { Printer } from "lucide-react";
import { useMemo } from "react";
import { computeUp, LEVEL } from "@/core/attitude/attitude";
import { SENDER_KINDS, type Sender, type SenderKind, type Tank } from "@/core/design/plumbing";
import { listParkedStandings } from "@/core/evaluate/parkedAttitudes";
import { measureExtent } from "@/core/geometry/solid";
import { computeDips, listDepths } from "@/core/tanks/dipChart";
import { computeRunEmpty } from "@/core/tanks/runEmpty";
import { listSenderMarks, measureDeadBands } from "@/core/tanks/senderMarks";
import { computeSenderError, findBestPlace } from "@/core/tanks/senders";
import { useWorkbench } from "@/store/useWorkbench";
import { describeAttitude } from "@/words/attitudes";
import * as WORDS from "@/words/panels/tanks/tankUse";
import { describeSeconds } from "@/words/pour";
import { SENDER_NAMES } from "@/words/tankLabels";
import { formatLength, formatLengthFigure, formatParts, formatQuantity, lengthUnit } from "@/words/units";
import { Chart } from "../../charts/Chart";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { printPart } from "../../kit/printPart";
import { ColdNight } from "./ColdNight";
import { EmptyingCurve } from "./EmptyingCurve";

/** A tank in use: how deep is how much, what its gauge makes of it, how long it runs out, and how soon it freezes. */
export function TankUse({ tank }: { readonly tank: Tank }) {
  return (
    <>
      <DipChart tank={tank} />
      <GaugeFields tank={tank} />
      <RunningEmpty tank={tank} />
      <ColdNight tank={tank} />
    </>
  );
}

const DIP_STEPS = 10;

function DipChart({ tank }: { readonly tank: Tank }) {
  const attitude = useWorkbench((state) => state.attitude);
  const units = useWorkbench((state) => state.units);
  const rigName = useWorkbench((state) => state.history!.design.name);
  const kind = useWorkbench((state) => state.history!.design.rig.kind);
  const { min, max } = measureExtent(tank.solid);
  const place = { xMm: (min.x + max.x) / 2, yMm: (min.y + max.y) / 2 };
  const depths = listDepths(max.z - min.z, DIP_STEPS);
  const level = computeDips(
    tank,
    computeUp(LEVEL),
    place,
    depths.map((d) => min.z + d),
  );
  const here = computeDips(
    tank,
    computeUp(attitude),
    place,
    depths.map((d) => min.z + d),
  );
  const { unit } = formatParts(1, "volume", units);
  const litres = (value: number) => formatParts(value, "volume", units).figure;
  return (
    <Group
      title={WORDS.dipStickInItsMiddle}
      aside={
        <Button onClick={(event) => printPart(event.currentTarget.closest("fieldset"), [rigName])}>
          <Printer size={14} aria-hidden /> {WORDS.print}
        </Button>
      }
    >
      <table className="w-full text-[13px]">
        <caption className="hidden pb-2 text-left print:table-caption">
          {WORDS.dipChartOf} {tank.name}
        </caption>
        <thead className="text-faint">
          <tr>
            <th className="text-left font-normal">
              {WORDS.deep} {lengthUnit(units)}
            </th>
            <th className="text-right font-normal">
              {WORDS.level} {unit}
            </th>
            <th className="text-right font-normal">
              {WORDS.asItStands} {unit}
            </th>
          </tr>
        </thead>
        <tbody className="figures text-[15px]">
          {level.map((dip, i) => (
            <tr key={dip.depthMm} className="border-t border-rule">
              <td>{formatLengthFigure(dip.depthMm - min.z, units)}</td>
              <td className="text-right">{litres(dip.litres)}</td>
              <td className="text-right">{litres(here[i]!.litres)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Chart
        label={WORDS.litresAgainstDepthInLevel(tank.name)}
        lines={[
          {
            name: WORDS.levelName,
            points: level.map((dip) => [dip.depthMm - min.z, dip.litres]),
            ink: "ink",
            format: (value) => formatQuantity(value, "volume", units),
          },
          {
            name: WORDS.asItStands2,
            points: here.map((dip) => [dip.depthMm - min.z, dip.litres]),
            ink: "enamel",
            isDashed: true,
            format: (value) => formatQuantity(value, "volume", units),
          },
        ]}
        formatX={(depth) => formatLength(depth, units)}
      />
      <p className="pt-1 text-[12px] leading-snug text-faint">
        <Trade>{WORDS.insideFromTheBottomUp}</Trade> {describeAttitude(attitude, kind)}.
      </p>
    </Group>
  );
}

const toNew = (tank: Tank, kind: SenderKind): Sender => {
  const { min, max } = measureExtent(tank.solid);
  const heightMm = max.z - min.z;
  return {
    kind,
    xMm: Math.round((min.x + max.x) / 2),
    yMm: Math.round((min.y + max.y) / 2),
    lowMm: Math.round(heightMm * 0.1),
    highMm: Math.round(heightMm * 0.9),
  };
};

function GaugeFields({ tank }: { readonly tank: Tank }) {
  const rig = useWorkbench((state) => state.history!.design.rig);
  const fullL = useWorkbench((state) => state.evaluation?.tanks.find((t) => t.tankId === tank.id)?.worst.litres ?? 0);
  const units = useWorkbench((state) => state.units);
  const { set } = useEdits();
  const at = { kind: "tank", id: tank.id } as const;
  const path = (...keys: string[]) => ["tanks", tank.id, "sender", ...keys];
  const { sender } = tank;
  const attitudes = useMemo(() => listParkedStandings(rig).map(({ attitude }) => attitude), [rig]);
  const error = useMemo(
    () => (sender ? computeSenderError(tank, sender, attitudes, fullL) : null),
    [tank, sender, attitudes, fullL],
  );
  const litres = (value: number) => formatQuantity(value, "volume", units);
  const field = (key: "xMm" | "yMm" | "lowMm" | "highMm", label: string) =>
    sender && (
      <NumberField
        label={label}
        value={sender[key]}
        quantity="length"
        onCommit={(value) => set(at, path(key), value)}
      />
    );
  return (
    <Group title={WORDS.gauge}>
      <Pick<SenderKind | "none">
        label={WORDS.kind}
        value={sender?.kind ?? "none"}
        names={{
          none: WORDS.noneDipIt,
          ...(Object.fromEntries(SENDER_KINDS.map((k) => [k, SENDER_NAMES[k].name])) as Record<SenderKind, string>),
        }}
        onPick={(kind) => set(at, path(), kind === "none" ? null : sender ? { ...sender, kind } : toNew(tank, kind))}
      />
      {sender && error && (
        <>
          <p className="text-[12px] leading-snug text-faint">{SENDER_NAMES[sender.kind].plain}</p>
          {field("xMm", WORDS.fromTheTanksRear)}
          {field("yMm", WORDS.fromItsRightSide)}
          {field("lowMm", WORDS.tellsFrom)}
          {field("highMm", WORDS.tellsUpTo)}
          <p className="pt-1 text-[13px] text-faint" data-testid="gauge-error">
            <Trade>{WORDS.whereYouParkItShows}</Trade>{" "}
            <span className="figures text-[15px] text-ink">{litres(error.mostUnderL)}</span>{" "}
            <Trade>{WORDS.tooLittle}</Trade>
            {describeAttitude(error.underAt, rig.kind)}
            <Trade>{WORDS.andUpTo}</Trade>{" "}
            <span className="figures text-[15px] text-ink">{litres(error.mostOverL)}</span>{" "}
            <Trade>{WORDS.tooMuch}</Trade>
            {describeAttitude(error.overAt, rig.kind)}).
          </p>
          <SenderMarks tank={tank} sender={sender} />
          <Button className="mt-1" onClick={() => set(at, path(), findBestPlace(tank, sender, attitudes, fullL))}>
            {WORDS.putItWhereItIs}
          </Button>
        </>
      )}
    </Group>
  );
}

/** What it shows against what is in the tank, and what it cannot tell. */
function SenderMarks({ tank, sender }: { readonly tank: Tank; readonly sender: Sender }) {
  const attitude = useWorkbench((state) => state.attitude);
  const units = useWorkbench((state) => state.units);
  const marks = listSenderMarks(tank, sender, attitude);
  const { belowL, aboveL } = measureDeadBands(tank, sender);
  const litres = (value: number) => formatQuantity(value, "volume", units);
  const hasOhms = marks.some(({ ohms }) => ohms !== null);
  return (
    <>
      <table className="mt-1 w-full text-[13px]" aria-label={WORDS.whatTheGaugeShows}>
        <thead className="text-faint">
          <tr>
            <th className="text-left font-normal">{WORDS.deep2}</th>
            {hasOhms && <th className="text-right font-normal">0–190</th>}
            {hasOhms && <th className="text-right font-normal">240–33</th>}
            <th className="text-right font-normal">{WORDS.shows}</th>
            <th className="text-right font-normal">{WORDS.trueHere}</th>
          </tr>
        </thead>
        <tbody className="figures text-[15px]">
          {marks.map(({ depthMm, levelL, hereL, ohms }) => (
            <tr key={depthMm} className="border-t border-rule">
              <td>{formatLength(depthMm, units)}</td>
              {ohms && <td className="text-right">{Math.round(ohms.rising)} Ω</td>}
              {ohms && <td className="text-right">{Math.round(ohms.falling)} Ω</td>}
              <td className="text-right">{litres(levelL)}</td>
              <td className="text-right">{litres(hereL)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1 text-[12.5px] text-faint">
        <Trade>{WORDS.itTellsNothingOfThe}</Trade> {litres(belowL)} <Trade>{WORDS.andOfTheLast}</Trade> {litres(aboveL)}
        .
      </p>
    </>
  );
}

function RunningEmpty({ tank }: { readonly tank: Tank }) {
  const design = useWorkbench((state) => state.history!.design);
  const result = useWorkbench((state) => state.evaluation?.tanks.find((t) => t.tankId === tank.id) ?? null);
  const units = useWorkbench((state) => state.units);
  const outlet = tank.ports.find(({ kind }) => kind === "outlet");
  const run = useMemo(() => result && computeRunEmpty(design, tank, result), [design, tank, result]);
  if (!run || !outlet) return null;
  if (design.rig.kind === "boat")
    return (
      <Group title={WORDS.runningEmpty}>
        <p className="text-[13px] text-faint">
          <Trade>{WORDS.itIsPumpedOutOr}</Trade>
        </p>
      </Group>
    );
  const behindL = Math.min(run.leftL, result?.leftL ?? 0);
  const clearMm = tank.atMm.z + outlet.atMm.z - design.rig.groundZMm;
  return (
    <Group title={WORDS.runningEmpty}>
      <p className="text-[13px] text-faint">
        <Trade>{WORDS.takes}</Trade>{" "}
        <span className="figures text-[18px] text-ink">{describeSeconds(run.seconds)}</span>{" "}
        <Trade>{WORDS.toEmptyFromFullSlowed}</Trade> {formatQuantity(Math.max(0, run.leftL - behindL), "volume", units)}{" "}
        <Trade>{WORDS.tricklesAfterThat}</Trade>
        {behindL > 0.005 && WORDS.staysBehindBelowTheOutlet(formatQuantity(behindL, "volume", units))}.
      </p>
      <EmptyingCurve run={run} units={units} />
      <p className="text-[12px] leading-snug text-faint">
        <Trade>{WORDS.theOutletIs}</Trade> {formatLength(Math.round(clearMm), units)}{" "}
        <Trade>{WORDS.overTheGround}</Trade>
        {clearMm < 150 ? WORDS.lowForAHoseAnd : ""}.
      </p>
    </Group>
  );
}
