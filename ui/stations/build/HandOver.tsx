"use client";
import { Share2, Smartphone } from "lucide-react";
import { useEffect, useState } from "react";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { Group } from "../../fields/Group";
import { Button } from "../../kit/Button";

/** Each code stands so long, ms: a phone reads several a second. */
const CODE_MS = 350;

/** To the phone under the floor: on this device its own page, on another the same as codes for its camera. */
export function HandOver() {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const units = useWorkbench((state) => state.units);
  const [frames, setFrames] = useState<readonly string[] | null>(null);
  const [canShare, setCanShare] = useState(false);
  useEffect(() => {
    const probe = new File(["{}"], "a.json", { type: "application/json" });
    setCanShare(typeof navigator.canShare === "function" && navigator.canShare({ files: [probe] }));
  }, []);
  const write = async () => (await import("@/words/underCards")).writeUnderCards(design, evaluation, units);
  const open = async () => {
    try {
      const [sheet, { keepUnderSheet }] = await Promise.all([write(), import("@/store/under")]);
      await keepUnderSheet(sheet);
      window.location.assign("/under");
    } catch {
      tell("That could not be kept in this browser.", { tone: "warning" });
    }
  };
  const share = async () => {
    const [{ writeFileText }, { records }] = await Promise.all([
      import("@/core/record/file"),
      import("@/store/records"),
    ]);
    const text = writeFileText(design, await records.read(design.id));
    const file = new File([text], `${design.id}.json`, { type: "application/json" });
    try {
      await navigator.share({ files: [file], title: design.name });
    } catch (error) {
      // put away by the one who shares is no failure
      if (error instanceof Error && error.name !== "AbortError")
        tell("This device cannot share it. Save it to a file.", { tone: "warning" });
    }
  };
  const show = async () => {
    if (frames) return setFrames(null);
    const [sheet, { splitFrames }] = await Promise.all([write(), import("@/files/frames")]);
    setFrames(splitFrames(JSON.stringify(sheet)));
  };
  return (
    <Group title="Under the floor">
      <p className="text-[13px] leading-snug text-faint">
        Steps, holes, pipes and drain-down one at a time in large figures, ticked with a wet thumb.
      </p>
      <div className="flex flex-wrap gap-1.5 pt-1">
        <Button look="plate" onClick={() => void open()}>
          <Smartphone size={14} aria-hidden /> Open on this device
        </Button>
        {canShare && (
          <Button onClick={() => void share()}>
            <Share2 size={14} aria-hidden /> Share the file
          </Button>
        )}
        <Button aria-pressed={frames !== null} onClick={() => void show()}>
          {frames ? "Hide the codes" : "Show as codes for a phone"}
        </Button>
      </div>
      {frames && <Codes frames={frames} />}
    </Group>
  );
}

function Codes({ frames }: { readonly frames: readonly string[] }) {
  const [at, setAt] = useState(0);
  const [drawn, setDrawn] = useState<readonly { readonly path: string; readonly size: number }[] | null>(null);
  useEffect(() => {
    let isOver = false;
    void import("uqr").then(({ encode }) => {
      if (isOver) return;
      setDrawn(
        frames.map((frame) => {
          const { data, size } = encode(frame, { border: 4 });
          const path = data
            .flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : [])))
            .join("");
          return { path, size };
        }),
      );
    });
    return () => {
      isOver = true;
    };
  }, [frames]);
  useEffect(() => {
    const timer = setInterval(() => setAt((now) => (now + 1) % frames.length), CODE_MS);
    return () => clearInterval(timer);
  }, [frames.length]);
  const code = drawn?.[at];
  return (
    <div className="pt-2">
      {code && (
        // a camera reads black on white, whatever the theme
        <svg
          viewBox={`0 0 ${code.size} ${code.size}`}
          className="w-full"
          role="img"
          aria-label={`Code ${at + 1} of ${frames.length}`}
          shapeRendering="crispEdges"
        >
          <rect width={code.size} height={code.size} fill="#fff" />
          <path d={code.path} fill="#000" />
        </svg>
      )}
      <p className="text-[12.5px] leading-snug text-faint">
        {frames.length} codes in turn. On the phone open this application's address with /under, press “Read codes”,
        hold it here until all are read. No network is needed for that.
      </p>
    </div>
  );
}
