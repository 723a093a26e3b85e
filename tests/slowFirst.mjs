import Sequencer from "@jest/test-sequencer";

/** They take most of all, and would keep one worker busy long after the other has nothing left. */
const SLOW = ["fitWanted", "idleFields", "fitWater", "firstRig", "fuzz", "redrawnFields", "findRoutes", "recall"];

/** The slowest first, also where no run before has told which they are. */
export default class SlowFirst extends Sequencer {
  sort(tests) {
    const rank = ({ path }) => {
      const at = SLOW.findIndex((name) => path.endsWith(`/${name}.test.ts`));
      return at < 0 ? SLOW.length : at;
    };
    return super.sort(tests).sort((a, b) => rank(a) - rank(b));
  }
}
