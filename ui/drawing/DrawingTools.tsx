import { Maximize2, ZoomIn, ZoomOut } from "lucide-react";
import type { ReactNode } from "react";
import { Button } from "../kit/Button";
import type { Zooming } from "./useZoom";

/** Zoom in, out and back, in the corner of a drawing. */
export function DrawingTools({
  zooming,
  of,
  children,
}: {
  readonly zooming: Zooming;
  readonly of: string;
  readonly children?: ReactNode;
}) {
  const { zoom, zoomBy, reset } = zooming;
  const whole = zoom.k <= 1;
  return (
    <div className="absolute top-1 right-1 flex items-center bg-sheet/85">
      {children}
      <Button look="bare" aria-label={`Zoom in on the ${of}`} onClick={() => zoomBy(1.5)}>
        <ZoomIn size={16} aria-hidden />
      </Button>
      <Button look="bare" aria-label={`Zoom out of the ${of}`} disabled={whole} onClick={() => zoomBy(1 / 1.5)}>
        <ZoomOut size={16} aria-hidden />
      </Button>
      <Button look="bare" aria-label={`Show the whole ${of}`} disabled={whole} onClick={reset}>
        <Maximize2 size={15} aria-hidden />
      </Button>
    </div>
  );
}
