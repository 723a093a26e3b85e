import {
  type Browser,
  type BrowserContext,
  type BrowserContextOptions,
  test as base,
  type Page,
} from "@playwright/test";

export type Rules = {
  /** Whether the browser knows service workers. Filling the offline store costs a fifth of a test that has no use for it. */
  readonly keepsOffline: boolean;
  /** Whether the test has a browser context of its own: where it opens more tabs, or changes what a page brings along. */
  readonly isApart: boolean;
};

type Shared = { readonly onePage: OnePage };

/** Empties what a page of this origin has kept, so that the next test finds nothing of the last. */
type Empty = (origin: string) => Promise<void>;

interface OnePage {
  readonly page: Page;
  readonly empty: Empty;
}

async function forgetOffline(context: BrowserContext): Promise<void> {
  await context.addInitScript(() => Reflect.deleteProperty(Navigator.prototype, "serviceWorker"));
}

async function openOnePage(browser: Browser, options: BrowserContextOptions): Promise<OnePage> {
  const context = await browser.newContext(options);
  await forgetOffline(context);
  const page = await context.newPage();
  const driver = await context.newCDPSession(page);
  const empty = async (origin: string) => {
    await page.mouse.up();
    await page.mouse.move(0, 0);
    await page.unrouteAll();
    // what runs here comes to its end first, and saves what it has
    await page.goto("about:blank");
    await driver.send("Storage.clearDataForOrigin", { origin, storageTypes: "all" });
    await driver.send("Page.resetNavigationHistory");
  };
  return { page, empty };
}

/**
 * Most tests use one page after the other, emptied in between: the scripts stay compiled, which is more than a third of
 * what opening the workbench costs.
 */
export const test = base.extend<Rules, Shared>({
  keepsOffline: [false, { option: true }],
  isApart: [false, { option: true }],
  onePage: [
    async ({ browser }, use, { project }) => {
      const { viewport, hasTouch, isMobile, deviceScaleFactor, baseURL } = project.use;
      const one = await openOnePage(
        browser,
        JSON.parse(JSON.stringify({ viewport, hasTouch, isMobile, deviceScaleFactor, baseURL })),
      );
      await use(one);
      await one.page.context().close();
    },
    { scope: "worker" },
  ],
  context: async ({ browser, onePage, keepsOffline, isApart }, use) => {
    if (!keepsOffline && !isApart) return use(onePage.page.context());
    const context = await browser.newContext();
    if (!keepsOffline) await forgetOffline(context);
    await use(context);
    await context.close();
  },
  page: async ({ context, onePage, baseURL }, use) => {
    if (context !== onePage.page.context()) return use(await context.newPage());
    await onePage.empty(new URL(baseURL!).origin);
    await use(onePage.page);
  },
});
