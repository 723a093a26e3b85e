import { Project, Workspace } from "epanet-js";
import { computeFrictionFactor } from "./friction";

// Held against a general engine for pipe networks (EPANET 2.3, as a library from the registry): the same pipe, the same
// flow, its head loss after Darcy and Weisbach. The engine's own constants: viscosity 1 is 1.1e-5 ft²/s, g is 32.2 ft/s².
const FT = 0.3048;
const VISCOSITY = 1.1e-5 * FT ** 2;
const G = 32.2 * FT;
const LENGTH_M = 100;

type Case = { readonly diameterMm: number; readonly roughnessMm: number; readonly reynolds: number };

const toFlowLps = ({ diameterMm, reynolds }: Case): number =>
  ((reynolds * VISCOSITY * Math.PI * diameterMm) / 1000 / 4) * 1000;

function computeHeadLossM({ diameterMm, roughnessMm, reynolds }: Case): number {
  const d = diameterMm / 1000;
  const v = (reynolds * VISCOSITY) / d;
  return (computeFrictionFactor(reynolds, roughnessMm / diameterMm) * LENGTH_M * v ** 2) / (d * 2 * G);
}

// One reservoir, one pipe, one tap.
const toNetwork = (c: Case): string => `[JUNCTIONS]
tap 0 ${toFlowLps(c).toFixed(9)}
[RESERVOIRS]
source 5000
[PIPES]
pipe source tap ${LENGTH_M} ${c.diameterMm} ${c.roughnessMm} 0 Open
[OPTIONS]
Units LPS
Headloss D-W
Viscosity 1.0
Accuracy 0.00000001
Trials 200
[TIMES]
Duration 0
[END]
`;

async function solve(cases: readonly Case[]): Promise<number[]> {
  const workspace = new Workspace();
  await workspace.loadModule();
  return cases.map((c, i) => {
    const project = new Project(workspace);
    workspace.writeFile(`net-${i}.inp`, toNetwork(c));
    project.open(`net-${i}.inp`, `report-${i}.rpt`, `out-${i}.bin`);
    project.solveH();
    // property 10 of a link is its head loss
    const loss = project.getLinkValue(project.getLinkIndex("pipe"), 10);
    project.close();
    return loss;
  });
}

const CASES: readonly Case[] = [
  200, 900, 1_600, 1_990, 2_100, 2_600, 3_200, 3_900, 4_100, 8_000, 25_000, 90_000,
].flatMap((reynolds) =>
  [
    { diameterMm: 12.7, roughnessMm: 0.0015 },
    { diameterMm: 38, roughnessMm: 0.15 },
  ].map((pipe) => ({ ...pipe, reynolds })),
);

test("head loss agrees with the engine at 24 points, laminar, bridged and turbulent", async () => {
  const losses = await solve(CASES);
  CASES.forEach((c, i) => {
    const ours = computeHeadLossM(c);
    expect({ ...c, share: Math.abs(losses[i]! - ours) / ours < 0.01 }).toEqual({ ...c, share: true });
  });
});
