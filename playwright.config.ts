import { defineConfig } from "@playwright/test";

const port = Number(process.env["PORT"] ?? 3217);

// The browser builds two pages of its own for the address line of every window, which no test has: a second of each.
// Of two such lists it reads the last, so what the driver turns off itself stands here too.
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

/** Debian's own browser, started without anything that looks for a network. */
export default defineConfig({
  testDir: "e2e",
  fullyParallel: true,
  workers: 2,
  // on a busy machine a test gets a second try; one that needed it is named in the report
  retries: process.env["CI"] ? 1 : 0,
  timeout: 90_000,
  expect: { timeout: 10_000 },
  reporter: [["list"]],
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env["CHROMIUM"] ?? "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        `--disable-features=${TURNED_OFF.join(",")}`,
      ],
    },
  },
  projects: [
    { name: "desk", testIgnore: /phone\.spec/ },
    {
      name: "phone",
      testMatch: /phone\.spec/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, deviceScaleFactor: 2 },
    },
  ],
  webServer: {
    command: `NODE_ENV=production PORT=${port} node scripts/serve.mjs`,
    url: `http://localhost:${port}`,
    reuseExistingServer: false,
    timeout: 60_000,
  },
});
