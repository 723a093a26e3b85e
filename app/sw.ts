/// <reference lib="webworker" />
import { CacheFirst, type PrecacheEntry, Serwist, type SerwistGlobalConfig, type SerwistPlugin } from "serwist";

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

/** The scripts of the version before: a tab that was not reloaded yet still asks for them. */
const BEFORE = "schleuse-before";
const isScript = (url: URL): boolean => /^\/(_next\/static|under-scripts)\//.test(url.pathname);

// Before this version takes over, what the one before kept is put by whole.
self.addEventListener("install", (event) => event.waitUntil(putBy()));

async function putBy(): Promise<void> {
  const names = (await caches.keys()).filter((name) => name.includes("precache"));
  if (names.length === 0) return;
  await caches.delete(BEFORE);
  const before = await caches.open(BEFORE);
  for (const name of names) {
    const cache = await caches.open(name);
    for (const request of await cache.keys()) {
      const url = new URL(request.url);
      const answer = isScript(url) ? await cache.match(request) : undefined;
      if (answer) await before.put(url.origin + url.pathname, answer);
    }
  }
}

new Serwist({
  ...(self.__SW_MANIFEST ? { precacheEntries: self.__SW_MANIFEST } : {}),
  // an open tab keeps the version it began with until it is reloaded
  skipWaiting: false,
  clientsClaim: true,
  precacheOptions: {
    cleanupOutdatedCaches: true,
    plugins: [keepWorkerAddress],
    // an address with a query is the same page
    ignoreURLParametersMatching: [/.*/],
    navigateFallback: "/",
    navigateFallbackDenylist: [/^\/(licences\.txt|under-scripts\/|samples\/|serwist\/|_next\/|manifest\.webmanifest)/],
  },
  runtimeCaching: [
    { matcher: ({ url, sameOrigin }) => sameOrigin && isScript(url), handler: new CacheFirst({ cacheName: BEFORE }) },
  ],
}).addEventListeners();
