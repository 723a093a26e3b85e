import { expect, expectAccessible, openWorkbench, plan, pull, readInHand, section, test } from "./fixtures";

const tankHandle = (page: Parameters<typeof section>[0]) =>
  section(page).getByRole("button", { name: "Move Grey tank" });

test.describe("in a browser of its own", () => {
  test.use({ isApart: true });

  test("two tabs that both changed a design: the later one is told and keeps its work as a copy", async ({
    page,
    context,
  }) => {
    await openWorkbench(page);
    const other = await context.newPage();
    await openWorkbench(other);
    // hold this tab's save back while the other one saves
    await page.evaluate(() => {
      BroadcastChannel.prototype.postMessage = () => undefined;
    });
    await other.evaluate(() => {
      BroadcastChannel.prototype.postMessage = () => undefined;
    });
    await pull(other, tankHandle(other), 0, 6);
    await other.waitForTimeout(800);
    await pull(page, tankHandle(page), 0, -4);
    const mine = await readInHand(page, "worst");
    await expect(page.getByRole("alert").filter({ hasText: "Another tab has changed this design" })).toBeVisible();
    await expect(page.getByTestId("save-state")).toHaveText("changed in another tab");
    await page.getByRole("button", { name: "Keep mine as a copy" }).click();
    await expect(page.getByRole("button", { name: "Designs; Kranich (this tab) is open" })).toBeVisible();
    expect(await readInHand(page, "worst")).toBe(mine);
    await page.keyboard.press("Control+o");
    await expect(page.getByRole("dialog").getByRole("button", { name: /^Kranich kept/ })).toBeVisible();
  });

  test("a part that cannot be loaded is said in its place; the others work on, and nothing is lost", async ({
    page,
  }) => {
    page.removeAllListeners("console");
    page.removeAllListeners("pageerror");
    await openWorkbench(page);
    await page.waitForTimeout(1_500);
    await page.route(/_next\/static\/chunks/, (route) => route.abort());
    await page.keyboard.press("1");
    const failed = page.getByRole("alert").filter({ hasText: "This station could not be loaded" });
    await expect(failed).toBeVisible();
    await pull(page, plan(page).getByRole("button", { name: "Move Grey tank in plan" }), 0, 6);
    await expect(page.getByRole("button", { name: /^Undo/ })).toBeEnabled();
    await expect(failed.getByRole("button", { name: "Save to a file" })).toBeVisible();
    await expectAccessible(page);
    await page.unroute(/_next\/static\/chunks/);
  });
});

test("a full store is told at once; the work stays open and goes to a file", async ({ page }) => {
  await openWorkbench(page);
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException("no room", "QuotaExceededError");
    };
  });
  await pull(page, tankHandle(page), 0, 6);
  const after = await readInHand(page, "worst");
  await expect(page.getByRole("alert").filter({ hasText: "The browser's store is full" })).toBeVisible();
  await expect(page.getByTestId("save-state")).toHaveText("not kept: store full");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save to a file" }).click(),
  ]);
  expect(download.suggestedFilename()).toBe("kranich.schleuse.json");
  expect(await readInHand(page, "worst")).toBe(after);
});

test("without any store at all the page still works for the day", async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL: baseURL! });
  const page = await context.newPage();
  await page.addInitScript(() => {
    Object.defineProperty(window, "indexedDB", {
      value: {
        open: () => {
          throw new DOMException("not here", "SecurityError");
        },
      },
    });
  });
  await openWorkbench(page);
  await expect(page.getByRole("alert").filter({ hasText: "lets nothing be kept" })).toBeVisible();
  await pull(page, tankHandle(page), 0, 6);
  await expect(page.getByRole("button", { name: /^Undo: Move/ })).toBeEnabled();
  await context.close();
});

test("by keyboard alone: from a faulty rig to a sound one, and saved", async ({ page }) => {
  await openWorkbench(page, "Lesesaal");
  const walkTo = async (name: RegExp) => {
    for (let i = 0; i < 80; i++) {
      await page.keyboard.press("Tab");
      const label = await page.evaluate(
        () => document.activeElement?.getAttribute("aria-label") ?? document.activeElement?.textContent ?? "",
      );
      if (name.test(label)) return;
    }
    throw new Error(`Tab never came to ${name}`);
  };
  await walkTo(/runs backwards/);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: /^Hang Grey tank/ })).toBeVisible();
  await walkTo(/^Hang Grey tank/);
  await page.keyboard.press("Enter");
  await walkTo(/^Do it$/);
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("verdict")).toContainText("Runs wherever you park");
  // the remedy is gone, and the hand goes on from where it was
  await expect.poll(() => page.evaluate(() => document.activeElement?.tagName)).not.toBe("BODY");
  await section(page).getByRole("button", { name: "Move Grey tank" }).focus();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByTestId("said")).toContainText(/Grey tank: .* from the rear edge.* In hand at the worst/);
  await page.keyboard.press("w");
  await expect(page.getByTestId("attitude")).not.toHaveText("Standing level");
  const [download] = await Promise.all([page.waitForEvent("download"), page.keyboard.press("Control+s")]);
  expect(download.suggestedFilename()).toBe("lesesaal.schleuse.json");
});

test("what is opened last comes back first, with the tilt level and nothing to undo", async ({ page }) => {
  await openWorkbench(page, "Otter");
  await page.keyboard.press("w");
  await page.reload();
  await expect(page.getByRole("button", { name: "Designs; Otter is open" })).toBeVisible();
  await expect(page.getByTestId("attitude")).toHaveText("Standing level");
  await expect(page.getByRole("button", { name: "Undo", exact: true })).toBeDisabled();
});
