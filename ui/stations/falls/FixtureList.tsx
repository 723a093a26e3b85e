"use client";
import { useState } from "react";
import { FIXTURE_KINDS, type FixtureKind, type Line } from "@/core/design/plumbing";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { FIXTURE_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/falls/fixtureList";
import { findShownFixtureId } from "../../drawing/shown";
import { Group } from "../../fields/Group";
import { AddOne } from "../../kit/AddOne";
import { SeverityMark } from "../../kit/SeverityMark";

/** Every fixture with what its drain has in hand; one is shown. New ones come with a drain drawn to the tank. */
export function FixtureList() {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation);
  const drainId = useWorkbench((state) => state.drainId);
  const [isLooking, setIsLooking] = useState(false);
  const fixtureId = useWorkbench((state) => state.fixtureId);
  const shownId = findShownFixtureId(design, drainId, fixtureId);
  const drainOf = new Map(design.lines.flatMap((l) => (l.kind === "drain" ? [[l.fromFixture, l] as const] : [])));
  const add = async (kind: FixtureKind) => {
    const same = design.fixtures.filter((f) => f.kind === kind).length;
    const name = same === 0 ? FIXTURE_NAMES[kind] : `${FIXTURE_NAMES[kind]} ${same + 1}`;
    // what asks the worker comes when it is wanted first
    const { fitFixture } = await import("../../fields/fitFixture");
    setIsLooking(true);
    const edit = await fitFixture(kind, name);
    setIsLooking(false);
    const added = edit?.ops.find(
      (op) => op.op === "insert" && op.path[0] === "lines" && (op.value as Line).kind === "drain",
    );
    if (added?.op === "insert") look({ drainId: (added.value as Line).id, fixtureId: null, selection: null });
    else if (edit?.at.kind === "fixture") look({ fixtureId: edit.at.id, selection: null });
  };
  return (
    <Group
      title={WORDS.fixtures}
      aside={
        <AddOne<FixtureKind>
          label={WORDS.addAFixture}
          names={FIXTURE_NAMES}
          order={FIXTURE_KINDS}
          onAdd={(kind) => void add(kind)}
        />
      }
    >
      {isLooking && (
        <p role="status" className="text-[13px] text-faint">
          {WORDS.lookingForItsPlace}
        </p>
      )}
      {(design.fixtures.length > 1 || design.fixtures.some(({ id }) => !drainOf.has(id))) && (
        <ul>
          {design.fixtures.map((fixture) => {
            const line = drainOf.get(fixture.id);
            const isBad = evaluation?.findings.some(
              ({ severity, at }) =>
                severity === "must" &&
                (("lineId" in at && at.lineId === line?.id) || (at.kind === "fixture" && at.id === fixture.id)),
            );
            const isShown = fixture.id === shownId;
            return (
              <li key={fixture.id} data-part={`fixture:${fixture.id}`}>
                <button
                  type="button"
                  aria-current={isShown}
                  onClick={() =>
                    look(
                      line
                        ? { drainId: line.id, fixtureId: null }
                        : { fixtureId: fixture.id, selection: { kind: "fixture", id: fixture.id } },
                    )
                  }
                  className={`flex min-h-7 w-full items-center gap-2 rounded-[2px] px-1 text-left text-[13.5px] hover:bg-pick phone:min-h-11 ${isShown ? "bg-pick font-semibold" : ""}`}
                >
                  <span className="flex-1">
                    {fixture.name}
                    {!line && <span className="font-normal text-faint">{WORDS.noDrainYet}</span>}
                  </span>
                  {isBad && <SeverityMark severity="must" size={14} />}
                </button>
              </li>
            );
          })}
        </ul>
      )}
    </Group>
  );
}
