"use client";
import { Tabs } from "radix-ui";
import { useState } from "react";
import { LIMIT_IDS, LIMITS } from "@/core/rules/limitIds";
import { PACK_IDS, type PackId } from "@/core/rules/packIds";
import { type Band, PACKS } from "@/core/rules/packs";
import { SUMS } from "@/core/sums/catalogue";
import { useWorkbench } from "@/store/useWorkbench";
import { CAUTION, WORK_CAUTIONS } from "@/words/cautions";
import { formatLimit } from "@/words/formatLimit";
import { GLOSSARY, type GlossaryWord } from "@/words/glossary";
import { LIMIT_NAMES } from "@/words/limits";
import { PACK_NAMES } from "@/words/packs";
import * as WORDS from "@/words/panels/handbook/handbookSheet";
import { SOURCES, STANDINGS } from "@/words/sources";
import { SUM_WORDS } from "@/words/sums";
import { listWords } from "@/words/tradeWords";
import { formatLength, type Units } from "@/words/units";
import { readLabels } from "../glossary/readLabels";
import { WordDrawing } from "../glossary/WordDrawing";
import { Button } from "../kit/Button";
import { Pick } from "../kit/Pick";
import { Sheet } from "../kit/Sheet";

const PARTS = {
  words: { name: WORDS.words, Shown: Words },
  rules: { name: WORDS.rules, Shown: Rules },
  sums: { name: WORDS.sums, Shown: Formulas },
  cautions: { name: WORDS.cautions, Shown: Cautions },
} as const;
type Part = keyof typeof PARTS;

/** The trade in short: its words, the rules by pack with their standing, every formula with its source, the cautions. */
export function HandbookSheet({ onClose }: { readonly onClose: () => void }) {
  const [part, setPart] = useState<Part>("words");
  return (
    <Sheet size="wide" title={WORDS.handbook} about={WORDS.theWordsTheFiguresThis} onClose={onClose}>
      <Tabs.Root value={part} onValueChange={(id) => setPart(id as Part)}>
        <Tabs.List aria-label={WORDS.partsOfTheHandbook} className="flex gap-4 border-b border-rule pb-2">
          {(Object.keys(PARTS) as Part[]).map((id) => (
            <Tabs.Trigger
              key={id}
              value={id}
              className={`min-h-8 text-[15px] phone:min-h-11 ${part === id ? "font-semibold" : "cursor-pointer text-enamel underline decoration-dotted underline-offset-4"}`}
            >
              {PARTS[id].name}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        {(Object.keys(PARTS) as Part[]).map((id) => {
          const { Shown } = PARTS[id];
          return (
            <Tabs.Content key={id} value={id}>
              <Shown />
            </Tabs.Content>
          );
        })}
      </Tabs.Root>
    </Sheet>
  );
}

function Words() {
  const [query, setQuery] = useState("");
  const found = GLOSSARY.filter((one) => fits(one, query));
  // they stand still behind the sheet
  const [drawn] = useState(() => listWords(readLabels(document).join("; ")));
  return (
    <>
      <input
        type="search"
        aria-label={WORDS.searchTheWords}
        placeholder={WORDS.searchSealVentInvert}
        value={query}
        onChange={(event) => setQuery(event.target.value)}
        className="my-2 min-h-9 w-full border-b border-edge bg-sheet px-2 phone:min-h-11"
      />
      {drawn.length > 0 && (
        <p className="flex flex-wrap items-baseline gap-x-3 pb-2 text-[13.5px] text-faint">
          {WORDS.inTheDrawingsNow}
          {drawn.map((word) => (
            <Button key={word} look="bare" onClick={() => setQuery(word)}>
              {word}
            </Button>
          ))}
        </p>
      )}
      <dl className="gap-x-8 desk:columns-2">
        {found.map(({ word, also, plain }) => (
          <div key={word} className="mb-2.5 flow-root break-inside-avoid">
            <WordDrawing word={word} className="float-right ml-3 h-[54px] w-[90px]" />
            <dt className="text-[15px] font-semibold">
              {word}
              {also.length > 0 && (
                <span className="font-normal text-faint">
                  {" "}
                  {WORDS.also} {also.join(", ")}
                </span>
              )}
            </dt>
            <dd className="text-[13.5px] leading-snug">{plain}</dd>
          </div>
        ))}
      </dl>
      {found.length === 0 && <p className="text-faint">{WORDS.noWordLikeThatHere}</p>}
    </>
  );
}

const fits = ({ word, also, plain }: GlossaryWord, query: string): boolean =>
  [word, ...also, plain].some((text) => text.toLowerCase().includes(query.trim().toLowerCase()));

function Rules() {
  const own = useWorkbench((state) => state.history?.design.rules.pack ?? "builders");
  const units = useWorkbench((state) => state.units);
  const [pack, setPack] = useState<PackId>(own);
  return (
    <div className="pt-2">
      <Pick<PackId> label={WORDS.pack} value={pack} names={PACK_NAMES} order={PACK_IDS} onPick={setPack} />
      <table className="mt-2 w-full text-[13.5px]">
        <thead className="text-left text-faint">
          <tr>
            <th className="font-normal">{WORDS.limit}</th>
            <th className="font-normal">{WORDS.figure}</th>
            <th className="font-normal">{WORDS.from}</th>
          </tr>
        </thead>
        <tbody>
          {LIMIT_IDS.map((id) => {
            const { bands, ventedBands, standing, source, surePercent } = PACKS[pack][id];
            const sure = surePercent === undefined ? "" : WORDS.fromMemorySure(surePercent);
            return (
              <tr key={id} className="border-t border-rule align-top">
                <th scope="row" className="py-1 pr-3 text-left font-normal">
                  {LIMIT_NAMES[id].name}
                </th>
                <td className="figures py-1 pr-3 text-[15px] whitespace-nowrap">
                  {listBands(bands, id, units).map((line) => (
                    <div key={line}>{line}</div>
                  ))}
                  {ventedBands && (
                    <div>
                      {WORDS.withAir} {listBands(ventedBands, id, units).join("; ")}
                    </div>
                  )}
                </td>
                <td className="py-1 text-faint">
                  {SOURCES[source]} ({STANDINGS[standing].short}
                  {sure})
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="pt-2 text-[12.5px] text-faint">{WORDS.yourOwnFiguresGoFirst}</p>
    </div>
  );
}

function listBands(bands: readonly Band[], id: (typeof LIMIT_IDS)[number], units: Units): string[] {
  return bands.map(({ upToBoreMm, value }) => {
    const figure = value === null ? WORDS.none : formatLimit(value, LIMITS[id], units);
    return Number.isFinite(upToBoreMm) && bands.length > 1
      ? WORDS.upToBore(formatLength(upToBoreMm, units), figure)
      : figure;
  });
}

function Formulas() {
  return (
    <ul className="pt-2">
      {SUMS.map(({ id, standing }) => {
        const { title, formula, source, plain } = SUM_WORDS[id];
        return (
          <li key={id} className="border-b border-rule py-1.5">
            <h3 className="text-[15px] font-semibold">{title}</h3>
            <p className="figures text-[16px]">{formula}</p>
            <p className="text-[13px] leading-snug">{plain}</p>
            <p className="text-[12.5px] text-faint">
              {source} ({STANDINGS[standing].short})
            </p>
          </li>
        );
      })}
    </ul>
  );
}

function Cautions() {
  return (
    <div className="max-w-2xl pt-2">
      {[CAUTION, ...Object.values(WORK_CAUTIONS)].map((text) => (
        <p key={text} className="border-b border-rule py-2 text-[14.5px] leading-snug">
          {text}
        </p>
      ))}
      <h3 className="pt-3 text-[15px] font-semibold">{WORDS.howFarAFigureCan}</h3>
      <dl>
        {Object.values(STANDINGS).map(({ short, long }) => (
          <div key={short} className="flex gap-3 py-0.5 text-[14px]">
            <dt className="w-24 text-faint">{short}</dt>
            <dd>{long}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
