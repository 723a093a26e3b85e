import { GEAR_PORTS } from "./gearPorts";
import { listComing, listLeaving } from "./passing";

test("pumps, non-returns and air gaps let water through from their inlet; a three-way valve never from one branch to the other", () => {
  for (const kind of ["pump", "nonReturn", "airGap"] as const) {
    expect([listLeaving(kind, "in"), listLeaving(kind, "out")]).toEqual([["out"], []]);
    expect([listComing(kind, "out"), listComing(kind, "in")]).toEqual([["in"], []]);
  }
  expect([listLeaving("diverter", "common"), listLeaving("diverter", "a")]).toEqual([["a", "b"], ["common"]]);
  expect([listLeaving("mixer", "hot"), listLeaving("mixer", "out")]).toEqual([["out"], []]);
  expect(listLeaving("tee", "b")).toEqual(["a", "c"]);
  expect(listLeaving("tap", "in")).toEqual([]);
});

test("what leaves by a port has come by those that let it leave there", () => {
  for (const [kind, ports] of Object.entries(GEAR_PORTS) as [keyof typeof GEAR_PORTS, readonly string[]][])
    for (const one of ports)
      for (const other of ports)
        if (one !== other)
          expect([kind, one, other, listComing(kind, other).includes(one)]).toEqual([
            kind,
            one,
            other,
            listLeaving(kind, one).includes(other),
          ]);
});
