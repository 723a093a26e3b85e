"use client";
import { Download } from "lucide-react";
import { useMemo, useRef, useState } from "react";
import type { Tank } from "@/core/design/plumbing";
import { FACES, type Face, type FaceDrawing, listTankFaces } from "@/core/templates/tankFaces";
import { MOST_PAGES, type Paper, tileSheet } from "@/core/templates/tileSheet";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { describeHole, describeOrder, FACE_NAMES } from "@/words/templates";
import { formatLength } from "@/words/units";
import { Group } from "../../fields/Group";
import { LateStepHold } from "../../findings/LateStepHold";
import { Button } from "../../kit/Button";
import { handOut } from "../../kit/handOut";
import { Pick } from "../../kit/Pick";

const PAPER_NAMES: Readonly<Record<Paper, string>> = { a4: "A4", letter: "US Letter" };

/** One side of the tank as it is cut and drilled, on paper in full size or for the maker's machine. */
export function TankTemplates({ tank }: { readonly tank: Tank }) {
  const units = useWorkbench((state) => state.units);
  const [face, setFace] = useState<Face>("front");
  const [paper, setPaper] = useState<Paper>(units === "metric" ? "a4" : "letter");
  const faces = useMemo(() => listTankFaces(tank), [tank]);
  const drawing = faces.find((one) => one.face === face)!;
  const { tiles, isLying } = tileSheet(drawing, paper);
  const file = (what: string) => `${tank.id}-${what}`;
  const make = (run: () => Promise<void>) =>
    void run().catch(() => tell("The file could not be made. Reload the page and try again.", { tone: "warning" }));
  // null while none is written
  const [share, setShare] = useState<number | null>(null);
  const stopped = useRef(false);
  const givePdf = async () => {
    stopped.current = false;
    setShare(0);
    const [{ writeTemplatePdf }, { loadLetters }] = await Promise.all([
      import("@/files/tankPdf"),
      import("@/files/letters"),
    ]);
    const letters = await loadLetters();
    const pdf = await writeTemplatePdf(tank.name, drawing, paper, units, letters, async (done) => {
      setShare(done);
      await new Promise((resolve) => setTimeout(resolve));
      return !stopped.current;
    });
    if (pdf) handOut(file(`${face}.pdf`), pdf, "application/pdf");
  };
  const giveOrder = async () => {
    const [{ writeOrderPdf }, { loadLetters }] = await Promise.all([
      import("@/files/tankPdf"),
      import("@/files/letters"),
    ]);
    handOut(
      file("order.pdf"),
      writeOrderPdf(describeOrder(tank, units), paper, await loadLetters()),
      "application/pdf",
    );
  };
  const giveSvg = async () => {
    const { writeSvg } = await import("@/files/tankSvg");
    handOut(file("faces.svg"), writeSvg(faces, units), "image/svg+xml");
  };
  const giveDxf = async () => {
    const { writeDxf } = await import("@/files/tankDxf");
    handOut(file("faces.dxf"), writeDxf(faces, units), "image/vnd.dxf");
  };
  return (
    <Group title="Templates and order">
      <Pick label="Side, from outside" value={face} names={FACE_NAMES} order={FACES} onPick={setFace} />
      <FacePicture drawing={drawing} />
      <p className="text-[12.5px] text-faint">
        Outside {formatLength(drawing.widthMm, units)} × {formatLength(drawing.heightMm, units)}
        {drawing.holes.length === 0
          ? ", no hole in it."
          : `, ${drawing.holes.map((hole) => describeHole(hole, units)).join(", ")}.`}
        {drawing.holes.some(({ behindMm }) => behindMm > 1) &&
          " A hole stands back from this side: on the slope it is longer than drawn."}
      </p>
      <LateStepHold stepId={`fitTankPorts:${tank.id}`} />
      <Pick label="Paper" value={paper} names={PAPER_NAMES} onPick={setPaper} />
      <div className="flex flex-wrap gap-1.5 pt-1">
        {share !== null ? (
          <span className="flex w-full items-center gap-2 text-[13px]" role="status">
            <progress value={share} max={1} aria-label="Writing the pages" className="h-1.5 flex-1 accent-enamel" />
            <Button
              onClick={() => {
                stopped.current = true;
              }}
            >
              Stop
            </Button>
          </span>
        ) : tiles.length > MOST_PAGES ? (
          <p className="text-[13px]">
            In full size it takes {tiles.length} pages: too many to glue. Take the SVG or DXF to a print shop.
          </p>
        ) : (
          <Button onClick={() => make(() => givePdf().finally(() => setShare(null)))}>
            <Download size={14} aria-hidden /> Full-size PDF, {tiles.length} {tiles.length === 1 ? "page" : "pages"}
            {isLying ? " lying" : ""}
          </Button>
        )}
        <Button onClick={() => make(giveSvg)}>
          <Download size={14} aria-hidden /> All sides, SVG
        </Button>
        <Button onClick={() => make(giveDxf)}>
          <Download size={14} aria-hidden /> All sides, DXF
        </Button>
        <Button onClick={() => make(giveOrder)}>
          <Download size={14} aria-hidden /> Order sheet, PDF
        </Button>
      </div>
      <p className="pt-1 text-[12px] leading-snug text-faint">
        Print at 100 %, not fitted to the page, and measure the ruler at the foot before you cut.
      </p>
    </Group>
  );
}

function FacePicture({ drawing }: { readonly drawing: FaceDrawing }) {
  const { widthMm, heightMm, outside, inside, holes, face } = drawing;
  const toPath = (points: FaceDrawing["outside"]) =>
    `M${points.map(({ u, v }) => `${u.toFixed(1)} ${(heightMm - v).toFixed(1)}`).join("L")}Z`;
  const line = { fill: "none", stroke: "var(--ink)", vectorEffect: "non-scaling-stroke" } as const;
  return (
    <svg
      viewBox={`0 0 ${widthMm} ${heightMm}`}
      role="img"
      aria-label={`${FACE_NAMES[face]} of the tank with its holes`}
      className="my-1.5 max-h-[180px] w-full overflow-visible bg-sheet p-2"
    >
      <path d={toPath(outside)} strokeWidth={1.6} {...line} />
      <path d={toPath(inside)} strokeWidth={0.8} strokeDasharray="4 3" {...line} />
      {holes.map(({ portId, at, boreMm }) => (
        <circle key={portId} cx={at.u} cy={heightMm - at.v} r={boreMm / 2} strokeWidth={1.4} {...line} />
      ))}
    </svg>
  );
}
