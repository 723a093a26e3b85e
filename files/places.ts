import { XMLParser, XMLValidator } from "fast-xml-parser";
import Papa from "papaparse";
import type { Stop } from "@/core/record/journey";
import { toDate, toDays } from "@/core/road/civil";

/** A place out of a file, before it is a stop: dates and services may be missing. */
export type FoundPlace = Pick<Stop, "name" | "latDeg" | "lonDeg" | "note"> &
  Partial<Pick<Stop, "arrive" | "nights" | "has" | "cost" | "hours">>;

/** One as it is read; where its dates cannot be, what is wrong with them. */
type ReadPlace = FoundPlace & { readonly dates?: string };
type ReadOutcome =
  | { readonly ok: true; readonly places: readonly ReadPlace[]; readonly skipped: number }
  | { readonly ok: false; readonly sentence: string };

export type PlacesOutcome =
  /** With how many were left out, and why the first of them where that is more than a missing place. */
  | { readonly ok: true; readonly places: readonly FoundPlace[]; readonly skipped: number; readonly why?: string }
  | { readonly ok: false; readonly sentence: string };

const MOST_BYTES = 4_000_000;
const MOST_PLACES = 200;

/** Reads waypoints out of GPX, KML, GeoJSON or CSV text, told apart by what it begins with. Never throws. */
export function readPlaces(text: string): PlacesOutcome {
  const plain = text.replace(/^\uFEFF/, "").trim();
  if (plain === "") return refuse("The file is empty.");
  if (plain.length > MOST_BYTES) return refuse("The file is larger than 4 MB. Export only the waypoints.");
  const outcome = plain.startsWith("<") ? readXml(plain) : plain.startsWith("{") ? readGeoJson(plain) : readCsv(plain);
  if (!outcome.ok) return outcome;
  const wrong = outcome.places.map(({ dates }) => dates).find((sentence) => sentence !== undefined);
  const places = outcome.places.flatMap(({ dates, ...place }) =>
    isPlace(place) && dates === undefined ? [place] : [],
  );
  if (places.length === 0) return refuse("No place with a name or coordinates is in it.");
  const kept = places.slice(0, MOST_PLACES);
  const skipped = outcome.skipped + outcome.places.length - kept.length;
  return { ok: true, places: kept, skipped, ...(wrong === undefined ? {} : { why: wrong }) };
}

const refuse = (sentence: string): { readonly ok: false; readonly sentence: string } => ({ ok: false, sentence });

const isPlace = ({ latDeg, lonDeg }: FoundPlace): boolean =>
  latDeg === null || lonDeg === null || (Math.abs(latDeg) <= 90 && Math.abs(lonDeg) <= 180);

type Loose = Readonly<Record<string, unknown>>;
const asList = (value: unknown): readonly Loose[] =>
  (Array.isArray(value) ? value : value === undefined ? [] : [value]).filter(
    (one): one is Loose => typeof one === "object" && one !== null,
  );
const asText = (value: unknown): string =>
  typeof value === "string" || typeof value === "number" ? String(value) : "";
const asNumber = (value: unknown): number | null => {
  const text = asText(value).trim().replace(",", ".");
  const read = text === "" ? Number.NaN : Number(text);
  return Number.isFinite(read) ? read : null;
};
const toName = (value: unknown, i: number): string => asText(value).trim().slice(0, 80) || `Place ${i + 1}`;
const toNote = (value: unknown): string => asText(value).trim().slice(0, 400);

function readXml(text: string): ReadOutcome {
  const valid = XMLValidator.validate(text);
  if (valid !== true)
    return refuse(`Not readable at line ${valid.err.line}, column ${valid.err.col}: ${valid.err.msg}`);
  const parsed: Loose = new XMLParser({ ignoreAttributes: false, parseTagValue: false, processEntities: false }).parse(
    text,
  );
  const gpx = parsed["gpx"] as Loose | undefined;
  if (gpx) {
    // a planned route is stops in their order, after the waypoints that stand alone
    const routes = asList(gpx["rte"]).flatMap((route) => asList((route as Loose)["rtept"]));
    const alone = asList(gpx["wpt"]);
    const toKey = (point: unknown) => `${(point as Loose)["@_lat"]} ${(point as Loose)["@_lon"]}`;
    const known = new Set(alone.map(toKey));
    const points = [...alone, ...routes.filter((point) => !known.has(toKey(point)))];
    return {
      ok: true,
      skipped: 0,
      places: points.map((point, i) => ({
        name: toName(point["name"], i),
        latDeg: asNumber(point["@_lat"]),
        lonDeg: asNumber(point["@_lon"]),
        note: toNote(point["desc"] ?? point["cmt"]),
      })),
    };
  }
  if (parsed["kml"]) {
    const marks = collect(parsed["kml"], "Placemark");
    const places = marks.flatMap((mark, i): FoundPlace[] => {
      const [lon, lat] = asText((mark["Point"] as Loose | undefined)?.["coordinates"])
        .trim()
        .split(",");
      const [latDeg, lonDeg] = [asNumber(lat), asNumber(lon)];
      return latDeg === null || lonDeg === null
        ? []
        : [{ name: toName(mark["name"], i), latDeg, lonDeg, note: toNote(mark["description"]) }];
    });
    return { ok: true, places, skipped: marks.length - places.length };
  }
  return refuse("This is XML, but neither GPX nor KML.");
}

// Placemarks stand in folders of any depth.
function collect(value: unknown, key: string, depth = 0): Loose[] {
  if (typeof value !== "object" || value === null || depth > 20) return [];
  if (Array.isArray(value)) return value.flatMap((one) => collect(one, key, depth + 1));
  return Object.entries(value).flatMap(([name, inner]) =>
    name === key ? [...asList(inner)] : collect(inner, key, depth + 1),
  );
}

function readGeoJson(text: string): ReadOutcome {
  let value: Loose;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return refuse(`Not readable as GeoJSON: ${error instanceof Error ? error.message : "broken"}`);
  }
  const features = value["type"] === "FeatureCollection" ? asList(value["features"]) : asList(value);
  const places = features.flatMap((feature, i): ReadPlace[] => {
    const geometry = feature["geometry"] as Loose | null | undefined;
    const at =
      geometry?.["type"] === "Point" && Array.isArray(geometry["coordinates"]) ? geometry["coordinates"] : null;
    const [lonDeg, latDeg] = [asNumber(at?.[0]), asNumber(at?.[1])];
    if (latDeg === null || lonDeg === null) return [];
    const own = (
      typeof feature["properties"] === "object" && feature["properties"] ? feature["properties"] : {}
    ) as Loose;
    return [
      {
        name: toName(own["name"], i),
        latDeg,
        lonDeg,
        note: toNote(own["note"]),
        ...readRest(own, toName(own["name"], i)),
      },
    ];
  });
  return { ok: true, places, skipped: features.length - places.length };
}

function readCsv(text: string): ReadOutcome {
  const { data: rows, errors } = Papa.parse<string[]>(text.replace(/\r\n?/g, "\n"), { skipEmptyLines: true });
  const broken = errors.find(({ type }) => type === "Quotes");
  if (broken) {
    return refuse(`Not readable at line ${(broken.row ?? 0) + 1}, column ${broken.index ?? 0}: ${broken.message}`);
  }
  const [head = [], ...lines] = rows;
  const columns = head.map((name) => name.trim().toLowerCase());
  if (!columns.includes("name")) return refuse('The first line must name the columns, one of them "name".');
  const data = lines.map((line) => Object.fromEntries(columns.map((name, i) => [name, line[i] ?? ""])));
  return {
    ok: true,
    skipped: 0,
    places: data.map((row, i) => ({
      name: toName(row["name"], i),
      latDeg: asNumber(row["lat"] ?? row["latitude"]),
      lonDeg: asNumber(row["lon"] ?? row["lng"] ?? row["longitude"]),
      note: toNote(row["note"]),
      ...readRest(row, toName(row["name"], i)),
    })),
  };
}

function readRest(row: Loose, name: string): Partial<ReadPlace> {
  const [arrive, leave] = [asText(row["arrive"]).trim(), asText(row["leave"] ?? row["depart"]).trim()];
  const counted = asNumber(row["nights"]);
  const cost = asNumber(row["cost"]);
  const hours = asText(row["open"]).trim().slice(0, 80);
  const yes = (value: unknown) => /^(1|x|y|yes|true)$/i.test(String(value ?? "").trim());
  const names = ["grey", "toilet", "fresh"] as const;
  const odd = [arrive, leave].find((text) => text !== "" && !isDay(text));
  if (odd !== undefined) return { dates: `${name}: ${odd} is no day such as 2026-05-01` };
  const nights = arrive !== "" && leave !== "" ? toDays(leave) - toDays(arrive) : counted;
  if (nights !== null && nights < 0) return { dates: `${name} is left before it is reached` };
  return {
    ...(arrive === "" ? {} : { arrive }),
    ...(nights !== null && Number.isInteger(nights) && nights <= 120 ? { nights } : {}),
    ...(cost !== null && cost >= 0 && cost <= 10_000 ? { cost } : {}),
    ...(hours === "" ? {} : { hours }),
    ...(names.some((service) => row[service] !== undefined)
      ? { has: { grey: yes(row["grey"]), toilet: yes(row["toilet"]), fresh: yes(row["fresh"]) } }
      : {}),
  };
}

const isDay = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && toDate(toDays(text)) === text;

const toRow = ({ name, latDeg, lonDeg, arrive, nights, has, cost, hours, note }: Stop) => ({
  name,
  lat: latDeg ?? "",
  lon: lonDeg ?? "",
  arrive,
  nights,
  grey: has.grey ? "yes" : "no",
  toilet: has.toilet ? "yes" : "no",
  fresh: has.fresh ? "yes" : "no",
  cost,
  open: hours ?? "",
  note,
});

/** Stops as CSV; what a spreadsheet would take for a formula is neutralised. */
export const writeStopsCsv = (stops: readonly Stop[]): string =>
  `${Papa.unparse(stops.map(toRow), { escapeFormulae: true })}\r\n`;

/** Stops with a place as GeoJSON (RFC 7946). */
export const writeStopsGeoJson = (stops: readonly Stop[]): string =>
  `${JSON.stringify(
    {
      type: "FeatureCollection",
      features: stops
        .filter(({ latDeg, lonDeg }) => latDeg !== null && lonDeg !== null)
        .map((stop) => {
          const { lat: _lat, lon: _lon, ...properties } = toRow(stop);
          return { type: "Feature", geometry: { type: "Point", coordinates: [stop.lonDeg, stop.latDeg] }, properties };
        }),
    },
    null,
    1,
  )}\n`;

const escapeXml = (text: string): string =>
  text.replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/>/g, "&gt;").replace(/"/g, "&quot;");

/** Stops with a place as GPX 1.1: waypoints with their notes, and a route through them in their order. */
export const writeStopsGpx = (stops: readonly Stop[]): string => {
  const points = stops
    .filter(({ latDeg, lonDeg }) => latDeg !== null && lonDeg !== null)
    .map(
      ({ name, latDeg, lonDeg, note }) =>
        `  <wpt lat="${latDeg}" lon="${lonDeg}"><name>${escapeXml(name)}</name>${note ? `<desc>${escapeXml(note)}</desc>` : ""}</wpt>`,
    );
  const route = [...stops]
    .sort((a, b) => a.arrive.localeCompare(b.arrive))
    .filter(({ latDeg, lonDeg }) => latDeg !== null && lonDeg !== null)
    .map(
      ({ name, latDeg, lonDeg }) =>
        `    <rtept lat="${latDeg}" lon="${lonDeg}"><name>${escapeXml(name)}</name></rtept>`,
    );
  const led = route.length > 1 ? `  <rte>\n${route.join("\n")}\n  </rte>\n` : "";
  return `<?xml version="1.0" encoding="UTF-8"?>\n<gpx version="1.1" creator="Schleuse" xmlns="http://www.topografix.com/GPX/1/1">\n${points.join("\n")}\n${led}</gpx>\n`;
};
