import { Maximize2, ZoomIn, ZoomOut } from "lucide-react";
import { memo } from "react";
import * as WORDS from "@/words/panels/drawing/drawingTools";
import { Button } from "../kit/Button";
import type { Zooming } from "./useZoom";

/** Zoom in, out and back, for the corner of a drawing. */
export const DrawingTools = memo(function DrawingTools({
  zooming,
  of,
}: {
  readonly zooming: Zooming;
  readonly of: WORDS.DrawingId;
}) {
  const { zoom, zoomBy, reset } = zooming;
  const whole = zoom.k <= 1;
  return (
    <>
      <Button look="bare" aria-label={WORDS.zoomInOnThe(of)} onClick={() => zoomBy(1.5)}>
        <ZoomIn size={16} aria-hidden />
      </Button>
      <Button
        look="bare"
        className="phone:disabled:hidden"
        aria-label={WORDS.zoomOutOfThe(of)}
        disabled={whole}
        onClick={() => zoomBy(1 / 1.5)}
      >
        <ZoomOut size={16} aria-hidden />
      </Button>
      <Button
        look="bare"
        className="phone:disabled:hidden"
        aria-label={WORDS.showTheWhole(of)}
        disabled={whole}
        onClick={reset}
      >
        <Maximize2 size={15} aria-hidden />
      </Button>
    </>
  );
});

/** The corner of a drawing in which its tools stand. */
export const TOOLS_CORNER = "absolute top-1 right-1 flex items-center bg-sheet/85";
