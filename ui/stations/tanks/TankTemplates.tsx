"use client";
import { Download } from "lucide-react";
import { useMemo, useRef, useState } from "react";
import type { Tank } from "@/core/design/plumbing";
import { FACES, type Face, type FaceDrawing, liesBehind, listTankFaces } from "@/core/templates/tankFaces";
import { MOST_PAGES, type Paper, tileSheet } from "@/core/templates/tileSheet";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import * as WORDS from "@/words/panels/tanks/tankTemplates";
import { describeHoles, describeOrder, FACE_NAMES } from "@/words/templates";
import { formatLength } from "@/words/units";
import { Group } from "../../fields/Group";
import { LateStepHold } from "../../findings/LateStepHold";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { handOut } from "../../kit/handOut";
import { Pick } from "../../kit/Pick";

const PAPER_NAMES: Readonly<Record<Paper, string>> = { a4: "A4", letter: WORDS.usLetter };

/** One side of the tank as it is cut and drilled, on paper in full size or for the maker's machine. */
export function TankTemplates({ tank }: { readonly tank: Tank }) {
  const units = useWorkbench((state) => state.units);
  const [face, setFace] = useState<Face>("front");
  const [paper, setPaper] = useState<Paper>(units === "metric" ? "a4" : "letter");
  const faces = useMemo(() => listTankFaces(tank), [tank]);
  const drawing = faces.find((one) => one.face === face)!;
  const { tiles, isLying } = tileSheet(drawing, paper);
  const file = (what: string) => `${tank.id}-${what}`;
  const make = (run: () => Promise<void>) => void run().catch(() => tell(WORDS.theFileCouldNotBe, { tone: "warning" }));
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
    <Group title={WORDS.templatesAndOrder}>
      <Pick label={WORDS.sideFromOutside} value={face} names={FACE_NAMES} order={FACES} onPick={setFace} />
      <FacePicture drawing={drawing} />
      <p className="text-[12.5px] text-faint">
        <Trade>{WORDS.outside}</Trade> {formatLength(drawing.widthMm, units)} × {formatLength(drawing.heightMm, units)}
        {drawing.holes.length === 0 ? WORDS.noHoleInIt : `. ${describeHoles(drawing.holes, units)}.`}
        {drawing.holes.length > 0 && WORDS.theDashedRingIs}
        {drawing.holes.some(liesBehind) && WORDS.aHoleStandsBackFrom}
      </p>
      <LateStepHold stepId={`fitTankPorts:${tank.id}`} />
      <Pick label={WORDS.paper} value={paper} names={PAPER_NAMES} onPick={setPaper} />
      <div className="flex flex-wrap gap-1.5 pt-1">
        {share !== null ? (
          <span className="flex w-full items-center gap-2 text-[13px]" role="status">
            <progress value={share} max={1} aria-label={WORDS.writingThePages} className="h-1.5 flex-1 accent-enamel" />
            <Button
              onClick={() => {
                stopped.current = true;
              }}
            >
              {WORDS.stop}
            </Button>
          </span>
        ) : tiles.length > MOST_PAGES ? (
          <p className="text-[13px]">
            <Trade>{WORDS.inFullSizeItTakes}</Trade> {tiles.length} <Trade>{WORDS.pagesTooManyToGlue}</Trade>
          </p>
        ) : (
          <Button onClick={() => make(() => givePdf().finally(() => setShare(null)))}>
            <Download size={14} aria-hidden /> {WORDS.fullSizePdf} {tiles.length}{" "}
            {tiles.length === 1 ? WORDS.page : WORDS.pages}
            {isLying ? WORDS.lying : ""}
          </Button>
        )}
        <Button onClick={() => make(giveSvg)}>
          <Download size={14} aria-hidden /> {WORDS.allSidesSvg}
        </Button>
        <Button onClick={() => make(giveDxf)}>
          <Download size={14} aria-hidden /> {WORDS.allSidesDxf}
        </Button>
        <Button onClick={() => make(giveOrder)}>
          <Download size={14} aria-hidden /> {WORDS.orderSheetPdf}
        </Button>
      </div>
      <p className="pt-1 text-[12px] leading-snug text-faint">
        <Trade>{WORDS.printAt100NotFitted}</Trade>
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
      aria-label={WORDS.ofTheTankWithIts(FACE_NAMES[face])}
      className="my-1.5 max-h-[180px] w-full overflow-visible bg-sheet p-2"
    >
      <path d={toPath(outside)} strokeWidth={1.6} {...line} />
      <path d={toPath(inside)} strokeWidth={0.8} strokeDasharray="4 3" {...line} />
      {holes.map(({ portId, at, boreMm, cutMm }) => (
        <g key={portId}>
          <circle cx={at.u} cy={heightMm - at.v} r={boreMm / 2} strokeWidth={1} strokeDasharray="2 2" {...line} />
          {cutMm !== null && <circle cx={at.u} cy={heightMm - at.v} r={cutMm / 2} strokeWidth={1.4} {...line} />}
        </g>
      ))}
    </svg>
  );
}
