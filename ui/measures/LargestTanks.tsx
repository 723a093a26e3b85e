"use client";
import { Maximize } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import type { Design } from "@/core/design/design";
import { buildTankAt, type TankPlace } from "@/core/tanks/largestTanks";
import { useTrailing } from "@/store/useWorkbench";
import { change, previewEdit, tell, undo, workbench } from "@/store/workbench";
import { formatLengthFigure, formatQuantity, lengthUnit } from "@/words/units";
import { requestLargestTanks } from "@/workers/tanksClient";
import { Button } from "../kit/Button";

type Search =
  | { readonly status: "none" | "failed" }
  | { readonly status: "searching"; readonly share: number }
  | { readonly status: "found"; readonly design: Design; readonly places: readonly TankPlace[] };

/** Looks for the largest box tanks that fit; each is drawn before it is hung. */
export function LargestTanks() {
  const design = useTrailing((state) => state.dragBase ?? state.history!.design);
  const preview = useTrailing((state) => state.preview);
  const units = useTrailing((state) => state.units);
  const [search, setSearch] = useState<Search>({ status: "none" });
  const [shown, setShown] = useState<TankPlace | null>(null);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const look = async () => {
    running.current?.abort();
    const abort = new AbortController();
    running.current = abort;
    setSearch({ status: "searching", share: 0 });
    const now = workbench.getState().history!.design;
    // progress comes by another way than the answer, and may come after it
    let isAnswered = false;
    const onProgress = (share: number) => {
      if (!isAnswered && running.current === abort) setSearch({ status: "searching", share });
    };
    const asked = await requestLargestTanks(now, onProgress, abort.signal);
    isAnswered = true;
    if (running.current !== abort) return;
    if (asked.status === "ready") setSearch({ status: "found", design: now, places: asked.answer });
    else setSearch({ status: asked.status === "failed" ? "failed" : "none" });
  };
  const toEdit = (place: TankPlace) => buildTankAt(workbench.getState().history!.design, place, "Grey tank");
  const hang = (place: TankPlace) => {
    if (!change(toEdit(place)).ok) return;
    tell("The tank is hung. It still wants a breather.", { action: { label: "Undo", run: undo } });
  };
  const places = search.status === "found" && search.design === design ? search.places : null;
  const size = ({ lengthMm, widthMm, heightMm }: TankPlace) =>
    `${[lengthMm, widthMm, heightMm].map((mm) => formatLengthFigure(mm, units)).join(" × ")} ${lengthUnit(units)}`;
  return (
    <div className="pt-2" data-testid="largest">
      {search.status === "searching" ? (
        <span className="flex items-center gap-2 text-[13px]" role="status">
          <progress value={search.share} max={1} aria-label="Looking for room" className="h-1.5 flex-1 accent-enamel" />
          <Button onClick={() => running.current?.abort()}>Stop</Button>
        </span>
      ) : (
        <Button onClick={() => void look()}>
          <Maximize size={14} aria-hidden /> Find the largest that fits
        </Button>
      )}
      {search.status === "failed" && <p className="pt-1 text-[13px]">The search did not come to an end. Try again.</p>}
      {places?.length === 0 && <p className="pt-1 text-[13px]">There is no room for a tank under the floor.</p>}
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
                {formatQuantity(place.litres, "volume", units)}, {size(place)} inside
              </button>
              {isShown && (
                <Button look="plate" className="mb-1.5" onClick={() => hang(place)}>
                  Hang it there
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
