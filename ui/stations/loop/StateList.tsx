"use client";
import { Trash2 } from "lucide-react";
import type { DischargePlace } from "@/core/design/gear";
import { buildAddState, buildRemoveState, USUAL_STATES, type UsualState } from "@/core/edits/loopEdits";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, workbench } from "@/store/workbench";
import { DISCHARGE_NAMES } from "@/words/heads";
import { USUAL_STATE_NAMES } from "@/words/interlock";
import * as WORDS from "@/words/panels/loop/stateList";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { AddOne } from "../../kit/AddOne";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";

/** The working states by name: add one, call it otherwise, take one out. How it stands is turned on the stage. */
export function StateList() {
  const states = useWorkbench((state) => state.history!.design.states);
  const hasBlack = useWorkbench((state) => {
    const { tanks, gear } = state.history!.design;
    return tanks.some(({ holds }) => holds === "black") || gear.some(({ spec }) => spec.kind === "bowl");
  });
  const shownId = useWorkbench((state) => state.loopView.stateId);
  const { apply, set } = useEdits();
  const shown = states.find(({ id }) => id === shownId) ?? states[0] ?? null;
  const add = (usual: UsualState) => {
    const edit = buildAddState(workbench.getState().history!.design, usual, USUAL_STATE_NAMES[usual], shown);
    if (apply(edit) === null && edit.at.kind === "state") look({ loopView: { stateId: edit.at.id, way: null } });
  };
  return (
    <Group title={WORDS.workingStates}>
      <ul>
        {states.map(({ id, name }) => (
          <li key={id} className="flex items-center gap-1">
            <button
              type="button"
              aria-pressed={id === shown?.id}
              onClick={() => look({ loopView: { stateId: id, way: null } })}
              className={`min-h-7 flex-1 px-1 text-left text-[13.5px] phone:min-h-11 ${id === shown?.id ? "bg-pick" : "hover:bg-pick/60"}`}
            >
              {name}
            </button>
            <Button
              look="bare"
              aria-label={WORDS.takeOut(name)}
              onClick={() => {
                apply(buildRemoveState(id));
                look({ loopView: { stateId: null, way: null } });
              }}
            >
              <Trash2 size={14} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      {shown && (
        <TextField
          key={shown.id}
          label={WORDS.called}
          value={shown.name}
          onCommit={(name) => set({ kind: "state", id: shown.id }, ["states", shown.id, "name"], name)}
        />
      )}
      {shown && hasBlack && (
        <Pick<DischargePlace | "unsaid">
          label={WORDS.usedWhere}
          value={shown.place ?? "unsaid"}
          names={{ unsaid: WORDS.notSaid, ...DISCHARGE_NAMES }}
          onPick={(place) => {
            if (place !== "unsaid") set({ kind: "state", id: shown.id }, ["states", shown.id, "place"], place);
          }}
        />
      )}
      <AddOne label={WORDS.oneMoreState} names={USUAL_STATE_NAMES} order={USUAL_STATES} onAdd={add} />
      <p className="pt-1 text-[12px] leading-snug text-faint">
        <Trade>{WORDS.aNewOneStartsAs}</Trade>
      </p>
    </Group>
  );
}
