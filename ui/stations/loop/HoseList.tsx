"use client";
import { useState } from "react";
import type { Design } from "@/core/design/design";
import type { HoseEnd } from "@/core/design/gear";
import type { Hose } from "@/core/design/plumbing";
import { buildAddHose } from "@/core/edits/loopEdits";
import { listHoseCourse } from "@/core/fit/lineLegs";
import { listGearPorts } from "@/core/gear/gearPorts";
import { measureLength, subtract } from "@/core/geometry/vec";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, workbench } from "@/store/workbench";
import { PORT_WORDS } from "@/words/gearFields";
import { PORT_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/loop/hoseList";
import { formatLength, type Units } from "@/words/units";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { HoseFields } from "./HoseFields";

/** Hoses from port to port: bore and length as drawn, each to be opened, and one more. */
export function HoseList() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const selection = useWorkbench((state) => state.selection);
  const { apply } = useEdits();
  const hoses = design.lines.filter((line): line is Hose => line.kind === "hose");
  // a point that is picked keeps its hose open
  const openId = selection?.kind === "line" ? selection.id : selection?.kind === "bend" ? selection.lineId : null;
  const free = listFreePorts(design, hoses);
  const [from, setFrom] = useState<string | null>(null);
  const [to, setTo] = useState<string | null>(null);
  const keys = [...free.keys()];
  const fromKey = from && free.has(from) ? from : keys[0];
  const toKey = to && free.has(to) && to !== fromKey ? to : keys.find((key) => key !== fromKey);
  const names = Object.fromEntries([...free].map(([key, end]) => [key, describeEnd(design, end)]));
  return (
    <Group title={WORDS.hoses}>
      <ul className="flex flex-col gap-1">
        {hoses.map((hose) => (
          <li key={hose.id} data-part={`line:${hose.id}`} className="border-b border-rule">
            <button
              type="button"
              aria-expanded={openId === hose.id}
              onClick={() => look({ selection: openId === hose.id ? null : { kind: "line", id: hose.id } })}
              className="flex min-h-8 w-full flex-col px-1 text-left text-[13px] leading-snug hover:bg-pick/60 aria-expanded:bg-pick phone:min-h-11"
            >
              <span className="flex w-full justify-between gap-2">
                <span className="font-semibold">{hose.name}</span>
                <span className="figures whitespace-nowrap text-faint">{describeHose(design, hose, units)}</span>
              </span>
              <span className="text-faint">
                {describeEnd(design, hose.from)} {WORDS.to} {describeEnd(design, hose.to)}
              </span>
            </button>
            {openId === hose.id && <HoseFields key={hose.id} hose={hose} />}
          </li>
        ))}
      </ul>
      {fromKey && toKey && (
        <>
          <Pick label={WORDS.from} value={fromKey} names={names} onPick={setFrom} />
          <Pick label={WORDS.to2} value={toKey} names={names} onPick={setTo} />
          <Button
            onClick={() => {
              const now = workbench.getState().history!.design;
              apply(buildAddHose(now, free.get(fromKey)!, free.get(toKey)!));
            }}
          >
            {WORDS.joinThemByAHose}
          </Button>
        </>
      )}
    </Group>
  );
}

const toKey = (end: HoseEnd): string => Object.values(end).join(":");

// Ports of gear without a hose, and the ports of tanks one may be put on.
function listFreePorts({ gear, tanks }: Design, hoses: readonly Hose[]): ReadonlyMap<string, HoseEnd> {
  const taken = new Set(hoses.flatMap(({ from, to }) => [toKey(from), toKey(to)]));
  const ends: HoseEnd[] = [
    ...gear.flatMap(({ id, spec }) =>
      listGearPorts(spec.kind).map((port): HoseEnd => ({ kind: "gear", gearId: id, port })),
    ),
    ...tanks.flatMap((tank) =>
      tank.ports.flatMap((port): HoseEnd[] =>
        port.kind === "draw" || port.kind === "fill" ? [{ kind: "tank", tankId: tank.id, portId: port.id }] : [],
      ),
    ),
  ];
  return new Map(ends.filter((end) => !taken.has(toKey(end))).map((end) => [toKey(end), end]));
}

function describeEnd({ gear, tanks }: Design, end: HoseEnd): string {
  if (end.kind === "gear") {
    return `${gear.find(({ id }) => id === end.gearId)?.name ?? end.gearId}, ${PORT_WORDS[end.port] ?? end.port}`;
  }
  const tank = tanks.find(({ id }) => id === end.tankId);
  const port = tank?.ports.find(({ id }) => id === end.portId);
  return `${tank?.name ?? end.tankId}, ${port ? PORT_NAMES[port.kind].toLowerCase() : end.portId}`;
}

const describeHose = (design: Design, hose: Hose, units: Units): string =>
  `${formatLength(hose.pipe.innerMm, units)}, ${formatLength(measure(design, hose), units)} long`;

function measure(design: Design, hose: Hose): number {
  const course = listHoseCourse(design, hose);
  return course.slice(1).reduce((sum, p, i) => sum + measureLength(subtract(p, course[i]!)), 0);
}
