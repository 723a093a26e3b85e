import { toBeginning } from "../design/lineItems";
import { nameDrain } from "../design/nameDrain";
import { toNodes } from "../design/nodes";
import type { Drain, Fixture, Trap } from "../design/plumbing";
import type { Vec3 } from "../geometry/vec";
import { findWastePipe } from "../parts/pipes";

type NewDrain = {
  readonly id: string;
  readonly trap: Trap | null;
  readonly to: Drain["to"];
  readonly bendsMm: readonly Vec3[];
};

/** The drain of a fixture in the pipe its bore asks for, named after it. */
export const createDrain = (fixture: Fixture, { id, trap, to, bendsMm }: NewDrain): Drain => ({
  id,
  name: nameDrain(fixture.name),
  kind: "drain",
  pipe: findWastePipe(fixture.boreMm),
  fromFixture: fixture.id,
  items: toBeginning(trap),
  to,
  bendsMm: toNodes(bendsMm),
});
