import { readDemo } from "@/tests/demoRigs";
import { applyEdit } from "../design/edit";
import type { Port } from "../design/plumbing";
import { buildPortBore } from "./portEdits";

const design = readDemo("kranich");
const tank = design.tanks.find(({ ports }) => ports.some(({ kind }) => kind === "outlet"))!;
const outlet = tank.ports.find(({ kind }) => kind === "outlet")!;

function widen(port: Port, value: number | null): Port {
  const put = {
    ...design,
    tanks: design.tanks.map((one) =>
      one === tank ? { ...tank, ports: tank.ports.map((p) => (p.id === port.id ? port : p)) } : one,
    ),
  };
  const outcome = applyEdit(put, buildPortBore(tank, port, value));
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design.tanks.find(({ id }) => id === tank.id)!.ports.find(({ id }) => id === port.id)!;
}

test("a valve of the port's own bore goes with it; one that was chosen otherwise stays, and none is made", () => {
  const { boreMm } = outlet;
  const own: Port = { ...outlet, valve: { kind: "manual", boreMm } };
  expect(widen(own, 50)).toMatchObject({ boreMm: 50, valve: { kind: "manual", boreMm: 50 } });
  const chosen: Port = { ...outlet, valve: { kind: "electric", boreMm: boreMm - 5 } };
  expect(widen(chosen, 50)).toMatchObject({ boreMm: 50, valve: { kind: "electric", boreMm: boreMm - 5 } });
  expect(widen({ ...outlet, valve: null }, 50)).toMatchObject({ boreMm: 50, valve: null });
});

test("what is no number is refused, and nothing is changed", () => {
  expect(applyEdit(design, buildPortBore(tank, outlet, null))).toMatchObject({ ok: false });
});
