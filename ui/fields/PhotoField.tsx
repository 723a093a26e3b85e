"use client";
import { Camera, Trash2 } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { photos } from "@/store/photos";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import * as WORDS from "@/words/panels/fields/photoField";
import { describeScaled, PHOTO_REFUSED } from "@/words/photos";
import { Button } from "../kit/Button";
import { scalePhoto } from "../kit/scalePhoto";

type PhotoFieldProps = {
  readonly ids: readonly string[];
  readonly onChange: (ids: readonly string[]) => void;
  readonly label?: string;
  /** What it is of, where several stand on one page. */
  readonly of?: string;
};

const MOST = 12;

/** Takes a photograph or picks one, scales it, and shows what there is. */
export function PhotoField({ ids, onChange, label = WORDS.photograph, of }: PhotoFieldProps) {
  const designId = useWorkbench((state) => state.history!.design.id);
  const input = useRef<HTMLInputElement>(null);
  const add = async (file: File) => {
    const scaled = await scalePhoto(file);
    if (!scaled.ok) return tell(PHOTO_REFUSED, { tone: "warning" });
    try {
      onChange([...ids, await photos.add(designId, scaled.photo)]);
      tell(describeScaled(scaled.from, scaled.to));
    } catch {
      tell(WORDS.thatCouldNotBeKept, { tone: "warning" });
    }
  };
  return (
    <div className="py-1">
      <Button
        onClick={() => input.current?.click()}
        disabled={ids.length >= MOST}
        {...(of ? { "aria-label": `${label} of “${of}”` } : {})}
      >
        <Camera size={14} aria-hidden /> {label}
      </Button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        aria-label={of ? WORDS.ofFromAFile(label, of) : WORDS.fromAFile(label)}
        className="hidden"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) void add(file);
        }}
      />
      <PhotoStrip ids={ids} onRemove={(id) => onChange(ids.filter((one) => one !== id))} />
    </div>
  );
}

/** Photographs side by side; one that another browser took is said. */
export function PhotoStrip({
  ids,
  onRemove,
}: {
  readonly ids: readonly string[];
  readonly onRemove?: (id: string) => void;
}) {
  if (ids.length === 0) return null;
  return (
    <ul aria-label={WORDS.photographs} className="flex flex-wrap gap-1.5 pt-1">
      {ids.map((id, i) => (
        <li key={id} className="relative">
          <Photo id={id} number={i + 1} />
          {onRemove && (
            <Button
              look="plate"
              aria-label={WORDS.takePhotographOut(i + 1)}
              className="absolute top-0 right-0 min-h-7 px-1"
              onClick={() => onRemove(id)}
            >
              <Trash2 size={13} aria-hidden />
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}

function Photo({ id, number }: { readonly id: string; readonly number: number }) {
  const designId = useWorkbench((state) => state.history!.design.id);
  const [url, setUrl] = useState<string | null>(null);
  const [isAway, setAway] = useState(false);
  useEffect(() => {
    let made: string | null = null;
    let isLeft = false;
    photos
      .read(designId, id)
      .then((photo) => {
        if (isLeft) return;
        if (photo) {
          made = URL.createObjectURL(photo);
          setUrl(made);
        } else setAway(true);
      })
      .catch(() => setAway(true));
    return () => {
      isLeft = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [designId, id]);
  if (isAway)
    return (
      <span className="text-[12px] text-faint">
        {WORDS.photograph} {number} {WORDS.isInAnotherBrowser}
      </span>
    );
  if (!url) return null;
  // biome-ignore lint/performance/noImgElement: it lies in this browser's own store, there is nothing to optimise
  return <img src={url} alt={WORDS.number(number)} className="h-24 w-auto border border-edge" />;
}
