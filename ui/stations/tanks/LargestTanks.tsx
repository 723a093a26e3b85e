"use client";
import { Maximize } from "lucide-react";
import { useState } from "react";
import { buildTankAt, type TankAim } from "@/core/tanks/largestTanks";
import { FITTINGS_MM, type TankPlace } from "@/core/tanks/tankPlaces";
import { useWorkbench } from "@/store/useWorkbench";
import { change, previewEdit, tell, undo, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/tanks/largestTanks";
import { formatLength, formatLengthFigure, formatQuantity, lengthUnit } from "@/words/units";
import { ask } from "@/workers/client";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { SearchButton } from "../../kit/SearchButton";
import { useSay } from "../../kit/useSay";
import { useSearch } from "../../kit/useSearch";

const ANY = "anywhere";

/** Looks for the largest tanks that fit, boxes and ones with a step; each is drawn before it is hung. */
export function LargestTanks() {
  const say = useSay();
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const preview = useWorkbench((state) => state.preview);
  const units = useWorkbench((state) => state.units);
  const [shown, setShown] = useState<TankPlace | null>(null);
  const [most, setMost] = useState<TankAim["most"]>("litres");
  const [from, setFrom] = useState(ANY);
  const [to, setTo] = useState(ANY);
  const between = from !== ANY && to !== ANY && from !== to ? ([from, to] as const) : null;
  const { search, look, stop } = useSearch((now, onProgress, signal) =>
    ask("largestTanks", { design: now, aim: { most, between } }, { onProgress, signal }),
  );
  const things = { [ANY]: WORDS.anywhere, ...Object.fromEntries(design.obstacles.map(({ id, name }) => [id, name])) };
  const toEdit = (place: TankPlace) => buildTankAt(workbench.getState().history!.design, place, WORDS.greyTank);
  const hang = (place: TankPlace) => {
    if (!change(toEdit(place)).ok) return;
    tell(WORDS.theTankIsHungIt, { action: { label: WORDS.undo, run: undo } });
  };
  const places = search.status === "found" && search.design === design ? search.answer : null;
  const size = ({ lengthMm, widthMm, heightMm }: TankPlace) =>
    `${[lengthMm, widthMm, heightMm].map((mm) => formatLengthFigure(mm, units)).join(" × ")} ${lengthUnit(units)}`;
  return (
    <div className="pt-2" data-testid="largest">
      <Pick<TankAim["most"]>
        label={WORDS.whatIsWanted}
        value={most}
        names={{ litres: WORDS.mostLitres, length: WORDS.theLongest }}
        onPick={setMost}
      />
      {design.obstacles.length > 1 && (
        <>
          <Pick label={WORDS.between} value={from} names={things} onPick={setFrom} />
          <Pick label={WORDS.and} value={to} names={things} onPick={setTo} />
        </>
      )}
      <SearchButton search={search} looking={WORDS.lookingForRoom} onLook={look} onStop={stop}>
        <Maximize size={14} aria-hidden /> {WORDS.findTheLargestThatFits}
      </SearchButton>
      {places?.length === 0 && (
        <p className="pt-1 text-[13px]">{between ? WORDS.thereIsNoRoomFor : say(WORDS.thereIsNoRoomFor2)}</p>
      )}
      <ul>
        {places?.map((place) => {
          const isShown = shown === place && preview !== null;
          return (
            <li key={`${place.atMm.x} ${place.atMm.y} ${place.litres}`} className="border-b border-rule">
              <button
                type="button"
                aria-pressed={isShown}
                onClick={() => {
                  setShown(isShown ? null : place);
                  previewEdit(isShown ? null : toEdit(place));
                }}
                className="min-h-8 w-full py-1 text-left text-[13.5px] text-enamel underline decoration-dotted underline-offset-4 hover:bg-pick phone:min-h-11"
              >
                {formatQuantity(place.litres, "volume", units)}, {size(place)} {WORDS.inside}
                {place.stepped ? WORDS.withAStep : ""}
              </button>
              {isShown && (
                <p className="pb-1 text-[12.5px] text-faint">
                  {formatLength(FITTINGS_MM, units)} <Trade>{WORDS.atItsFrontEndAre}</Trade>{" "}
                  {place.below.length === 0
                    ? WORDS.itDropsStraightDown
                    : WORDS.toDropThisTankFirst(place.below.join(", "))}
                </p>
              )}
              {isShown && (
                <Button look="plate" className="mb-1.5" onClick={() => hang(place)}>
                  {WORDS.hangItHere}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
