type Yielding = { readonly scheduler?: { readonly yield?: () => Promise<void> } };

/** Lets go for a moment between two pieces of work, so that a hand is answered and what is drawn is shown. */
export function pause(): Promise<void> {
  const { scheduler } = globalThis as Yielding;
  if (scheduler?.yield) return scheduler.yield();
  // a timer would wait some milliseconds once it is set again and again
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });
}
