"use client";
import { Plus, Trash2 } from "lucide-react";
import { useMemo } from "react";
import type { Design } from "@/core/design/design";
import type { Port, Tank } from "@/core/design/plumbing";
import {
  buildAddDumpLine,
  buildJoinDumpLine,
  buildOpenDumpLine,
  buildRemoveDumpLine,
} from "@/core/edits/dumpLineEdits";
import { listDumpCourse } from "@/core/fit/lineLegs";
import { buildDumpRun, findDumpLine, lookUpDumpFall } from "@/core/tanks/dumpRun";
import { listDumpLinesToJoin, listTanksBeside } from "@/core/tanks/dumpWays";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, workbench } from "@/store/workbench";
import { describeDumpRun, describeSharedCoupling } from "@/words/dumpLines";
import * as WORDS from "@/words/panels/tanks/dumpLines";
import { describePort } from "@/words/ports";
import { Group } from "../../fields/Group";
import { LaggingField } from "../../fields/LaggingField";
import { PipePick } from "../../fields/PipePick";
import { PointList } from "../../fields/PointList";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";
import { Tick } from "../../kit/Tick";
import { DumpSection } from "./DumpSection";

/** No line's id has a space. */
const OWN_END = WORDS.ownCoupling;

/** Where each outlet of a tank lets its water go: at the outlet itself, or at the end of a line. */
export function DumpLines({ tank }: { readonly tank: Tank }) {
  return tank.ports
    .filter(({ kind }) => kind === "outlet")
    .map((outlet) => <OutletLine key={outlet.id} tank={tank} outlet={outlet} />);
}

function OutletLine({ tank, outlet }: { readonly tank: Tank; readonly outlet: Port }) {
  const design = useWorkbench((state) => state.history!.design);
  const { apply } = useEdits();
  const line = findDumpLine(design, tank.id, outlet.id);
  const isBoat = design.rig.kind === "boat";
  const isLedOn = design.lines.some(
    (one) =>
      one.kind === "hose" &&
      [one.from, one.to].some((end) => end.kind === "tank" && end.tankId === tank.id && end.portId === outlet.id),
  );
  if (line) return <LineFields tank={tank} outlet={outlet} design={design} />;
  const lay = () => {
    const edit = buildAddDumpLine(workbench.getState().history!.design, tank, outlet);
    if (!edit) return;
    apply(edit);
    look({ selection: null });
  };
  return (
    <Group title={WORDS.dumpLine}>
      <p className="pb-1 text-[13px] leading-snug text-faint">
        {describePort(tank, outlet, design)}:{" "}
        {isLedOn ? WORDS.aHoseLeadsOnFrom : isBoat ? WORDS.onABoatItIs : WORDS.theWaterIsLetGo}
      </p>
      {!isBoat && !isLedOn && (
        <Button onClick={lay}>
          <Plus size={14} aria-hidden /> {WORDS.layALineToThe}
        </Button>
      )}
    </Group>
  );
}

function LineFields({ tank, outlet, design }: { readonly tank: Tank; readonly outlet: Port; readonly design: Design }) {
  const units = useWorkbench((state) => state.units);
  const { set, apply } = useEdits();
  const line = findDumpLine(design, tank.id, outlet.id)!;
  const run = useMemo(() => buildDumpRun(design, line), [design, line]);
  const least = lookUpDumpFall(design, line).value;
  const at = { kind: "line", id: line.id } as const;
  const isEnd = (index: number) => line.to.kind === "coupling" && index === line.pointsMm.length - 1;
  const joinable = listDumpLinesToJoin(design, line);
  const beside = describeSharedCoupling(run, listTanksBeside(design, line));
  const lead = (end: string) => {
    const now = workbench.getState().history!.design;
    const edit = end === OWN_END ? buildOpenDumpLine(now, line.id) : buildJoinDumpLine(now, line.id, end);
    if (!edit) return;
    apply(edit);
    look({ selection: null });
  };
  return (
    <Group title={line.name} part={{ kind: "line", id: line.id }}>
      <DumpSection run={run} leastMmPerM={least ?? 0} units={units} />
      <p className="pb-1 text-[13px] leading-snug">{describeDumpRun(run, units)}</p>
      {beside && <p className="pb-1 text-[13px] leading-snug">{beside}</p>}
      <TextField
        label={WORDS.name}
        value={line.name}
        onCommit={(value) => set(at, ["lines", line.id, "name"], value)}
      />
      {joinable.length > 0 && (
        <Pick
          label={WORDS.ends}
          value={line.to.kind === "wye" ? line.to.lineId : OWN_END}
          names={{
            [OWN_END]: WORDS.atItsOwnCoupling,
            ...Object.fromEntries(joinable.map(({ id, name }) => [id, WORDS.inByAWye(name)])),
          }}
          onPick={lead}
        />
      )}
      <PipePick pipe={line.pipe} onPick={(pipe) => set(at, ["lines", line.id, "pipe"], pipe)} />
      {(["outerMm", "innerMm"] as const).map((key) => (
        <NumberField
          key={key}
          label={{ outerMm: WORDS.outsideDiameter, innerMm: WORDS.bore }[key]}
          value={line.pipe[key]}
          quantity="length"
          onCommit={(value) => set(at, ["lines", line.id, "pipe", key], value)}
        />
      ))}
      <LaggingField line={line} />
      <Tick
        label={WORDS.valveAtItsEnd}
        value={line.endValve !== null}
        onPick={(isOn) =>
          set(at, ["lines", line.id, "endValve"], isOn ? { kind: "manual", boreMm: line.pipe.innerMm } : null)
        }
      />
      {line.endValve && (
        <NumberField
          label={WORDS.boreOfThatValve}
          value={line.endValve.boreMm}
          quantity="length"
          onCommit={(value) => set(at, ["lines", line.id, "endValve", "boreMm"], value)}
        />
      )}
      <PointList
        line={line}
        routeMm={listDumpCourse(design, line)}
        nameOf={(index) => (isEnd(index) ? WORDS.end : WORDS.point(index + 1))}
        isFixed={isEnd}
      />
      <Button className="mt-1.5" onClick={() => apply(buildRemoveDumpLine(workbench.getState().history!.design, line))}>
        <Trash2 size={14} aria-hidden /> {WORDS.take} {line.name} {WORDS.out}
      </Button>
    </Group>
  );
}
