import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { nameDrain } from "../design/nameDrain";
import type { Fixture } from "../design/plumbing";

/** Edit that gives a fixture another name, and its drain with it where that is still called after the fixture. */
export function buildRenameFixture({ lines }: Design, fixture: Fixture, name: string): Edit {
  const drains = lines.filter((line) => line.kind === "drain" && line.fromFixture === fixture.id);
  const ops: EditOp[] = [
    { op: "set", path: ["fixtures", fixture.id, "name"], value: name },
    ...drains
      .filter((drain) => drain.name === nameDrain(fixture.name))
      .map(({ id }): EditOp => ({ op: "set", path: ["lines", id, "name"], value: nameDrain(name) })),
  ];
  return { code: "change", at: { kind: "fixture", id: fixture.id }, ops };
}
