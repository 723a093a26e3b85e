/** Debian's own browser. */
export const EXECUTABLE = process.env["CHROMIUM"] ?? "/usr/bin/chromium";

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
