"use client";
import { useEffect, useState } from "react";
import * as WORDS from "@/words/panels/shell/updateLine";
import { Button } from "../kit/Button";
import { session } from "./browserSession";

/** A version that has not taken over by then is loaded by the next reload, ms. */
const LATE_MS = 4_000;

/** Tells quietly that a newer version lies ready; this tab keeps its own until it is reloaded, and saves before. */
export function UpdateLine() {
  const [waiting, setWaiting] = useState<ServiceWorker | null>(null);
  useEffect(() => watchForUpdate(setWaiting), []);
  if (!waiting) return null;
  const take = async () => {
    await session.flush();
    if (!session.canLeave()) return;
    // the page is loaded anew by the version that takes over; the one before may hold it up while it still answers something
    const late = setTimeout(() => window.location.reload(), LATE_MS);
    const reload = () => {
      clearTimeout(late);
      window.location.reload();
    };
    navigator.serviceWorker.addEventListener("controllerchange", reload, { once: true });
    waiting.postMessage({ type: "SKIP_WAITING" });
  };
  return (
    <span className="flex items-center gap-1 text-[12.5px] text-faint" role="status">
      <span className="phone:hidden">{WORDS.aNewerVersionIsReady}</span>
      <Button look="bare" onClick={() => void take()}>
        {WORDS.reloadIntoIt}
      </Button>
    </span>
  );
}

/** Looks again after so long, ms: a tab may stay open for days. */
const LOOK_EVERY_MS = 3_600_000;

function watchForUpdate(onWaiting: (worker: ServiceWorker) => void): () => void {
  if (!("serviceWorker" in navigator)) return () => undefined;
  const { serviceWorker } = navigator;
  let isGone = false;
  let timer: ReturnType<typeof setInterval> | null = null;
  const offer = (worker: ServiceWorker | null) => {
    // the first version of all has nothing to take over from
    if (worker && serviceWorker.controller && !isGone) onWaiting(worker);
  };
  void serviceWorker.ready.then((registration) => {
    if (isGone) return;
    offer(registration.waiting);
    registration.addEventListener("updatefound", () => {
      const { installing } = registration;
      installing?.addEventListener("statechange", () => installing.state === "installed" && offer(installing));
    });
    timer = setInterval(() => void registration.update().catch(() => undefined), LOOK_EVERY_MS);
  });
  return () => {
    isGone = true;
    if (timer) clearInterval(timer);
  };
}
