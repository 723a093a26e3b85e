import type { Page } from "@playwright/test";

// How long a practised hand takes, by the keystroke-level model: Card, Moran and Newell, "The keystroke-level model for
// user performance time with interactive systems", Communications of the ACM 23 (7), 1980. Operator times from memory:
// a key by an average typist 0.28 s, pointing 1.1 s, a hand between keys and mouse 0.4 s, making up one's mind 1.35 s; a
// press or release of the mouse button 0.1 s.
const KEY_S = 0.28;
const POINT_S = 1.1;
const HOME_S = 0.4;
const MIND_S = 1.35;
const BUTTON_S = 0.1;

/** What a hand did on the page: presses, single keys, fields filled with so many letters, choices from a list. */
type Hand = { presses: number; keys: number; fields: number; letters: number; choices: number };

/** Counts from here on what is done on the page. */
export async function watchHand(page: Page): Promise<void> {
  await page.evaluate(() => {
    const hand: Hand = { presses: 0, keys: 0, fields: 0, letters: 0, choices: 0 };
    const onWindow = (type: string, act: (target: Element) => void) =>
      document.addEventListener(type, (event) => event.target instanceof Element && act(event.target), true);
    onWindow("pointerdown", () => {
      hand.presses += 1;
    });
    onWindow("keydown", () => {
      hand.keys += 1;
    });
    onWindow("input", (target) => {
      // a field is filled at a stroke here, and letter by letter by a hand
      if (!(target instanceof HTMLInputElement) || target.type === "checkbox") return;
      hand.fields += 1;
      hand.letters += target.value.length;
    });
    onWindow("change", (target) => {
      if (target instanceof HTMLSelectElement) hand.choices += 1;
    });
    Object.assign(window, { hand });
  });
}

/** Time a hand takes for what was done since it was watched, s, without what the page itself takes. */
export async function measureHandS(page: Page): Promise<{ readonly seconds: number; readonly actions: number }> {
  const { presses, keys, fields, letters, choices } = await page.evaluate(
    () => (window as unknown as { readonly hand: Hand }).hand,
  );
  const press = POINT_S + 2 * BUTTON_S;
  const seconds =
    presses * (MIND_S + press) +
    keys * (MIND_S + KEY_S) +
    fields * (MIND_S + press + 2 * HOME_S) +
    letters * KEY_S +
    choices * (MIND_S + 2 * press);
  return { seconds, actions: presses + keys + fields + choices };
}
