"use client";
import { STANDING_STATES } from "@/core/evaluate/standingMap";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { describeAttitude } from "@/words/attitudes";
import { STANDING_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/level/standingMapSheet";
import { formatLength, formatQuantity } from "@/words/units";
import { Figure } from "../kit/Figure";
import { Sheet } from "../kit/Sheet";
import { useSay } from "../kit/useSay";
import { Bubble } from "./Bubble";
import { findMapRange } from "./findMapRange";
import { useStandingMap } from "./useStandingMap";

/** The standing map large: every attitude at once, and what one of them comes to. */
export function StandingMapSheet({ onClose }: { readonly onClose: () => void }) {
  const say = useSay();
  const rig = useWorkbench((state) => state.history!.design.rig);
  const rangeDeg = findMapRange(rig);
  const { map } = useStandingMap(rangeDeg);
  return (
    <Sheet size="wide" title={WORDS.whereTheRigMayPark} about={WORDS.eachPointIsAWay} onClose={onClose}>
      <div className="grid gap-6 desk:grid-cols-[30rem_1fr]">
        <div>
          <p className="text-center text-[12.5px] text-faint">
            {say(WORDS.leftSideHigh)} {rangeDeg}°
          </p>
          <Bubble map={map} rangeDeg={rangeDeg} pixels={720} />
          <p className="flex justify-between text-[12.5px] text-faint">
            <span>
              {say(WORDS.tailHigh)} {rangeDeg}°
            </span>
            <span>
              {say(WORDS.noseHigh)} {rangeDeg}°
            </span>
          </p>
        </div>
        <div>
          <HereFigures />
          <h3 className="plate mt-5 mb-1 text-[16px]">{WORDS.whatTheGroundSays}</h3>
          <dl className="text-[13.5px]">
            {STANDING_STATES.map((state) => (
              <div key={state} className="flex items-start gap-2 py-1">
                <dt className="flex w-28 shrink-0 items-center gap-2">
                  <span className={`map-${state} inline-block size-4 border border-ink`} />
                  {STANDING_NAMES[state].name}
                </dt>
                <dd className="text-faint">{STANDING_NAMES[state].plain}</dd>
              </div>
            ))}
          </dl>
        </div>
      </div>
    </Sheet>
  );
}

function HereFigures() {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const units = useWorkbench((state) => state.units);
  return (
    <div>
      <h3 className="plate text-[18px]">{describeAttitude(evaluation.attitude, design.rig.kind)}</h3>
      <table className="figures w-full text-[16px]">
        <tbody>
          {evaluation.drains.map((drain) => (
            <tr key={drain.lineId}>
              <td className="text-faint">{design.lines.find((l) => l.id === drain.lineId)?.name}</td>
              <td className={`text-right ${drain.here.inHandMm < 0 ? "text-signal" : ""}`}>
                <Figure
                  working={toWorkingId("fallInHand", { kind: "line", id: drain.lineId }, "here")}
                  label={WORDS.fallInHandAsIt}
                >
                  {drain.here.inHandMm < 0
                    ? WORDS.short(formatLength(-drain.here.inHandMm, units))
                    : WORDS.inHand(formatLength(drain.here.inHandMm, units))}
                </Figure>
              </td>
            </tr>
          ))}
          {evaluation.tanks.map((tank) => (
            <tr key={tank.tankId}>
              <td className="text-faint">{design.tanks.find((t) => t.id === tank.tankId)?.name}</td>
              <td className="text-right">
                <Figure
                  working={toWorkingId("tankUsable", { kind: "tank", id: tank.tankId }, "here")}
                  label={WORDS.usableLitresAsItStands}
                >
                  {formatQuantity(tank.usableHereL, "volume", units)} {WORDS.usable}
                </Figure>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
