import { listGoods } from "@/core/build/goods";
import { listSteps } from "@/core/build/steps";
import { evaluate } from "@/core/evaluate/evaluate";
import type { PartState } from "@/core/record/record";
import { readDemo } from "@/tests/demoRigs";
import { listGoodsRows, listMissing } from "@/words/goods";
import { readGoodsCsv, writeGoodsCsv } from "./goodsCsv";

const design = readDemo("kranich-loop");
const groups = listGoodsRows(listGoods(design, evaluate(design)), design, "counter", "metric");
const rows = groups.flatMap((group) => group.rows);

test("states, prices and shops come back as they went out, also where a shop looks like a formula", () => {
  const states: readonly PartState[] = ["wanted", "ordered", "came", "sorted", "built"];
  const parts = Object.fromEntries(rows.map(({ key }, i) => [key, states[i % states.length]!]));
  const prices = Object.fromEntries(
    rows.map(({ key }, i) => [
      key,
      { price: i % 3 === 0 ? null : i * 1.25, shop: i % 2 === 0 ? '=Yard, "by the" quay' : "" },
    ]),
  );
  const read = readGoodsCsv(writeGoodsCsv(groups, { parts, prices }), rows);
  if (!read.ok) throw new Error(read.sentence);
  expect(read.skipped).toEqual([]);
  expect(read.parts).toEqual(parts);
  for (const [key, { price, shop }] of Object.entries(prices)) {
    if (price !== null || shop !== "") expect(read.prices[key]).toEqual({ price, shop });
  }
});

test("what is no part, no price and no state is told by its line, the rest is taken", () => {
  const [first, second] = rows;
  const read = readGoodsCsv(
    `part,state,price\r\n"${first!.key.replaceAll('"', '""')}",Here,"3,50"\r\nunobtainium,Here,\r\n"${second!.key.replaceAll('"', '""')}",Here,minus\r\n"${second!.key.replaceAll('"', '""')}",lost,1\r\n`,
    rows,
  );
  if (!read.ok) throw new Error(read.sentence);
  expect(read.parts).toEqual({ [first!.key]: "came" });
  expect(read.prices).toEqual({ [first!.key]: { price: 3.5, shop: "" } });
  expect(read.skipped).toHaveLength(3);
  expect(read.skipped[0]).toContain("line 3");
  expect(read.skipped[2]).toContain("no state");
});

test("a table without a column for the part, and one with a broken quote, are refused in a sentence", () => {
  expect(readGoodsCsv("amount,price\n1,2\n", rows)).toMatchObject({
    ok: false,
    sentence: expect.stringContaining("part"),
  });
  expect(readGoodsCsv('part,state\n"open,Here\n', rows)).toMatchObject({ ok: false });
  expect(readGoodsCsv("", rows)).toMatchObject({ ok: false });
});

test("every good of a part is taken by some step of it, none twice, and a trial waits for nothing", () => {
  for (const name of ["kranich", "kranich-loop", "setzkasten"] as const) {
    const rig = readDemo(name);
    const evaluation = evaluate(rig);
    const goods = listGoods(rig, evaluation);
    const steps = listSteps(rig, evaluation);
    const nothing = { parts: {} };
    for (const step of steps) {
      const missing = listMissing(goods, step, nothing, rig, "metric");
      if (step.kind.startsWith("trial")) expect(missing).toEqual([]);
      // what holds is lagged and closed up
      if (step.kind === "closeUp") expect(missing.filter((own) => !own.startsWith("lagging"))).toEqual([]);
    }
    const taken = new Set(steps.flatMap((step) => listMissing(goods, step, nothing, rig, "metric")));
    const wanted = listGoodsRows(
      goods.filter(({ assembly, counter }) => assembly.kind !== "rig" && counter !== "electrics"),
      rig,
      "all",
      "metric",
    ).flatMap((group) => group.rows);
    expect(wanted.filter(({ name: own }) => !taken.has(own)).map(({ name: own }) => own)).toEqual([]);
    const all = Object.fromEntries(wanted.map(({ key }) => [key, "came" as const]));
    for (const step of steps) {
      const left = listMissing(goods, step, { parts: all }, rig, "metric");
      expect(left.every((own) => !wanted.some(({ name: one }) => one === own))).toBe(true);
    }
  }
});
