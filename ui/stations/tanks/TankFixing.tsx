"use client";
import { measureFloorMm } from "@/core/design/floor";
import {
  BOLT_SIZES,
  type BoltSize,
  FASTENERS,
  type Fastener,
  FIXING_KINDS,
  type FixingKind,
  type Tank,
} from "@/core/design/plumbing";
import { CRASH_CLASSES, type CrashClass } from "@/core/design/rig";
import { buildBoltCount } from "@/core/edits/boltEdits";
import { listAssembly } from "@/core/fixing/assembly";
import { computeFixing, type FixingResult } from "@/core/fixing/fixing";
import { USUAL_FIXING } from "@/core/fixing/usualFixing";
import { measureExtent } from "@/core/geometry/solid";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { describeAssembly } from "@/words/assembly";
import { LOAD_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/tanks/tankFixing";
import { CLASS_NAMES, FASTENER_NAMES, FIXING_NAMES } from "@/words/tankLabels";
import { formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Figure } from "../../kit/Figure";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { Tick } from "../../kit/Tick";
import { useSay } from "../../kit/useSay";
import { BoltPattern } from "./BoltPattern";

/** What holds the tank up, and how much of it each load takes. */
export function TankFixing({ tank }: { readonly tank: Tank }) {
  const rig = useWorkbench((state) => state.history!.design.rig);
  const isAfloat = rig.kind === "boat";
  const units = useWorkbench((state) => state.units);
  const { set, apply } = useEdits();
  const say = useSay();
  const at = { kind: "tank", id: tank.id } as const;
  const path = (...keys: string[]) => ["tanks", tank.id, "fixing", ...keys];
  const { fixing } = tank;
  const cases = fixing ? computeFixing(tank, fixing, rig) : [];
  const worst = (cases ?? []).reduce<FixingResult | null>(
    (a, b) => (a && a.utilisation >= b.utilisation ? a : b),
    null,
  );
  return (
    <Group title={WORDS.fixing}>
      <Pick<FixingKind | "none">
        label={WORDS.heldBy}
        value={fixing?.kind ?? "none"}
        names={{
          none: WORDS.notWorkedOut,
          ...(Object.fromEntries(FIXING_KINDS.map((k) => [k, say(FIXING_NAMES[k].name)])) as Record<
            FixingKind,
            string
          >),
        }}
        onPick={(kind) => set(at, path(), kind === "none" ? null : { ...(fixing ?? USUAL_FIXING), kind })}
      />
      {fixing && (
        <>
          <p className="text-[12px] leading-snug text-faint">{say(FIXING_NAMES[fixing.kind].plain)}</p>
          <Pick<Fastener>
            label={WORDS.boltsSitIn}
            value={fixing.fastener}
            names={FASTENER_NAMES}
            order={FASTENERS}
            onPick={(value) => set(at, path("fastener"), value)}
          />
          <NumberField
            label={WORDS.boltsClass88}
            value={fixing.bolts}
            quantity="count"
            onCommit={(value) => (value === null ? null : apply(buildBoltCount(tank, value)))}
          />
          <BoltPattern tank={tank} fixing={fixing} cases={cases} />
          <Pick<BoltSize>
            label={WORDS.ofSize}
            value={fixing.size}
            names={Object.fromEntries(BOLT_SIZES.map((size) => [size, size])) as Record<BoltSize, string>}
            onPick={(value) => set(at, path("size"), value)}
          />
          {fixing.fastener === "through" && (
            <Tick
              label={WORDS.plateBehindEachBolt}
              value={fixing.hasPlate}
              onPick={(value) => set(at, path("hasPlate"), value)}
            />
          )}
          <NumberField
            label={WORDS.ratedAgainstPullingOut}
            help={WORDS.whatOneRivetNutLug}
            value={fixing.heldKN}
            quantity="force"
            clearable
            onCommit={(value) => set(at, path("heldKN"), value)}
          />
          <NumberField
            label={WORDS.ratedInShear}
            help={WORDS.theSameSideways}
            value={fixing.heldShearKN}
            quantity="force"
            clearable
            onCommit={(value) => set(at, path("heldShearKN"), value)}
          />
          <NumberField
            label={WORDS.safetyFactorOnRatings}
            value={fixing.heldFactor}
            quantity="times"
            step={0.1}
            onCommit={(value) => set(at, path("heldFactor"), value)}
          />
          {fixing.kind === "straps" && (
            <NumberField
              label={WORDS.oneStrapOrJBolt}
              help={WORDS.fromItsDataSheetEach}
              value={fixing.strapKN}
              quantity="force"
              clearable
              onCommit={(value) => set(at, path("strapKN"), value)}
            />
          )}
          {fixing.kind === "straps" && (
            <Tick
              label={WORDS.endStopBeforeAndBehind}
              value={fixing.hasEndStop}
              onPick={(value) => set(at, path("hasEndStop"), value)}
            />
          )}
          {!isAfloat && (
            <Pick<CrashClass>
              label={WORDS.crashAsForA}
              value={rig.crashClass}
              names={CLASS_NAMES}
              order={CRASH_CLASSES}
              onPick={(value) => set({ kind: "rig" }, ["rig", "crashClass"], value)}
            />
          )}
          {cases ? (
            <table className="mt-1 w-full text-[13px]" aria-label={WORDS.whatEachLoadTakesOf}>
              <thead className="text-faint">
                <tr>
                  <th className="text-left font-normal">{WORDS.fullTank}</th>
                  <th className="pl-2 text-right font-normal">{WORDS.shear}</th>
                  <th className="pl-2 text-right font-normal">{WORDS.pull}</th>
                  <th className="pl-2 text-right font-normal">{WORDS.takes}</th>
                </tr>
              </thead>
              <tbody className="figures text-[15px]">
                {cases.map(({ load, shearKN, tensionKN, utilisation, weakest }) => (
                  <tr key={load.id} className="border-t border-rule">
                    <th scope="row" className="text-left font-normal">
                      {LOAD_NAMES[load.id]}
                    </th>
                    <td className="pl-2 text-right">{formatQuantity(shearKN, "force", units)}</td>
                    <td className="pl-2 text-right">{formatQuantity(tensionKN, "force", units)}</td>
                    <td className={`pl-2 text-right ${utilisation > 1 ? "text-signal" : ""}`}>
                      {formatQuantity(utilisation, "ratio", units)}
                      {weakest === "held" ? WORDS.ofWhatTheySitIn : weakest === "strap" ? WORDS.ofAStrap : ""}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          ) : (
            <p className="text-[13px] text-signal">
              <Trade>{WORDS.allBoltsStandInOne}</Trade>
            </p>
          )}
          {worst && <WorstLoad tank={tank} worst={worst} />}
          <p className="pt-1 text-[12px] leading-snug text-faint">
            <Trade>{WORDS.onTheBoltThatBears}</Trade> {isAfloat ? WORDS.theLoadsOfASeaway : WORDS.haveAFixingThatMust}
          </p>
        </>
      )}
      <HangingOrder tank={tank} />
    </Group>
  );
}

/** The load that takes most, with the sums behind it. */
function WorstLoad({ tank, worst }: { readonly tank: Tank; readonly worst: FixingResult }) {
  const units = useWorkbench((state) => state.units);
  const at = { kind: "tank", id: tank.id } as const;
  const share = (value: number) => formatQuantity(value, "ratio", units);
  return (
    <p className="text-[13px] text-faint">
      {LOAD_NAMES[worst.load.id]} <Trade>{WORDS.takes}</Trade>{" "}
      <Figure working={toWorkingId("boltUse", at)} label={WORDS.whatTheWorstLoadTakes} className="text-ink">
        {share(worst.ofBolt)}
      </Figure>{" "}
      <Trade>{WORDS.ofABolt}</Trade>
      {worst.ofHeld === null ? (
        WORDS.whatItSitsInHas
      ) : (
        <>
          {WORDS.and}
          <Figure working={toWorkingId("heldUse", at)} label={WORDS.whatTheWorstLoadTakes2} className="text-ink">
            {share(worst.ofHeld)}
          </Figure>
          {WORDS.ofWhatItSitsIn}
        </>
      )}
    </p>
  );
}

/** In what order it is drilled, fitted and hung. */
function HangingOrder({ tank }: { readonly tank: Tank }) {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const roomOverMm = -measureFloorMm(design) - (tank.atMm.z + measureExtent(tank.solid).max.z + tank.wallMm);
  return (
    <details className="pt-1.5 text-[13px]">
      <summary className="cursor-pointer text-enamel underline decoration-dotted underline-offset-4">
        {WORDS.inWhatOrderItGoes(design.rig.kind === "boat" || tank.atMm.z >= 0 ? WORDS.inside : WORDS.up)}
      </summary>
      <ol className="list-decimal pt-1 pl-4">
        {listAssembly(tank, tank.atMm.z >= 0 ? 1_000 : roomOverMm).map((step) => (
          <li key={step.kind} className="py-0.5">
            {describeAssembly(step, tank, design.rig.kind, units)}
          </li>
        ))}
      </ol>
    </details>
  );
}
