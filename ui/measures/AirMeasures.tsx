"use client";
import { Plus, Trash2 } from "lucide-react";
import type { BranchVent, Drain, Vent } from "@/core/design/plumbing";
import { add, vec } from "@/core/geometry/vec";
import { toWorkingId } from "@/core/workings/listWorkings";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { WORK_CAUTIONS } from "@/words/cautions";
import { GLOSSARY } from "@/words/labels";
import { formatQuantity } from "@/words/units";
import { isSamePart } from "../drawing/Handle";
import { findShownDrain, findShownResult } from "../drawing/shown";
import { Button } from "../kit/Button";
import { Figure } from "../kit/Figure";
import { NumberField } from "../kit/NumberField";
import { Pick } from "../kit/Pick";
import { Group } from "./Group";
import { PlaceFields } from "./PlaceFields";
import { useEdits } from "./useEdits";

/** Air for the tank and for the branch. */
export function AirMeasures() {
  const design = useWorkbench((state) => state.history!.design);
  const drainId = useWorkbench((state) => state.drainId);
  const vents = design.lines.filter((line): line is Vent => line.kind === "vent");
  const drain = findShownDrain(design, drainId);
  return (
    <>
      {vents.length === 0 && (
        <p className="px-3 py-2">
          There is no breather. {GLOSSARY.breather} The finding “no breather” above fits one for you.
        </p>
      )}
      {vents.map((vent) => (
        <VentFields key={vent.id} vent={vent} />
      ))}
      {drain && <BranchFields drain={drain} />}
      <p className="px-3 py-2 text-[12px] leading-snug text-faint">{WORK_CAUTIONS.tankGas}</p>
    </>
  );
}

function VentFields({ vent }: { readonly vent: Vent }) {
  const selection = useWorkbench((state) => state.selection);
  const design = useWorkbench((state) => state.history!.design);
  const { set, apply } = useEdits();
  const at = { kind: "line", id: vent.id } as const;
  const tank = design.tanks.find((t) => t.id === vent.fromTank);
  const port = tank?.ports.find((p) => p.id === vent.fromPort);
  const addPoint = () => {
    const last = vent.pointsMm[vent.pointsMm.length - 1]!;
    const before = vent.pointsMm[vent.pointsMm.length - 2] ?? (tank && port ? add(tank.atMm, port.atMm) : last);
    const value = vec((last.x + before.x) / 2, (last.y + before.y) / 2, (last.z + before.z) / 2);
    const index = vent.pointsMm.length - 1;
    const refused = apply({
      code: "addBend",
      at,
      ops: [{ op: "insert", path: ["lines", vent.id, "pointsMm"], index, value }],
    });
    if (refused === null) look({ selection: { kind: "bend", lineId: vent.id, index } });
  };
  return (
    <Group title={vent.name}>
      <NumberField
        label="Bore"
        help={GLOSSARY.bore}
        value={vent.pipe.innerMm}
        quantity="length"
        onCommit={(value) => set(at, ["lines", vent.id, "pipe", "innerMm"], value)}
      />
      <ul>
        {vent.pointsMm.map((point, index) => {
          const part = { kind: "bend", lineId: vent.id, index } as const;
          const picked = isSamePart(selection, part);
          const isEnd = index === vent.pointsMm.length - 1;
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: points are known by their place along the breather
            <li key={index}>
              <button
                type="button"
                aria-expanded={picked}
                onClick={() => look({ selection: picked ? null : part })}
                className="flex min-h-7 w-full items-center justify-between rounded-[2px] px-1 text-left text-[13.5px] hover:bg-pick phone:min-h-11"
              >
                {isEnd ? "Open end" : `Point ${index + 1}`}
                <span className="figures text-[14px] text-faint">
                  {Math.round(point.x)} · {Math.round(point.y)} · {Math.round(point.z)}
                </span>
              </button>
              {picked && (
                <div className="mb-2 border-l-2 border-enamel pl-2">
                  <PlaceFields part={part} />
                  {!isEnd && (
                    <Button
                      className="mt-1"
                      onClick={() => {
                        look({ selection: null });
                        apply({
                          code: "removeBend",
                          at,
                          ops: [{ op: "remove", path: ["lines", vent.id, "pointsMm", index] }],
                        });
                      }}
                    >
                      <Trash2 size={14} aria-hidden /> Take it out
                    </Button>
                  )}
                </div>
              )}
            </li>
          );
        })}
      </ul>
      <Button className="mt-1" onClick={addPoint}>
        <Plus size={14} aria-hidden /> Point before the end
      </Button>
    </Group>
  );
}

const BRANCH_NAMES = { none: "None", openPipe: "Open vent pipe", admittanceValve: "Air-admittance valve" } as const;

function BranchFields({ drain }: { readonly drain: Drain }) {
  const result = useWorkbench(findShownResult);
  const units = useWorkbench((state) => state.units);
  const { set, apply } = useEdits();
  const at = { kind: "line", id: drain.id } as const;
  const path = ["lines", drain.id, "branchVent"];
  const pick = (kind: keyof typeof BRANCH_NAMES) => {
    if (kind === "none") apply({ code: "removeBranchVent", at, ops: [{ op: "set", path, value: null }] });
    else {
      const value: BranchVent = { kind, fromWeirMm: drain.branchVent?.fromWeirMm ?? 300 };
      apply({ code: drain.branchVent ? "change" : "addBranchVent", at, ops: [{ op: "set", path, value }] });
    }
  };
  return (
    <Group title={`Air on ${drain.name}`}>
      <Pick
        label="Kind"
        value={drain.branchVent?.kind ?? "none"}
        options={(Object.keys(BRANCH_NAMES) as (keyof typeof BRANCH_NAMES)[]).map((value) => ({
          value,
          name: BRANCH_NAMES[value],
        }))}
        onPick={pick}
      />
      {drain.branchVent && (
        <NumberField
          label="From the trap's weir"
          value={drain.branchVent.fromWeirMm}
          quantity="length"
          step={10}
          onCommit={(value) => set(at, [...path, "fromWeirMm"], value)}
        />
      )}
      {result && drain.trap && (
        <p className="pt-1 text-[13px] text-faint">
          Trap to air {formatQuantity(result.arm.lengthMm, "length", units)}; allowed{" "}
          <Figure
            working={toWorkingId("trapArm", { kind: "trap", lineId: drain.id })}
            label="Trap to air allowed"
            className="text-[15px] text-ink"
          >
            {Number.isFinite(result.armAllowedMm) ? formatQuantity(result.armAllowedMm, "length", units) : "any length"}
          </Figure>
          .
        </p>
      )}
    </Group>
  );
}
