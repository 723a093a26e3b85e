/** What the drain of a fixture is called; a fixture that is a drain already is not called one twice. At most 80 letters. */
export const nameDrain = (fixtureName: string): string =>
  (/\bdrain$/i.test(fixtureName) ? fixtureName : `${fixtureName} drain`).slice(0, 80);
