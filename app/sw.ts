/// <reference lib="webworker" />
import { type PrecacheEntry, Serwist, type SerwistGlobalConfig, type SerwistPlugin } from "serwist";

declare global {
  interface WorkerGlobalScope extends SerwistGlobalConfig {
    __SW_MANIFEST: (PrecacheEntry | string)[] | undefined;
  }
}
declare const self: ServiceWorkerGlobalScope;

// A cached answer bears the address it was fetched from; a worker started from it would lose what stands after the #.
const keepWorkerAddress: SerwistPlugin = {
  handlerWillRespond: async ({ request, response }) =>
    /worker$/.test(request.destination)
      ? new Response(response.body, { status: response.status, headers: response.headers })
      : response,
};

new Serwist({
  ...(self.__SW_MANIFEST ? { precacheEntries: self.__SW_MANIFEST } : {}),
  skipWaiting: true,
  clientsClaim: true,
  precacheOptions: { cleanupOutdatedCaches: true, plugins: [keepWorkerAddress] },
  fallbacks: { entries: [{ url: "/", matcher: ({ request }) => request.mode === "navigate" }] },
}).addEventListeners();
