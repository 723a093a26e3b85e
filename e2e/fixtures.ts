import { AxeBuilder } from "@axe-core/playwright";
import { expect, type Locator, type Page } from "@playwright/test";
import { test as onePage } from "./onePage";

/** Every test fails on a console error, a page error, or a request that leaves the machine. */
export const test = onePage.extend<{ readonly quiet: undefined }>({
  quiet: [
    async ({ page, baseURL }, use) => {
      const troubles: string[] = [];
      page.on("console", (message) => {
        if (message.type() === "error") troubles.push(`console: ${message.text()}`);
      });
      page.on("pageerror", (error) => troubles.push(`page: ${error.message}`));
      page.on("request", (request) => {
        const { protocol, origin } = new URL(request.url());
        if (protocol.startsWith("http") && origin !== new URL(baseURL!).origin) troubles.push(`left: ${request.url()}`);
      });
      await use(undefined);
      for (const kind of ["console", "pageerror", "request"]) page.removeAllListeners(kind);
      expect(troubles).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

export const SAMPLES = ["Kranich", "Lesesaal", "Puppenwagen", "Otter"] as const;
// ALL_RIGS=1 walks every test over every rig again; it takes some minutes more than a change may cost
export const isWhole = process.env["ALL_RIGS"] === "1";
/** A bus and a boat, for what hangs on the tanks alone. */
export const TWO_SAMPLES: readonly (typeof SAMPLES)[number][] = isWhole ? SAMPLES : ["Lesesaal", "Otter"];
/** The rigs every capability of the drain side is walked through on, and what their sink is called. */
export const RIGS = { Kranich: "Kitchen sink", Lesesaal: "Kitchen sink", Puppenwagen: "Washing-up bowl" } as const;
export type RigName = keyof typeof RIGS;
const RIG_NAMES = Object.keys(RIGS) as RigName[];
/** One rig for what the hand does alike on every rig: which, is spread over them; the core's own tests go over all of them. */
export const oneRig = (name: RigName): readonly RigName[] => (isWhole ? RIG_NAMES : [name]);

/** One sample, for what a bus and a boat have alike. */
export const oneSample = (name: (typeof SAMPLES)[number]): readonly (typeof SAMPLES)[number][] =>
  isWhole ? SAMPLES : [name];

/** Every sample and bare rig the designs sheet offers. */
type Offered =
  | (typeof SAMPLES)[number]
  | "Lesesaal, furnished"
  | "Lesesaal, heads"
  | "Otter, heads"
  | "Setzkasten"
  | `${(typeof SAMPLES)[number]}, bare`;

/** Opens the page as a first visit does, or by a link to a sample, and waits for its design. */
export async function openWorkbench(page: Page, name: Offered = "Kranich"): Promise<void> {
  await page.goto(name === "Kranich" ? "/" : `/?sample=${name.toLowerCase().replace(", ", "-")}`);
  await expect(page.locator('[data-phase="ready"]')).toBeVisible();
}

export async function openSample(page: Page, name: Offered): Promise<void> {
  await page.keyboard.press("Control+o");
  await page.getByRole("dialog").getByRole("button", { name, exact: true }).click();
  await expect(page.getByRole("button", { name: `Designs; ${name} is open` })).toBeVisible();
  // the list gives the focus back by a timer when it is gone, and no sooner: one set after it comes after it
  await expect(page.getByRole("dialog")).toBeHidden();
  await page.evaluate(() => new Promise((done) => setTimeout(done)));
}

/** Opens the page on one of the rigs. */
export async function openRig(page: Page, name: RigName): Promise<void> {
  await openWorkbench(page, name);
}

/** A figure on the strip, in millimetres. */
export async function readInHand(page: Page, which: "level" | "here" | "worst"): Promise<number> {
  return toNumber(await page.getByTestId(`in-hand-${which}`).innerText());
}

export const toNumber = (text: string): number => Number(text.replace("\u2212", "-").replace(/[^\d.-]/g, ""));

export const section = (page: Page): Locator => page.getByRole("group", { name: /^Long section/ });
export const plan = (page: Page): Locator => page.getByRole("group", { name: /^Plan of/ });

/** Where a point of a drawing is on the screen, once it is drawn. */
export async function findBox(handle: Locator) {
  const halo = handle.locator(".halo");
  await expect.poll(() => halo.boundingBox()).not.toBeNull();
  return (await halo.boundingBox())!;
}

/** Pulls a point of a drawing by so many pixels, in steps as a hand does. */
export async function pull(page: Page, handle: Locator, dx: number, dy: number): Promise<void> {
  const box = await findBox(handle);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 6; i++) await page.mouse.move(x + (dx * i) / 6, y + (dy * i) / 6);
  await page.mouse.up();
}

/** Nothing on the page, or in the part of it that is named, stands against WCAG 2.1 A and AA. */
export async function expectAccessible(page: Page, part: string | null = null): Promise<void> {
  const whole = new AxeBuilder({ page })
    // there are no frames of others here, and without this a page of its own is opened for each look
    .setLegacyMode()
    // what holds is not written out node by node, which takes longer than looking
    .options({ resultTypes: ["violations"] })
    .withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa"]);
  const { violations } = await (part === null ? whole : whole.include(part)).analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(" ")).join(", ")}`)).toEqual([]);
}

/** All that the page says, with its labels, everything unfolded. What was folded comes in late: it is read when no more comes. */
export async function readUnfolded(page: Page): Promise<string> {
  const read = () =>
    page.getByRole("main").evaluate((main) => {
      for (const details of main.querySelectorAll("details")) details.open = true;
      const labels = [...main.querySelectorAll("[aria-label]")].map((one) => one.getAttribute("aria-label"));
      return [main.textContent, ...labels].join("\n");
    });
  let said = "";
  await expect
    .poll(async () => {
      const before = said;
      said = await read();
      return said === before;
    })
    .toBe(true);
  return said;
}

/** Lets the ways be looked for and uses the first; where the drain runs as it is and none is better, it is left alone. */
export async function layBestWay(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Find ways under the floor" }).click();
  const ways = page.getByTestId("routes");
  const first = ways.getByRole("listitem").first().getByRole("button").first();
  const isBest = ways.getByText("It runs as it is laid");
  await expect(first.or(isBest)).toBeVisible();
  if (await isBest.isVisible()) return;
  await first.click();
  await ways.getByRole("button", { name: "Use this route" }).click();
}

/** The fields of a place, as they are called ashore and afloat. */
export const PLACE = {
  x: /^From the (rear|after) edge$/,
  y: /^(Left|To port) of the middle$/,
  z: /^Over the (floor|sole)$/,
} as const;

/** Types a figure or a name over what stands there, and leaves it where it is the same. */
export async function type(field: Locator, value: string | number): Promise<void> {
  const text = String(value);
  if ((await field.inputValue()) === text) return;
  await field.fill(text);
  await field.press("Enter");
}

/** Picks from a list by what it says. */
export async function choose(list: Locator, label: string): Promise<void> {
  const chosen = await list.evaluate((select: HTMLSelectElement) => select.selectedOptions[0]?.label);
  if (chosen !== label) await list.selectOption({ label });
}
