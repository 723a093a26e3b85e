/** Lets go for a moment between two pieces of work, so that a hand is answered and what is drawn is shown. */
export const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));
