import fc from "fast-check";
import { XMLParser } from "fast-xml-parser";
import ical, { type VEvent } from "node-ical";
import type { Stop } from "@/core/record/journey";
import { addDays } from "@/core/road/civil";
import { readDemo } from "@/tests/demoRigs";
import { writeCalendar } from "./calendar";
import { writeJourneyCalendar } from "./journeyCalendar";
import { readPlaces, writeStopsCsv, writeStopsGeoJson, writeStopsGpx } from "./places";

const text = fc
  .string({ minLength: 1, maxLength: 30, unit: "grapheme" })
  .map((s) => s.replace(/[\r\n\t]/g, " ").trim())
  .filter((s) => s !== "");
const stop: fc.Arbitrary<Stop> = fc.record({
  id: fc.nat(999).map((n) => `s${n}`),
  name: text,
  latDeg: fc.double({ min: -89, max: 89, noNaN: true }).map((v) => Math.round(v * 1e5) / 1e5 || 0),
  lonDeg: fc.double({ min: -179, max: 179, noNaN: true }).map((v) => Math.round(v * 1e5) / 1e5 || 0),
  arrive: fc.nat(3_000).map((n) => addDays("2024-01-01", n)),
  nights: fc.nat(30),
  has: fc.record({ grey: fc.boolean(), toilet: fc.boolean(), fresh: fc.boolean() }),
  isClosed: fc.constant(false),
  cost: fc.nat(50),
  stands: fc.constant(null),
  note: fc.constantFrom("", "key at the mill", 'gate "B", left'),
});

test("stops written as CSV and GeoJSON are read back as they were; GPX keeps places and names", () => {
  fc.assert(
    fc.property(fc.array(stop, { minLength: 1, maxLength: 6 }), (stops) => {
      const wanted = stops.map(({ name, latDeg, lonDeg, arrive, nights, has, cost, note }) => ({
        name,
        latDeg,
        lonDeg,
        arrive,
        nights,
        has,
        cost,
        note,
      }));
      expect(readPlaces(writeStopsGeoJson(stops))).toEqual({ ok: true, skipped: 0, places: wanted });
      const csv = readPlaces(writeStopsCsv(stops));
      // what a spreadsheet would run has an apostrophe before it
      const tame = (name: string) => (/^[=+\-@\t\r]/.test(name) ? `'${name}` : name);
      const hasMinus = stops.some(({ latDeg, lonDeg }) => latDeg! < 0 || lonDeg! < 0);
      if (!hasMinus)
        expect(csv).toEqual({ ok: true, skipped: 0, places: wanted.map((one) => ({ ...one, name: tame(one.name) })) });
      else expect(csv.ok && csv.places).toHaveLength(stops.length);
    }),
    { numRuns: 60 },
  );
});

// Read by a general XML reader, not by our own.
test("GPX 1.1: version, namespace and every waypoint", () => {
  const stops = [
    { ...base, name: "Mill & pond <1>", note: 'gate "B"' },
    { ...base, id: "b", name: "Weir" },
  ];
  const gpx = new XMLParser({ ignoreAttributes: false }).parse(writeStopsGpx(stops)).gpx;
  expect(gpx["@_version"]).toBe("1.1");
  expect(gpx["@_xmlns"]).toBe("http://www.topografix.com/GPX/1/1");
  expect(gpx.wpt.map((point: { name: string }) => point.name)).toEqual(["Mill & pond <1>", "Weir"]);
  expect(Number(gpx.wpt[0]["@_lat"])).toBe(51.2);
  // the route leads through them in the order of their days, and reading it back finds each once
  expect(gpx.rte.rtept).toHaveLength(2);
  expect(readPlaces(writeStopsGpx(stops))).toMatchObject({ ok: true, places: [{ latDeg: 51.2 }, {}] });
});

const base: Stop = {
  id: "a",
  name: "Mill",
  latDeg: 51.2,
  lonDeg: 9.4,
  arrive: "2026-05-02",
  nights: 2,
  has: { grey: true, toilet: false, fresh: true },
  isClosed: false,
  cost: 5,
  stands: null,
  note: "",
};

test("KML placemarks in folders, GPX waypoints and loose GeoJSON are read; lines and areas are counted", () => {
  const kml = `<kml><Document><Folder><Placemark><name>Mill</name><Point><coordinates>9.4,51.2,0</coordinates></Point></Placemark></Folder>
    <Placemark><name>A road</name><LineString><coordinates>1,2 3,4</coordinates></LineString></Placemark></Document></kml>`;
  expect(readPlaces(kml)).toEqual({
    ok: true,
    skipped: 1,
    places: [{ name: "Mill", latDeg: 51.2, lonDeg: 9.4, note: "" }],
  });
  expect(
    readPlaces('<gpx><rte><rtept lat="51.2" lon="9.4"><name>Mill</name></rtept><rtept lat="52" lon="9"/></rte></gpx>'),
  ).toMatchObject({
    ok: true,
    places: [
      { name: "Mill", latDeg: 51.2 },
      { latDeg: 52, lonDeg: 9 },
    ],
  });
  expect(readPlaces('<gpx><wpt lat="51.2" lon="9.4"><name>Mill</name></wpt></gpx>')).toMatchObject({
    ok: true,
    places: [{ name: "Mill", latDeg: 51.2 }],
  });
});

test.each([
  ["", /empty/],
  ["<gpx><wpt></gpx>", /line 1, column \d+/],
  ["<html></html>", /neither GPX nor KML/],
  ['{"type":', /Not readable as GeoJSON/],
  ["a,b\n1,2", /"name"/],
  ['name,note\n"Mill,half', /line \d+/],
  ['{"type":"FeatureCollection","features":[]}', /No place/],
])("%j is refused with a sentence", (broken, sentence) => {
  const outcome = readPlaces(broken);
  expect(outcome).toMatchObject({ ok: false });
  if (!outcome.ok) expect(outcome.sentence).toMatch(sentence);
});

test("whatever is read, nothing throws, and places lie on the earth", () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.json(),
        fc.string().map((s) => `<${s}`),
      ),
      (any) => {
        const outcome = readPlaces(any);
        if (!outcome.ok) return expect(outcome.sentence.length).toBeGreaterThan(5);
        for (const { latDeg, lonDeg } of outcome.places) {
          expect(Math.abs(latDeg ?? 0)).toBeLessThanOrEqual(90);
          expect(Math.abs(lonDeg ?? 0)).toBeLessThanOrEqual(180);
        }
      },
    ),
  );
});

test("a formula in a name does not run in a spreadsheet", () => {
  expect(writeStopsCsv([{ ...base, name: "=SUM(A1)" }])).toContain("'=SUM(A1)");
});

// Published: RFC 5545; read back by a general reader.
test("a calendar has whole days, whatever zone the machine stands in, each with a reminder", () => {
  fc.assert(
    fc.property(fc.nat(4_000), text, (n, title) => {
      const on = addDays("2024-01-01", n);
      const events = Object.values(
        ical.sync.parseICS(writeCalendar("Rig", [{ id: "one", on, title, text: "why" }], 0)),
      ).filter((one) => one?.type === "VEVENT");
      expect(events).toHaveLength(1);
      const event = events[0] as VEvent;
      const { start } = event;
      expect(event.datetype).toBe("date");
      expect([start.getFullYear(), start.getMonth() + 1, start.getDate()]).toEqual(on.split("-").map(Number));
      expect(event.alarms).toHaveLength(1);
    }),
    { numRuns: 40 },
  );
});

test("a journey's calendar carries its services and the care that is due", () => {
  const stops = [
    { ...base, arrive: "2026-05-01", nights: 1 },
    { ...base, id: "b", name: "Weir", arrive: "2026-05-02", nights: 2 },
  ];
  const calendar = writeJourneyCalendar(readDemo("kranich"), [], {
    stops,
    from: "2026-05-01",
    certainty: 0.6,
    stampMs: 0,
  });
  const titles = Object.values(ical.sync.parseICS(calendar)).flatMap((one) =>
    one?.type === "VEVENT" ? [String((one as VEvent).summary)] : [],
  );
  expect(titles.some((title) => title.startsWith("Weir: Dump"))).toBe(true);
  expect(titles).toContain("Fill the traps");
});

test("a stop that is left before it is reached, or on a day there is not, is left out and told; nights come from its two days", () => {
  const text =
    "name,arrive,leave,nights,open\nFord,2026-05-03,2026-05-01,,\nMill,2026-02-30,,1,\nWeir,2026-05-03,2026-05-05,9,9 to 18\n";
  expect(readPlaces(text)).toMatchObject({
    ok: true,
    skipped: 2,
    why: "Ford is left before it is reached",
    places: [{ name: "Weir", arrive: "2026-05-03", nights: 2, hours: "9 to 18" }],
  });
});
