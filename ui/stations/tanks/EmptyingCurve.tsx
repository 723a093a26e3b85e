import type { Emptying } from "@/core/tanks/emptying";
import * as WORDS from "@/words/panels/tanks/emptyingCurve";
import { describeSeconds } from "@/words/pour";
import { formatQuantity, type Units } from "@/words/units";
import { Chart } from "../../charts/Chart";

/** Litres left over time while a tank runs out. */
export function EmptyingCurve({ run, units }: { readonly run: Emptying; readonly units: Units }) {
  const { curve, seconds } = run;
  const fullL = curve[0]?.litres ?? 0;
  if (seconds <= 0 || fullL <= 0) return null;
  const litres = (value: number) => formatQuantity(value, "volume", units);
  return (
    <Chart
      label={WORDS.startsWithEmptyAfter(litres(fullL), describeSeconds(seconds))}
      lines={[
        {
          name: WORDS.leftInTheTank,
          points: curve.map((p) => [p.second, p.litres]),
          ink: "water",
          isFilled: true,
          format: litres,
        },
      ]}
      formatX={describeSeconds}
    />
  );
}
