import "fake-indexeddb/auto";
import { readDemoText } from "@/tests/demoRigs";
import { openDatabase } from "./database";
import { readSampleLink } from "./samples";
import { Session } from "./session";
import { workbench } from "./workbench";

/** A tab that is opened by a link, or without one, and closed; what is told and which design it showed. */
async function visit(asked: string | null) {
  workbench.setState(workbench.getInitialState(), true);
  const session = new Session({
    open: (onEvent) => openDatabase(onEvent, "links"),
    now: () => 1_700_000_000_000,
    readSample: async (name) => readDemoText(name as "otter"),
    download: () => undefined,
  });
  await session.start(asked);
  const { history, notice } = workbench.getState();
  await session.stop();
  return { design: history!.design, told: notice?.text ?? null };
}

test("a link opens the sample it names over what was open last, bare where it says so", async () => {
  expect((await visit(null)).design.name).toBe("Kranich");
  const bare = await visit("lesesaal-bare");
  expect([bare.design.name, bare.design.tanks, bare.told]).toEqual(["Lesesaal, bare", [], null]);
  expect((await visit("otter")).design.name).toBe("Otter");
});

test("a wrong name is told of, and what was open last opens", async () => {
  const { design, told } = await visit("nobody");
  expect(design.name).toBe("Otter");
  expect(told).toMatch(/sample could not be fetched/);
});

test("a sample is bare only where its name ends so", () => {
  expect(readSampleLink("otter-bare")).toEqual(["otter", true]);
  expect(readSampleLink("bare-otter")).toEqual(["bare-otter", false]);
});
