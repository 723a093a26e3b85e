import { request as ask, createServer } from "node:http";
import { expect, openWorkbench, PLACE, test } from "./fixtures";

test.describe("the server", () => {
  test("scripts and styles come compressed where a browser takes it, the same as without; the phone's page asks for no others", async ({
    request,
  }) => {
    for (const path of ["/", "/under"]) {
      const html = await (await request.get(path)).text();
      const files = [...html.matchAll(/(?:src|href)="([^"]+\.(?:js|css))"/g)].map(([, file]) => file!);
      expect(files.length).toBeGreaterThan(1);
      if (path === "/under") {
        expect(files.filter((file) => file.endsWith(".js")).map((file) => file.split("/")[1])).toEqual([
          "under-scripts",
        ]);
      }
      for (const file of files) {
        const small = await request.get(file, { headers: { "accept-encoding": "br" } });
        const plain = await request.get(file, { headers: { "accept-encoding": "identity" } });
        expect(small.headers()["content-encoding"], file).toBe("br");
        expect(plain.headers()["content-encoding"], file).toBeUndefined();
        expect(small.headers()["content-type"]?.split(";")[0], file).toBe(
          plain.headers()["content-type"]?.split(";")[0],
        );
        expect(await small.text(), file).toBe(await plain.text());
        expect(small.headers(), file).toMatchObject({
          "x-content-type-options": "nosniff",
          "cache-control": plain.headers()["cache-control"]!,
        });
      }
    }
  });

  test("every answer bears its headers; only reading is let through; nothing is found where nothing is", async ({
    request,
  }) => {
    const paths = [
      "/",
      "/no/such/page",
      "/samples/kranich",
      "/samples/nobody",
      "/serwist/sw.js",
      "/licences.txt",
      "/_next/image?url=x",
    ];
    for (const path of paths) {
      const headers = (await request.get(path, { maxRedirects: 0 })).headers();
      expect(headers, path).toMatchObject({ "x-content-type-options": "nosniff", "referrer-policy": "no-referrer" });
      expect(headers["permissions-policy"], path).toContain("microphone=()");
      expect(headers["content-security-policy"], path).toContain("frame-ancestors 'none'");
    }
    for (const method of ["POST", "PUT", "DELETE", "OPTIONS"]) {
      expect((await request.fetch("/", { method })).status(), method).toBe(405);
    }
    expect((await request.get("/serwist/sw.js.map")).status()).toBe(404);
    expect((await request.get("/samples/%")).status()).toBe(404);
    expect((await request.get("/_next/image?url=%2Ficon-192.png&w=64&q=75")).status()).toBe(404);
    const licences = await (await request.get("/licences.txt")).text();
    for (const name of ["next ", "react ", "zod ", "jspdf "]) expect(licences).toContain(`\n${name}`);
  });

  test("every address opens the application", async ({ page }) => {
    test.info().annotations.push({ type: "note", description: "the answer itself is a 404, which the browser logs" });
    const answer = await page.goto("/?from=a-link");
    expect(answer!.ok()).toBe(true);
    await expect(page.locator('[data-phase="ready"]')).toBeVisible();
  });
});

test.describe("a newer version", () => {
  test.use({ keepsOffline: true });

  test("it waits until the tab is reloaded, is told of quietly, and takes nothing away", async ({ page, baseURL }) => {
    const target = new URL(baseURL!);
    let version = 1;
    // hands everything through, and a service worker that differs from version to version
    const proxy = createServer((incoming, outgoing) => {
      const onward = ask(
        {
          host: target.hostname,
          port: target.port,
          path: incoming.url,
          method: incoming.method,
          headers: { ...incoming.headers, "accept-encoding": "identity" },
        },
        (answer) => {
          const isWorker = incoming.url === "/serwist/sw.js";
          const { "content-length": _length, ...headers } = answer.headers;
          outgoing.writeHead(answer.statusCode!, headers);
          if (!isWorker) return answer.pipe(outgoing);
          answer.on("data", (chunk) => outgoing.write(chunk));
          answer.on("end", () => outgoing.end(`\n// version ${version}\n`));
        },
      );
      incoming.pipe(onward);
    });
    await new Promise<void>((resolve) => proxy.listen(0, "localhost", resolve));
    const { port } = proxy.address() as { port: number };
    page.removeAllListeners("request");
    await page.goto(`http://localhost:${port}/`);
    await expect(page.locator('[data-phase="ready"]')).toBeVisible();
    await page.evaluate(() => navigator.serviceWorker.ready);
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
    version = 2;
    await page.evaluate(async () => (await navigator.serviceWorker.ready).update());
    const offer = page.getByRole("button", { name: "Reload into it" });
    await expect(offer).toBeVisible();
    // the tab goes on with all its parts
    await page.keyboard.press("?");
    await expect(page.getByRole("dialog")).toContainText("Keyboard shortcuts");
    await page.keyboard.press("Escape");
    await page.keyboard.press("3");
    const height = page.getByRole("group", { name: /^Place of its/ }).getByLabel(PLACE.z);
    await height.fill("-301");
    await height.press("Enter");
    await offer.click();
    await expect(offer).toBeHidden();
    await expect(page.locator('[data-phase="ready"]')).toBeVisible();
    await page.keyboard.press("3");
    await expect(height).toHaveValue(/301$/);
    proxy.closeAllConnections();
    proxy.close();
    await page.goto("about:blank");
    await openWorkbench(page);
  });
});
