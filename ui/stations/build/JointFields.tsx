"use client";
import { useMemo, useState } from "react";
import { listRigJoints } from "@/core/parts/rigJoints";
import { END_KINDS, END_SIZES, type EndKind, type EndSize, findPitch, judgeJoint } from "@/core/parts/threads";
import { useWorkbench } from "@/store/useWorkbench";
import { describeJoint, END_NAMES, formatEndSize, groupJoints, JOINT_CAUTION } from "@/words/joints";
import * as WORDS from "@/words/panels/build/jointFields";
import { Group } from "../../fields/Group";
import { Trade } from "../../glossary/Trade";
import { Pick } from "../../kit/Pick";

const SIZES = Object.fromEntries(END_SIZES.map((size) => [size, formatEndSize(size)])) as Record<EndSize, string>;

/** Every joint at tanks and gear with both its ends, and what seals it. */
export function JointList() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const joints = useMemo(() => listRigJoints(design), [design]);
  if (joints.length === 0) return null;
  return (
    <Group title={WORDS.jointsAtTanksAndGear(joints.length)}>
      <ul className="text-[13px] leading-snug">
        {groupJoints(joints, design, units).map(({ work, places }) => (
          <li key={work} className="border-t border-rule py-1">
            {work}
            <span className="block text-faint">{places.join("; ")}</span>
          </li>
        ))}
      </ul>
    </Group>
  );
}

/** Two ends held together before they are bought: what fits, what starts and leaks, and what seals it. */
export function JointFields() {
  const [one, setOne] = useState<EndKind>("bspt");
  const [other, setOther] = useState<EndKind>("npt");
  const [size, setSize] = useState<EndSize>("1/2");
  const verdict = judgeJoint(one, other, size);
  const [a, b] = [findPitch(one, size), findPitch(other, size)];
  return (
    <Group title={WORDS.willItScrewTogether}>
      <Pick<EndKind> label={WORDS.oneEnd} value={one} names={END_NAMES} order={END_KINDS} onPick={setOne} />
      <Pick<EndKind> label={WORDS.theOther} value={other} names={END_NAMES} order={END_KINDS} onPick={setOther} />
      <Pick<EndSize> label={WORDS.size} value={size} names={SIZES} order={END_SIZES} onPick={setSize} />
      <p
        data-testid="joint"
        className={`pt-1 text-[14px] leading-snug ${verdict.fit === "fits" ? "" : verdict.fit === "adaptor" ? "text-warn" : "text-signal"}`}
      >
        {describeJoint(verdict)}
      </p>
      {a !== null && b !== null && (
        <p className="text-[12.5px] text-faint">
          <Trade>{WORDS.threadsAnInch}</Trade> {a} <Trade>{WORDS.and}</Trade> {b}.
        </p>
      )}
      <p className="text-[12px] leading-snug text-faint">
        <Trade>{JOINT_CAUTION}</Trade>
      </p>
    </Group>
  );
}
