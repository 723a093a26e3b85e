"use client";
import { useState } from "react";
import type { NowLevel } from "@/core/road/levels";
import { computeReadL } from "@/core/road/reading";
import { listSenderMarks } from "@/core/tanks/senderMarks";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/road/readingField";
import { describeReadNote, READ_WAYS, type ReadWay } from "@/words/road";
import { formatQuantity, lengthUnit, parseLength, parseQuantity } from "@/words/units";
import { Button } from "../../kit/Button";
import { FIELD_LOOK } from "../../kit/FieldRow";

type ReadingFieldProps = {
  readonly level: NowLevel;
  readonly name: string;
  /** The litres it comes to, and how they were read. */
  readonly onRead: (litres: number, note: string) => void;
};

/** A level that was read: in litres, by a stick in the middle of the tank, or as the mark its gauge shows, as the rig stands. */
export function ReadingField({ level, name, onRead }: ReadingFieldProps) {
  const units = useWorkbench((state) => state.units);
  const attitude = useWorkbench((state) => state.attitude);
  const design = useWorkbench((state) => state.history!.design);
  const stores = useWorkbench((state) => state.evaluation!.balance.stores);
  const [way, setWay] = useState<ReadWay>("litres");
  const [typed, setTyped] = useState("");
  const [mark, setMark] = useState(0);
  const [refusal, setRefusal] = useState<string | null>(null);
  const store = stores.find(({ store: { id } }) => id === level.storeId)?.store;
  // a stick or a gauge tells of one tank; where several share the water only litres can be written
  const only = store?.tankIds.length === 1 && store.vesselIds.length === 0 ? store.tankIds[0] : null;
  const tank = design.tanks.find(({ id }) => id === only);
  const marks = tank?.sender ? listSenderMarks(tank, tank.sender, attitude) : [];
  const ways: readonly ReadWay[] = [
    "litres",
    ...(tank ? (["dip"] as const) : []),
    ...(marks.length > 0 ? (["mark"] as const) : []),
  ];
  const give = (litres: number | null, refused: string, note: string) => {
    if (litres === null) return setRefusal(refused);
    // a gauge that shows more than the tank holds was read wrongly
    if (litres < 0 || litres > (level.roomL + level.undrawnL) * 1.2) return setRefusal(WORDS.thatIsMoreThanIt);
    setRefusal(null);
    setTyped("");
    onRead(litres, note);
  };
  const read = () => {
    if (way === "mark") {
      const litres = tank ? computeReadL(tank, attitude, { as: "mark", index: mark }) : null;
      return give(litres, WORDS.theGaugeHasNoSuch, describeReadNote({ way, mark, of: marks.length }));
    }
    if (way === "dip") {
      const depth = parseLength(typed, units);
      const depthMm = depth.ok ? depth.value : Number.NaN;
      const litres = tank ? computeReadL(tank, attitude, { as: "dip", depthMm }) : null;
      const refused = WORDS.typeHowDeepTheStick(lengthUnit(units));
      return give(litres, refused, describeReadNote({ way, depthMm }));
    }
    const value = parseQuantity(typed, "volume", units);
    give(value.ok ? value.value : null, WORDS.typeWhatYouReadSuch(formatQuantity(25, "volume", units)), "");
  };
  return (
    <>
      {ways.length > 1 && (
        <select
          aria-label={WORDS.howIsRead(name)}
          value={way}
          onChange={(event) => setWay(event.target.value as ReadWay)}
          className={`text-[14px] phone:min-h-14 ${FIELD_LOOK}`}
        >
          {ways.map((one) => (
            <option key={one} value={one}>
              {READ_WAYS[one]}
            </option>
          ))}
        </select>
      )}
      {way === "mark" ? (
        <select
          aria-label={WORDS.markTheGaugeOfShows(name)}
          value={mark}
          onChange={(event) => setMark(Number(event.target.value))}
          className={`text-[14px] phone:min-h-14 ${FIELD_LOOK}`}
        >
          {marks.map(({ hereL }, i) => (
            <option key={hereL} value={i}>
              {WORDS.of(i + 1, marks.length, formatQuantity(hereL, "volume", units))}
            </option>
          ))}
        </select>
      ) : (
        <input
          aria-label={way === "dip" ? WORDS.howDeepTheStickIs(name) : WORDS.litresReadOf(name)}
          inputMode="decimal"
          value={typed}
          placeholder={way === "dip" ? lengthUnit(units) : units === "metric" ? "L" : WORDS.gal}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => event.key === "Enter" && read()}
          className="figures min-h-9 w-20 border-b border-edge bg-sheet px-2 text-right text-[16px] phone:min-h-14"
        />
      )}
      <Button onClick={read} className="phone:min-h-14">
        {WORDS.writeReading}
      </Button>
      {refusal && (
        <p role="alert" className="w-full text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
    </>
  );
}
