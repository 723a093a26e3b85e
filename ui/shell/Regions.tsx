"use client";
import dynamic from "next/dynamic";
import { useState } from "react";
import type { Pane } from "@/store/state";
import { RegionContext, useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/shell/regions";
import { FindingsPanel } from "../findings/FindingsPanel";
import { LevelPanel } from "../level/LevelPanel";
import { PlanView } from "../plan/PlanView";
import { Panel } from "../stations/Panel";
import { Stage } from "../stations/Stage";
import { Boundary } from "./Boundary";
import { Stair } from "./Stair";
import { useIsNarrow } from "./useIsNarrow";

const PhoneStations = dynamic(() => import("./PhoneStations").then((module) => module.PhoneStations), { ssr: false });
const RearView = dynamic(() => import("../rear/RearView").then((module) => module.RearView), { ssr: false });

/** Stair and level at the left, drawings in the middle, findings and measures at the right. */
export function Regions() {
  const pane = useWorkbench((state) => state.pane);
  const lookFrom = useWorkbench((state) => state.look);
  // a tool wants room to work in
  const isTooled = useWorkbench((state) => state.tool !== null);
  const on = (...panes: Pane[]) => (panes.includes(pane) ? "" : "phone:hidden");
  // on a phone a view is worked out when it is first looked at, and stays then
  const isNarrow = useIsNarrow();
  const [seen, setSeen] = useState<ReadonlySet<Pane>>(() => new Set([pane]));
  if (!seen.has(pane)) setSeen(new Set([...seen, pane]));
  const has = (at: Pane) => !isNarrow || seen.has(at);
  return (
    <>
      {isNarrow && (pane === "section" || pane === "measures") && <PhoneStations />}
      <main className="flex min-h-0 flex-1">
        <div
          className={`apart flex w-[212px] shrink-0 flex-col overflow-y-auto border-r border-ink phone:w-full phone:border-r-0 ${on("level")}`}
        >
          {!isNarrow && (
            <div className="pt-2">
              <RegionContext value="level">
                <Boundary name={WORDS.theStair}>
                  <Stair />
                </Boundary>
              </RegionContext>
            </div>
          )}
          <div className="border-t border-rule px-3 py-2 phone:border-t-0 phone:px-4">
            <RegionContext value="level">
              <Boundary name={WORDS.theLevel}>{has("level") && <LevelPanel />}</Boundary>
            </RegionContext>
          </div>
        </div>
        <div className={`flex min-w-0 flex-1 flex-col ${on("section", "plan")}`}>
          <div className={`flex min-h-0 flex-[9] flex-col ${on("section")}`}>{has("section") && <Stage />}</div>
          <div
            className={`flex min-h-0 flex-col border-t border-ink ${isTooled ? "flex-[12]" : "flex-[4]"} ${on("plan")}`}
          >
            <RegionContext value="plan">
              <Boundary name={WORDS.thePlan}>
                {has("plan") && (lookFrom === "behind" ? <RearView /> : <PlanView />)}
              </Boundary>
            </RegionContext>
          </div>
        </div>
        <div
          className={`apart flex w-[336px] shrink-0 flex-col border-l border-ink phone:w-full phone:border-l-0 ${on("findings", "measures")}`}
        >
          <div
            className={`max-h-[52%] overflow-y-auto border-b border-ink phone:max-h-none phone:flex-1 phone:border-b-0 ${on("findings")}`}
          >
            <RegionContext value="findings">
              <Boundary name={WORDS.theListOfFindings}>{has("findings") && <FindingsPanel />}</Boundary>
            </RegionContext>
          </div>
          <div className={`min-h-0 flex-1 overflow-y-auto ${on("measures")}`}>
            <RegionContext value="measures">
              <Boundary name={WORDS.thisStation}>{has("measures") && <Panel />}</Boundary>
            </RegionContext>
          </div>
        </div>
      </main>
    </>
  );
}
