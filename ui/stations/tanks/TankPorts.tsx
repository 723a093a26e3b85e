"use client";
import { Plus, Trash2 } from "lucide-react";
import { type Port, type Tank, THREADS, type Thread, type Valve } from "@/core/design/plumbing";
import { buildPortBore, buildPortToSide } from "@/core/edits/portEdits";
import { ADDED_PORTS, buildAddPort, buildRemovePort } from "@/core/edits/tankEdits";
import { FACES, type Face, findFace } from "@/core/templates/tankFaces";
import { useWorkbench } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import { PLAIN_WORDS, PORT_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/tanks/tankPorts";
import { describePort, nameSide } from "@/words/ports";
import { THREAD_NAMES } from "@/words/tankLabels";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";

/** Every hole of a tank: what it is for, where, how wide, and what stands before it. */
export function TankPorts({ tank }: { readonly tank: Tank }) {
  const { apply } = useEdits();
  return (
    <>
      <Group title={WORDS.ports}>
        <div className="flex flex-wrap gap-1.5">
          {ADDED_PORTS.map((kind) => (
            <Button key={kind} onClick={() => apply(buildAddPort(workbench.getState().history!.design, tank, kind))}>
              <Plus size={14} aria-hidden /> {PORT_NAMES[kind]}
            </Button>
          ))}
        </div>
        <p className="pt-1 text-[12px] leading-snug text-faint">
          <Trade>{WORDS.everythingThatGoesIntoThe}</Trade>
        </p>
      </Group>
      {tank.ports.map((port) => (
        <PortFields key={port.id} tank={tank} port={port} />
      ))}
    </>
  );
}

const AXES = { x: WORDS.fromTheTanksRear, y: WORDS.fromItsRightSide } as const;

type ValveChoice = Valve["kind"] | "none";
const VALVE_NAMES: Readonly<Record<ValveChoice, string>> = {
  none: WORDS.notChosenYet,
  manual: WORDS.byHand,
  electric: WORDS.electric,
};

// In which side, said and chosen as a builder says it; the figures below are for the tape.
function PortPlace({ tank, port }: { readonly tank: Tank; readonly port: Port }) {
  const design = useWorkbench((state) => state.history!.design);
  const { apply } = useEdits();
  const { face } = findFace(tank.solid, port);
  const names = Object.fromEntries(FACES.map((side) => [side, nameSide(side, design.rig.kind)])) as Record<
    Face,
    string
  >;
  return (
    <Pick<Face>
      label={WORDS.sitsInIts}
      value={face}
      names={names}
      onPick={(side) => apply(buildPortToSide(tank, port, side))}
    />
  );
}

function PortFields({ tank, port }: { readonly tank: Tank; readonly port: Port }) {
  const design = useWorkbench((state) => state.history!.design);
  const { set, apply } = useEdits();
  const at = { kind: "port", tankId: tank.id, id: port.id } as const;
  const removal = buildRemovePort(design, tank.id, port.id);
  const write = (key: string, value: unknown) =>
    set(at, ["tanks", tank.id, "ports", port.id, ...key.split(".")], value);
  const { valve } = port;
  return (
    <Group title={describePort(tank, port, design)} part={at}>
      <PortPlace tank={tank} port={port} />
      <NumberField
        label={WORDS.bore}
        value={port.boreMm}
        quantity="length"
        onCommit={(value) => apply(buildPortBore(tank, port, value))}
      />
      {(["x", "y"] as const).map((axis) => (
        <NumberField
          key={axis}
          label={AXES[axis]}
          value={port.atMm[axis]}
          quantity="length"
          onCommit={(value) => write(`atMm.${axis}`, value)}
        />
      ))}
      <NumberField
        label={WORDS.invertOverItsBottom}
        help={PLAIN_WORDS.invert}
        value={port.atMm.z}
        quantity="length"
        onCommit={(value) => write("atMm.z", value)}
      />
      <Pick<Thread | "none">
        label={WORDS.thread}
        value={port.thread ?? "none"}
        names={THREAD_NAMES}
        order={["none", ...THREADS]}
        onPick={(value) => write("thread", value === "none" ? null : value)}
      />
      <NumberField
        label={WORDS.standsOutFromTheWall}
        help={WORDS.howFarBendValveOr}
        value={port.fittingMm}
        quantity="length"
        onCommit={(value) => write("fittingMm", value ?? 0)}
      />
      {port.kind === "outlet" && (
        <>
          <Pick<ValveChoice>
            label={WORDS.dumpValve}
            value={valve?.kind ?? "none"}
            names={VALVE_NAMES}
            onPick={(kind) => write("valve", kind === "none" ? null : { kind, boreMm: valve?.boreMm ?? port.boreMm })}
          />
          {valve && (
            <NumberField
              label={WORDS.boreOfTheValve}
              value={valve.boreMm}
              quantity="length"
              onCommit={(value) => write("valve.boreMm", value)}
            />
          )}
        </>
      )}
      {removal && (
        <Button className="mt-1" onClick={() => apply(removal)}>
          <Trash2 size={14} aria-hidden /> {WORDS.takeThis} {PORT_NAMES[port.kind].toLowerCase()} {WORDS.out}
        </Button>
      )}
    </Group>
  );
}
