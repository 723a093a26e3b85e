"use client";
import { Download, FileText, Upload } from "lucide-react";
import { useMemo, useRef, useState } from "react";
import { listGoods } from "@/core/build/goods";
import { PART_STATES, type PartState } from "@/core/record/record";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import {
  GOODS_BY,
  GOODS_BY_NAMES,
  type GoodsBy,
  type GoodsRow,
  isHere,
  listGoodsRows,
  PART_STATE_NAMES,
  SEALING_NOTE,
} from "@/words/goods";
import * as WORDS from "@/words/panels/build/goodsList";
import { formatNumber, parsePlain } from "@/words/units";
import { Group } from "../../fields/Group";
import { SettleFirst } from "../../findings/SettleFirst";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { useRecords } from "../useRecords";

const keep = (kept: Promise<void>): void => {
  kept.catch(() => tell(WORDS.thatCouldNotBeKept, { tone: "warning" }));
};

/** What to buy, how it stands, what it costs and where: by counter, by where it goes, or all in one. */
export function GoodsList() {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const units = useWorkbench((state) => state.units);
  const build = useRecords((state) => state.build);
  const [by, setBy] = useState<GoodsBy>("counter");
  const [refusal, setRefusal] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const goods = useMemo(() => listGoods(design, evaluation, build.saws), [design, evaluation, build.saws]);
  const groups = useMemo(() => listGoodsRows(goods, design, by, units), [goods, design, by, units]);
  const whole = useMemo(
    () => listGoodsRows(goods, design, "all", units).flatMap(({ rows }) => rows),
    [goods, design, units],
  );
  if (whole.length === 0) return null;
  const missing = whole.filter(({ key }) => !isHere(build, key)).length;
  const costs = whole.flatMap(({ key }) => build.prices?.[key]?.price ?? []);
  const total = costs.reduce((sum, price) => sum + price, 0);
  const hand = async (kind: "csv" | "text") => {
    const [{ writeGoodsCsv }, { handOut }] = await Promise.all([
      import("@/files/goodsCsv"),
      import("../../kit/handOut"),
    ]);
    if (kind === "csv") handOut(`${design.id}-parts.csv`, writeGoodsCsv(groups, build), "text/csv");
    else
      handOut(
        `${design.id}-parts.txt`,
        groups
          .map(({ title, rows }) => `${title}\n${rows.map(({ amount, name }) => `${amount}  ${name}`).join("\n")}\n`)
          .join("\n"),
        "text/plain",
      );
  };
  const readIn = async (file: File) => {
    const { readGoodsCsv } = await import("@/files/goodsCsv");
    const outcome = readGoodsCsv(await file.text(), whole);
    if (!outcome.ok) return setRefusal(`${file.name}: ${outcome.sentence}`);
    keep(records.setGoods(outcome.parts, outcome.prices));
    const [first] = outcome.skipped;
    setRefusal(first ? WORDS.leftOutTheFirstAt(outcome.skipped.length, first) : null);
  };
  return (
    <Group title={WORDS.partsOfNotHereYet(missing, whole.length)}>
      <Pick<GoodsBy> label={WORDS.listed} value={by} names={GOODS_BY_NAMES} order={GOODS_BY} onPick={setBy} />
      <SettleFirst findings={evaluation.findings.filter(({ severity }) => severity === "must")} design={design} />
      <div className="flex flex-wrap gap-1.5 py-1">
        <Button onClick={() => void hand("csv")}>
          <Download size={13} aria-hidden /> {WORDS.partsAsCsv}
        </Button>
        <Button onClick={() => void hand("text")}>
          <FileText size={13} aria-hidden /> {WORDS.asText}
        </Button>
        <Button onClick={() => input.current?.click()}>
          <Upload size={13} aria-hidden /> {WORDS.readCsv}
        </Button>
        <input
          ref={input}
          type="file"
          accept=".csv,text/csv"
          aria-label={WORDS.partsFromACsvFile}
          className="hidden"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = "";
            if (file) void readIn(file);
          }}
        />
      </div>
      {refusal && (
        <p role="alert" className="text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
      {groups.map(({ title, rows }) => (
        <div key={title} data-testid="goods">
          {title && <h4 className="pt-2 pb-0.5 text-[13.5px] font-semibold">{title}</h4>}
          <ul>
            {rows.map((row) => (
              <Row key={row.key} row={row} state={build.parts[row.key] ?? "wanted"} kept={build.prices?.[row.key]} />
            ))}
          </ul>
        </div>
      ))}
      {costs.length > 0 && (
        <p className="border-t border-ink pt-1 text-[14px]" data-testid="goods-total">
          {formatNumber(total, 2)} <Trade>{WORDS.forIt}</Trade> {costs.length} <Trade>{WORDS.of}</Trade> {whole.length}{" "}
          <Trade>{WORDS.lines}</Trade> {whole.length - costs.length} <Trade>{WORDS.withoutAPrice}</Trade>
        </p>
      )}
      <p className="pt-1 text-[12px] leading-snug text-faint">
        <Trade>{SEALING_NOTE}</Trade>
      </p>
    </Group>
  );
}

type RowProps = {
  readonly row: GoodsRow;
  readonly state: PartState;
  readonly kept: { readonly price: number | null; readonly shop: string } | undefined;
};

function Row({ row: { key, amount, name }, state, kept }: RowProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <li className="border-t border-rule">
      <div className="grid grid-cols-[52px_1fr_88px] items-baseline phone:items-center gap-x-2 py-0.5 text-[13.5px]">
        <span className="figures text-right text-[15px] whitespace-nowrap">{amount}</span>
        <button
          type="button"
          aria-expanded={isOpen}
          onClick={() => setOpen(!isOpen)}
          className="min-h-6 text-left leading-snug phone:min-h-11"
        >
          {name}
          {kept && (kept.price !== null || kept.shop) && (
            <span className="block text-[12px] text-faint">
              {[kept.price === null ? "" : formatNumber(kept.price, 2), kept.shop].filter(Boolean).join(", ")}
            </span>
          )}
        </button>
        <select
          aria-label={WORDS.howStands(name)}
          value={state}
          onChange={(event) => keep(records.setPart(key, event.target.value as PartState))}
          className="w-full border-b border-edge bg-sheet text-[13px] phone:min-h-11"
        >
          {PART_STATES.map((one) => (
            <option key={one} value={one}>
              {PART_STATE_NAMES[one]}
            </option>
          ))}
        </select>
      </div>
      {isOpen && <PriceFields of={key} name={name} kept={kept} />}
    </li>
  );
}

function PriceFields({
  of,
  name,
  kept,
}: {
  readonly of: string;
  readonly name: string;
  readonly kept: RowProps["kept"];
}) {
  const [price, setPrice] = useState(kept?.price === null || kept === undefined ? "" : String(kept.price));
  const [shop, setShop] = useState(kept?.shop ?? "");
  const [refusal, setRefusal] = useState<string | null>(null);
  const write = () => {
    const read = price.trim() === "" ? null : parsePlain(price);
    if (read && (!read.ok || read.value < 0 || read.value > 100_000)) return setRefusal(WORDS.aPriceFrom0To);
    setRefusal(null);
    keep(records.setPrice(of, { price: read?.ok ? read.value : null, shop: shop.slice(0, 60) }));
  };
  const look = "border-b border-edge bg-sheet px-1 text-[14px] text-ink phone:min-h-11";
  return (
    <div className="flex flex-wrap items-center gap-2 pb-1 pl-[60px] text-[12.5px] text-faint">
      <label className="flex items-center gap-1">
        {WORDS.priceOfAll}
        <input
          aria-label={WORDS.priceOf(name)}
          value={price}
          inputMode="decimal"
          onChange={(event) => setPrice(event.target.value)}
          onBlur={write}
          className={`figures w-16 text-right ${look}`}
        />
      </label>
      <label className="flex items-center gap-1">
        {WORDS.shop}
        <input
          aria-label={WORDS.shopFor(name)}
          value={shop}
          maxLength={60}
          onChange={(event) => setShop(event.target.value)}
          onBlur={write}
          className={`w-24 ${look}`}
        />
      </label>
      {refusal && <span className="text-signal">{refusal}</span>}
    </div>
  );
}
