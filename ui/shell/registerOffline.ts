/** Registers the service worker of the production build once the page has come, so that it opens without a network. */
export function registerOffline(): void {
  if (process.env.NODE_ENV !== "production" || !("serviceWorker" in navigator)) return;
  const register = () => {
    // without it the page works on, and only with a network
    navigator.serviceWorker.register("/serwist/sw.js", { scope: "/", type: "module" }).catch(() => undefined);
  };
  if (document.readyState === "complete") register();
  else window.addEventListener("load", register, { once: true });
}
