"use client";
import { useEffect, useRef, useState } from "react";
import { computeOutletFlow } from "@/core/air/dumping";
import { type DeviceReport, SCENARIOS, type Scenario } from "@/core/devices/device";
import { findSenderTraits, type SenderTraits } from "@/core/devices/senderTraits";
import type { NowLevel } from "@/core/road/levels";
import { useWorkbench } from "@/store/useWorkbench";
import { describeReport, SCENARIO_NAMES } from "@/words/devices";
import * as WORDS from "@/words/panels/road/devicePanel";
import { describeStore } from "@/words/stores";
import { formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";

const NO_TRAITS: SenderTraits = { pitchLPerDeg: 0, rollLPerDeg: 0, steps: 50 };

/** Simulated senders, flow meter, tilt, heater and dump valve, live beside what the book says; marked as simulated throughout. */
export function DevicePanel({ levels }: { readonly levels: readonly NowLevel[] }) {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const stores = useWorkbench((state) => state.evaluation!.balance.stores);
  const [scenario, setScenario] = useState<Scenario>("week");
  const [isOn, setOn] = useState(false);
  const [report, setReport] = useState<DeviceReport | null>(null);
  const [failed, setFailed] = useState(false);
  const writeQuery = () =>
    levels
      .filter(({ roomL }) => roomL > 0)
      .map(({ storeId, roomL, litres, perDayL, holds }) => {
        const perDay = holds === "fresh" ? -perDayL : perDayL;
        const tankIds = stores.find(({ store }) => store.id === storeId)?.store.tankIds ?? [];
        const tank = design.tanks.find(({ id }) => tankIds.includes(id));
        // a canister has no sender: one that tells every fiftieth, wherever it stands
        const { pitchLPerDeg, rollLPerDeg, steps } = tank ? findSenderTraits(tank) : NO_TRAITS;
        const figures = [roomL, litres, perDay, pitchLPerDeg, rollLPerDeg].map((figure) => figure.toFixed(2));
        return `store=${storeId}:${figures.join(":")}:${steps}`;
      })
      .join("&");
  const asked = useRef("");
  useEffect(() => {
    if (!isOn) return;
    setFailed(false);
    const source = new EventSource(`/devices?scenario=${scenario}&${asked.current}`);
    source.onmessage = ({ data }) => setReport(JSON.parse(data) as DeviceReport);
    source.onerror = () => {
      source.close();
      setFailed(true);
    };
    return () => source.close();
  }, [isOn, scenario]);
  return (
    <Group title={WORDS.devicesSimulated}>
      <p className="text-[12.5px] leading-snug text-faint">
        <Trade>{WORDS.standInsForSendersMeter}</Trade>
      </p>
      <Pick<Scenario>
        label={WORDS.play}
        value={scenario}
        names={SCENARIO_NAMES}
        order={SCENARIOS}
        onPick={setScenario}
      />
      <Button
        aria-pressed={isOn}
        onClick={() => {
          asked.current = writeQuery();
          setReport(null);
          setOn(!isOn);
        }}
      >
        {isOn ? WORDS.stop : WORDS.runItLive}
      </Button>
      {failed && (
        <p role="alert" className="pt-1 text-[13px] text-signal">
          {WORDS.noDeviceAnswersTheyLive}
        </p>
      )}
      {isOn && report && (
        <div data-testid="devices" className="pt-1 text-[13.5px] leading-snug">
          {describeReport(report, units).map((line) => (
            <p key={line.split(":")[0]}>{line}</p>
          ))}
          {levels.map(({ storeId, litres }) => {
            const sensed = report.levelsL[storeId];
            if (sensed === undefined) return null;
            return (
              <p key={storeId}>
                {describeStore(storeId, design)}
                <Trade>{WORDS.sender}</Trade> {formatQuantity(sensed, "volume", units)}
                <Trade>{WORDS.byTheBook}</Trade> {formatQuantity(litres, "volume", units)}
              </p>
            );
          })}
        </div>
      )}
      <DumpValve litres={levels.find(({ holds }) => holds !== "fresh")?.litres ?? 0} />
    </Group>
  );
}

const TICK_MS = 100;
const OUTLET_M = 0.038;
const HEAD_M = 0.1;

// Opens only while it is held, and only over a dump place: a dead man's switch.
function DumpValve({ litres }: { readonly litres: number }) {
  const units = useWorkbench((state) => state.units);
  const [isOver, setOver] = useState(false);
  const [isHeld, setHeld] = useState(false);
  const [leftL, setLeft] = useState<number | null>(null);
  useEffect(() => {
    if (!isHeld) return;
    const perTick = computeOutletFlow(HEAD_M, OUTLET_M) * 1_000 * (TICK_MS / 1_000);
    const timer = setInterval(() => setLeft((now) => Math.max(0, (now ?? litres) - perTick)), TICK_MS);
    const stop = () => setHeld(false);
    window.addEventListener("blur", stop);
    return () => {
      clearInterval(timer);
      window.removeEventListener("blur", stop);
    };
  }, [isHeld, litres]);
  const now = leftL ?? litres;
  return (
    <div className="mt-2 border-t border-rule pt-2">
      <svg
        viewBox="0 0 300 90"
        className="w-full bg-sheet"
        role="img"
        aria-label={WORDS.cameraSimulatedTheHoseIs(
          isOver ? WORDS.over : WORDS.beside,
          isHeld ? WORDS.open : WORDS.shut,
        )}
      >
        <path d="M0 70H300" stroke="var(--ink)" strokeWidth={2} />
        <path d="M150 70v14h60v-14" fill="none" stroke="var(--ink)" strokeWidth={3} />
        <path
          d={isOver ? "M40 10C120 14 175 20 180 58" : "M40 10C70 20 80 40 84 62"}
          fill="none"
          stroke="var(--faint)"
          strokeWidth={12}
          strokeLinecap="round"
        />
        {isHeld && <path d="M180 60v18" stroke="var(--water)" strokeWidth={6} strokeDasharray="5 4" />}
        <text x={8} y={86} fontSize={11} style={{ fill: "var(--faint)" }}>
          {WORDS.cameraSimulated}
        </text>
      </svg>
      <label className="flex min-h-9 items-center gap-2 text-[13.5px] phone:min-h-14">
        <input
          type="checkbox"
          checked={isOver}
          onChange={(event) => {
            setOver(event.target.checked);
            setHeld(false);
          }}
          className="size-5 accent-enamel"
        />
        {WORDS.theHoseIsOverA}
      </label>
      <Button
        look="plate"
        disabled={!isOver}
        className="w-full select-none phone:min-h-14"
        onPointerDown={() => setHeld(isOver)}
        onPointerUp={() => setHeld(false)}
        onPointerLeave={() => setHeld(false)}
        onPointerCancel={() => setHeld(false)}
        onKeyDown={(event) => event.key === " " && setHeld(isOver)}
        onKeyUp={() => setHeld(false)}
        onBlur={() => setHeld(false)}
      >
        {isHeld ? WORDS.openWhileYouHold : WORDS.holdToOpenTheDump}
      </Button>
      <p className="pt-1 text-[12.5px] text-faint" data-testid="valve">
        <Trade>{WORDS.simulated}</Trade> {isHeld ? WORDS.open : WORDS.shut}, {formatQuantity(now, "volume", units)}{" "}
        <Trade>{WORDS.inTheTankLetGo}</Trade>
      </p>
    </div>
  );
}
