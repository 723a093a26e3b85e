import type { Fault } from "@/core/design/faults";
import { describeRefusal, loadRefusals } from "./refusals";
import { workbench } from "./workbench";

const FAULT: Fault = { code: "tooSmall", path: ["habits", "people", "adult", "count"], what: "number", least: 1 };

describe("why a change is refused", () => {
  it("is told as soon as the sentences are here, if they were not when it was refused", async () => {
    expect(describeRefusal(FAULT, "metric")).not.toMatch(/at least 1/);
    await loadRefusals();
    await new Promise((done) => setImmediate(done));
    expect(workbench.getState().notice).toMatchObject({ text: expect.stringMatching(/at least 1/), tone: "warning" });
    // and from then on at once, where it was typed, without a notice
    workbench.setState({ notice: null });
    expect(describeRefusal(FAULT, "metric")).toMatch(/at least 1/);
    expect(workbench.getState().notice).toBeNull();
  });
});
