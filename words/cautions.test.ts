import { RIG_KINDS } from "@/core/design/rig";
import { sayBeforeDrilling } from "./cautions";

test("what is said before drilling speaks of brakes on land and of seacocks in a hull", () => {
  for (const kind of RIG_KINDS) {
    const isBoat = kind === "boat";
    expect(sayBeforeDrilling(kind).includes("seacock")).toBe(isBoat);
    expect(sayBeforeDrilling(kind).includes("brake")).toBe(!isBoat);
    expect(sayBeforeDrilling(kind)).toContain("pilot");
  }
});
