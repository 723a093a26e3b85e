import { existsSync } from "node:fs";

const WHOLE = "/usr/bin/chromium";
const HEADLESS = "/usr/bin/chromium-headless-shell";

/** The first of these that is there, where none is named. */
const find = (...paths: readonly [string, string]): string =>
  process.env["CHROMIUM"] ?? paths.find((path) => existsSync(path)) ?? paths[0];

/** Debian's own browser, as people have it. */
export const EXECUTABLE = find(WHOLE, HEADLESS);

/** The same without windows, toolbars and profiles of its own: it takes a fifth off the tests' time. */
export const TESTED = find(HEADLESS, WHOLE);

// The browser builds two pages of its own for the address line of every window, which nobody here looks at: a second of
// each test, and in the middle of what is measured. Of two such lists it reads the last, so what the driver turns off
// itself stands here too.
const TURNED_OFF = [
  "WebUIOmniboxPopup",
  "WebUIOmniboxAimPopup",
  "AvoidUnnecessaryBeforeUnloadCheckSync",
  "DestroyProfileOnBrowserClose",
  "HttpsUpgrades",
  "HttpsFirstBalancedModeAutoEnable",
  "LensOverlay",
  "MediaRouter",
  "PaintHolding",
  "ThirdPartyStoragePartitioning",
  "AvoidCorsURLLoaderRestartOnRedirect",
  "OptimizationHints",
  "NetworkTimeServiceQuerying",
  "AimEnabled",
  "PreconnectToSearch",
];

/** How it is started: without anything that looks for a network. */
export const BROWSER_ARGS: string[] = [
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
  `--disable-features=${TURNED_OFF.join(",")}`,
];

/** A page that lives for seconds is done before its scripts are compiled better: that begins later, and saves a tenth. */
export const TEST_ARGS: string[] = [...BROWSER_ARGS, "--js-flags=--invocation-count-for-maglev=4000"];
