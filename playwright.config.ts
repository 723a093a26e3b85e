import { defineConfig } from "@playwright/test";
import { TEST_ARGS, TESTED } from "./e2e/browser";

const port = Number(process.env["PORT"] ?? 3217);

export default defineConfig({
  testDir: "e2e",
  fullyParallel: true,
  workers: 2,
  // on a busy machine a test gets a second try; one that needed it is named in the report
  retries: process.env["CI"] ? 1 : 0,
  // how long a machine takes is no fault of the page: what is waited for comes or does not
  timeout: 240_000,
  expect: { timeout: 45_000 },
  reporter: [["list"]],
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: TESTED, args: TEST_ARGS },
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
