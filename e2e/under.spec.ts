import type { Page } from "@playwright/test";
import { encode } from "uqr";
import { writeTicks } from "@/core/record/ticks";
import { splitFrames } from "@/files/frames";
import { expect, expectAccessible, openSample, openWorkbench, test } from "./fixtures";

test("from Build to the phone's page: one card at a time, read large, ticked, undone, kept; keys and thumbs", async ({
  page,
}) => {
  await openWorkbench(page);
  await page.keyboard.press("8");
  await page.getByRole("button", { name: "Open on this device" }).click();
  await expect(page).toHaveURL(/\/under$/);
  const card = page.getByTestId("under-card");
  await expect(page.getByRole("heading", { name: "Kranich" })).toBeVisible();
  await expect(card).toContainText("1 of 13");
  const first = await card.getByRole("heading").textContent();
  await page.getByRole("button", { name: "Done", exact: true }).click();
  await expect(card).toContainText("2 of 13");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(card.getByRole("heading")).toHaveText(first!);
  await page.getByRole("button", { name: "Done", exact: true }).click();
  // a word of the trade says what it means where it stands
  const word = card.getByRole("button", { name: "Trap", exact: true });
  while ((await word.count()) === 0) await page.getByRole("button", { name: "Next" }).click();
  await word.click();
  await expect(card).toContainText("A bend that keeps water");
  await page.getByRole("button", { name: "Holes" }).click();
  await expect(card).toContainText(/44.mm/);
  await page.keyboard.press("ArrowRight");
  await expect(card).toContainText("2 of 3");
  for (const button of await page.getByRole("button").all()) {
    const box = await button.boundingBox();
    expect(box!.height).toBeGreaterThanOrEqual(56);
  }
  await page.reload();
  await expect(card).toContainText("1 of 13, done");
  await expectAccessible(page);
  // a level without a sensor says what to do
  await page.getByRole("button", { name: "Level" }).click();
  await page.getByRole("button", { name: "Use the tilt sensor" }).click();
  const level = page.getByRole("region", { name: "Level" });
  await expect(level).toContainText(/Waiting for the sensor|no tilt sensor|tilt sensor was refused/);
  // typed: a pipe against its drawn fall, and how the rig stands, kept for the desk's level
  await page.getByRole("button", { name: "Level" }).click();
  await page.getByRole("button", { name: "Pipes" }).click();
  while (!(await card.textContent())!.includes("slope")) await page.getByRole("button", { name: "Next" }).click();
  await page.getByRole("button", { name: "Level" }).click();
  await level.getByLabel("Along the rig's floor").fill("1000");
  await level.getByLabel("It falls so much").fill("1");
  await expect(level).toContainText("Too flat");
  await level.getByLabel("It falls so much").fill("400");
  await expect(level).toContainText("Steeper than drawn");
  await expect(level.getByRole("button", { name: "Keep how it stands" })).toBeDisabled();
  await level.getByLabel("Front down").fill("1.5");
  await level.getByLabel("Right side low").fill("-0,5");
  await level.getByRole("button", { name: "Keep how it stands" }).click();
  await expect(level).toContainText("Kept.");
  await expectAccessible(page);
  await page.goto("/");
  await expect(page.locator('[data-phase="ready"]')).toBeVisible();
  await page.getByRole("button", { name: "Stand so" }).click();
  await expect(page.getByTestId("attitude")).toHaveText("Nose down 1.5°, left low 0.5°");
});

// The camera is another canvas of this page: it shows the codes one after the other, some of them never clearly.
async function playCodes(page: Page, frames: readonly string[]): Promise<void> {
  const codes = [...frames].reverse().map((frame) => encode(frame, { border: 4 }).data);
  await page.addInitScript((drawn: boolean[][][]) => {
    const canvas = document.createElement("canvas");
    canvas.width = canvas.height = 480;
    const context = canvas.getContext("2d")!;
    let at = 0;
    const draw = () => {
      const code = drawn[at % drawn.length]!;
      const dot = Math.floor(480 / code.length);
      context.fillStyle = "#fff";
      context.fillRect(0, 0, 480, 480);
      context.fillStyle = "#000";
      for (const [y, row] of code.entries())
        for (const [x, dark] of row.entries()) if (dark) context.fillRect(x * dot, y * dot, dot, dot);
      // three in ten are covered by a thumb
      if (at % 10 < 3) context.fillRect(0, 0, 480, 300);
      at += 1;
    };
    draw();
    setInterval(draw, 300);
    navigator.mediaDevices.getUserMedia = () =>
      (window as unknown as { refuse?: boolean }).refuse
        ? Promise.reject(new Error("no"))
        : Promise.resolve(canvas.captureStream(10));
  }, codes);
}

test.describe("before a fake camera", () => {
  test.use({ isApart: true });

  test("a sheet is handed over by codes in any order, read by a fake camera; a refused camera says what else to do", async ({
    page,
  }) => {
    const sheet = {
      designId: "other",
      name: "Rig from the desk",
      cards: Array.from({ length: 40 }, (_, i) => ({
        id: `steps:${i}`,
        group: "steps",
        title: `Step ${i + 1} ${"of the work ".repeat(8)}${i * 7919}`,
        figures: [],
        text: `${i * 104729}`,
        slopeMmPerM: null,
      })),
    };
    const frames = splitFrames(JSON.stringify(sheet));
    expect(frames.length).toBeGreaterThan(1);
    await playCodes(page, frames);
    await page.goto("/under");
    await page.getByRole("button", { name: "Read codes" }).click();
    await expect(page.getByRole("heading", { name: "Rig from the desk" })).toBeVisible();
    await expect(page.getByTestId("under-card")).toContainText("1 of 40");
    await page.evaluate(() => Object.assign(window, { refuse: true }));
    await page.getByRole("button", { name: "Read codes" }).click();
    await expect(page.getByRole("alert").filter({ hasText: "camera was refused" })).toBeVisible();
  });

  test("what was ticked on the phone comes back by the desk's camera, once; ticks of another rig are refused", async ({
    page,
  }) => {
    const steps = new Set(["steps:fitTankPorts:grey", "steps:fitFixing:grey"]);
    await playCodes(page, splitFrames(writeTicks("kranich", "2026-05-01", steps)));
    await openWorkbench(page);
    await page.keyboard.press("8");
    const hand = page.getByRole("group", { name: /^Under the (floor|sole)$/ });
    await hand.getByRole("button", { name: "Read the phone's codes" }).click();
    await expect(hand.getByRole("status")).toContainText("2 steps ticked there are ticked here now");
    const done = page.getByRole("list", { name: "Done" }).getByRole("checkbox");
    await expect(done).toHaveCount(2);
    await hand.getByRole("button", { name: "Read the phone's codes" }).click();
    await expect(hand.getByRole("status")).toContainText("ticked here already");
    await expect(done).toHaveCount(2);
    await openSample(page, "Otter");
    await page.keyboard.press("8");
    await hand.getByRole("button", { name: "Read the phone's codes" }).click();
    await expect(hand.getByRole("alert")).toContainText("belong to another design");
  });
});
