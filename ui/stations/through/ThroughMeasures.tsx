"use client";
import { useMemo, useState } from "react";
import { listFittings } from "@/core/through/fittings";
import { listFloods } from "@/core/through/flood";
import { listHoles, measureFitting } from "@/core/through/holes";
import { matchStub } from "@/core/through/stubs";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { describeFlood, describeStub, HOLE_STEPS } from "@/words/holes";
import * as WORDS from "@/words/panels/through/throughMeasures";
import { formatLength } from "@/words/units";
import { Group } from "../../fields/Group";
import { keepWithin } from "../../fields/keepWithin";
import { Trade } from "../../glossary/Trade";
import { NumberField } from "../../kit/NumberField";
import { useSay } from "../../kit/useSay";
import { PassageList } from "./PassageList";
import { SawBox } from "./SawBox";

/** Every hole with how it is made, and on a boat every skin fitting with what comes in if its hose comes off. */
export function ThroughMeasures() {
  const say = useSay();
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const holes = useMemo(() => listHoles(design, evaluation), [design, evaluation]);
  return (
    <>
      <Fittings />
      <PassageList />
      <SawBox holes={holes} />
      <Stubs />
      <Group title={WORDS.inThisOrder}>
        <ol className="list-decimal pl-5 text-[13px] leading-snug">
          {HOLE_STEPS.map((step) => (
            <li key={step} className="pb-0.5">
              {say(step)}
            </li>
          ))}
        </ol>
      </Group>
    </>
  );
}

function Fittings() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const fittings = listFittings(design);
  const floods = useMemo(() => listFloods(design), [design]);
  if (design.rig.waterlineZMm === null) return null;
  if (fittings.length === 0) {
    return (
      <Group title={WORDS.skinFittings}>
        <p className="text-[13px] text-faint">
          <Trade>{WORDS.noneYetAddOneUnder}</Trade>
        </p>
      </Group>
    );
  }
  return (
    <Group title={WORDS.skinFittings}>
      <ul className="flex flex-col gap-1.5">
        {fittings.map((piece) => {
          const { restOverMm, worstOverMm } = measureFitting(design, piece);
          const flood = floods.find(({ gearId }) => gearId === piece.id);
          const height = (mm: number) => WORDS.overTheWater(formatLength(Math.abs(mm), units), mm < 0);
          return (
            <li key={piece.id} className="text-[13px] leading-snug">
              <button
                type="button"
                className="min-h-7 font-semibold underline decoration-dotted underline-offset-4 phone:min-h-11"
                onClick={() => look({ station: "loop", selection: { kind: "gear", id: piece.id } })}
              >
                {piece.name}
              </button>
              <p className="text-faint">
                <Trade>{WORDS.atRest}</Trade> {height(restOverMm)}
                <Trade>{WORDS.heeledAtTheWorst}</Trade> {height(worstOverMm)}.{" "}
                {flood && <span className="text-signal">{describeFlood(flood, units)}</span>}
              </p>
            </li>
          );
        })}
      </ul>
    </Group>
  );
}

/** A moulded stub that measures nothing usual: which hose it takes, and what has to be done to it. */
function Stubs() {
  const units = useWorkbench((state) => state.units);
  const isBoat = useWorkbench((state) => state.history!.design.rig.kind === "boat");
  const [outsideMm, setOutside] = useState(40);
  if (!isBoat) return null;
  const fits = matchStub(outsideMm);
  return (
    <Group title={WORDS.anOddStub}>
      <NumberField
        label={WORDS.measuredOutside}
        value={outsideMm}
        quantity="length"
        onCommit={(value) => keepWithin(value, [8, 120], "length", setOutside)}
      />
      <ul className="text-[13px] leading-snug" data-testid="stub">
        {fits.length === 0 && <li>{WORDS.noHoseComesNearIt}</li>}
        {fits.slice(0, 3).map((fit) => (
          <li key={`${fit.kind}${fit.boreMm}`}>{describeStub(fit, units)}</li>
        ))}
      </ul>
    </Group>
  );
}
