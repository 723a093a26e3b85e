import type { Page } from "@playwright/test";
import type { Use, Vessel } from "@/core/design/habits";
import { CHANCE_NAMES, RATE_NAMES, SOURCE_NAMES, USE_LIST, VESSEL_NAMES } from "@/words/days";
import { formatParts } from "@/words/units";
import { choose, type } from "./fixtures";
import { goTo, groupOf } from "./layOut";

/** A use in a way of living, and back to the way that was lived. */
export async function layUse(page: Page, use: Use, way: string): Promise<void> {
  const panel = await goTo(page, "Days");
  const lived = panel.getByLabel("Lived", { exact: true });
  const before = await lived.inputValue();
  await choose(lived, way);
  const uses = groupOf(panel, "Uses");
  await uses.getByLabel("Add a use").selectOption({ label: USE_LIST[use.kind] });
  const row = uses.getByRole("listitem").last();
  await row.getByRole("button").first().click();
  await type(row.getByLabel("Name", { exact: true }), use.name);
  await type(row.getByLabel("How often", { exact: true }), use.times);
  await choose(row.getByLabel("that often", { exact: true }), RATE_NAMES[use.per]);
  await type(row.getByLabel("Takes, each time", { exact: true }), formatParts(use.takesL, "volume", "metric").figure);
  await choose(row.getByLabel("out of", { exact: true }), SOURCE_NAMES[use.from]);
  await type(
    row.getByLabel("Goes down, each time", { exact: true }),
    formatParts(use.sendsL, "volume", "metric").figure,
  );
  await choose(row.getByLabel("Comes", { exact: true }), use.byChance ? CHANCE_NAMES.chance : CHANCE_NAMES.regular);
  if ((await lived.inputValue()) !== before) await lived.selectOption(before);
}

/** A canister: added, named and given its litres. */
export async function layVessel(page: Page, vessel: Vessel): Promise<void> {
  const panel = await goTo(page, "Days");
  const group = groupOf(panel, "Canisters and bottles");
  await group.getByLabel("Add a canister or bottle").selectOption({ label: VESSEL_NAMES[vessel.holds] });
  await type(group.getByLabel(VESSEL_NAMES[vessel.holds], { exact: true }).last(), vessel.name);
  await type(group.getByLabel(`${vessel.name}, holds`, { exact: true }), vessel.litres);
}
