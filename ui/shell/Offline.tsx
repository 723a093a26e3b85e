"use client";
import { SerwistProvider } from "@serwist/turbopack/react";
import type { ReactNode } from "react";

/** Registers the service worker of the production build, so that the page opens without a network. */
export function Offline({ children }: { readonly children: ReactNode }) {
  return (
    <SerwistProvider
      swUrl="/serwist/sw.js"
      disable={process.env.NODE_ENV !== "production"}
      cacheOnNavigation={false}
      reloadOnOnline={false}
    >
      {children}
    </SerwistProvider>
  );
}
