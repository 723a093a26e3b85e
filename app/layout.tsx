import type { Metadata, Viewport } from "next";
import localFont from "next/font/local";
import type { ReactNode } from "react";
import { Offline } from "@/ui/shell/Offline";
import { THEME_SCRIPT } from "@/ui/shell/themeScript";
import "./globals.css";

const figures = localFont({
  variable: "--font-figures",
  display: "swap",
  src: [
    {
      path: "../node_modules/@fontsource/barlow-condensed/files/barlow-condensed-latin-500-normal.woff2",
      weight: "500",
    },
    {
      path: "../node_modules/@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff2",
      weight: "600",
    },
  ],
});
const text = localFont({
  variable: "--font-text",
  display: "swap",
  src: [
    {
      path: "../node_modules/@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-400-normal.woff2",
      weight: "400",
    },
    {
      path: "../node_modules/@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-600-normal.woff2",
      weight: "600",
    },
  ],
});

export const metadata: Metadata = {
  title: "Schleuse",
  description: "Designs the drains, traps, vents and waste tanks of a camper conversion.",
  icons: { icon: "/icon.svg" },
};

export const viewport: Viewport = {
  width: "device-width",
  initialScale: 1,
  viewportFit: "cover",
  themeColor: "#143f66",
};

export default function Layout({ children }: { readonly children: ReactNode }) {
  return (
    <html lang="en" className={`${figures.variable} ${text.variable}`} suppressHydrationWarning>
      <head>
        {/* biome-ignore lint/security/noDangerouslySetInnerHtml: a constant of ours, allowed by its hash; it must run before the first paint */}
        <script dangerouslySetInnerHTML={{ __html: THEME_SCRIPT }} />
      </head>
      <body>
        {children}
        <Offline />
      </body>
    </html>
  );
}
