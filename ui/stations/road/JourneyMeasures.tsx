"use client";
import { Download, Plus, Trash2, Upload } from "lucide-react";
import { useRef, useState } from "react";
import { type Attitude, isLevel, LEVEL } from "@/core/attitude/attitude";
import type { Stop } from "@/core/record/journey";
import { addDays } from "@/core/road/civil";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { describeAttitude } from "@/words/attitudes";
import { CERTAINTY_NAMES, nameCertainty } from "@/words/days";
import { SERVICE_NAMES } from "@/words/journey";
import * as WORDS from "@/words/panels/road/journeyMeasures";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";
import { Tick } from "../../kit/Tick";
import { today } from "../now";
import { useRecords } from "../useRecords";
import { addStop, changeStop, freeStopId, keepStop, keepStops, removeStop } from "./stopEdits";

/** The stops by their fields, in from files and out to files, and the certainty the plan keeps. */
export function JourneyMeasures() {
  const { stops } = useRecords((state) => state.journey);
  const certainty = useWorkbench((state) => state.history!.design.habits.certainty);
  const [openId, setOpenId] = useState<string | null>(null);
  const { set } = useEdits();
  const sorted = [...stops].sort((a, b) => a.arrive.localeCompare(b.arrive));
  const open = stops.find(({ id }) => id === openId);
  return (
    <Group
      title={WORDS.stops(stops.length)}
      aside={
        <Button onClick={() => setOpenId(addStop(today()))} disabled={stops.length >= 200}>
          <Plus size={14} aria-hidden /> {WORDS.stop}
        </Button>
      }
    >
      <Pick
        label={WORDS.thePlanShouldHold}
        value={nameCertainty(certainty)}
        names={CERTAINTY_NAMES}
        onPick={(value) => set({ kind: "habits" }, ["habits", "certainty"], Number(value))}
      />
      <ul aria-label={WORDS.stops2}>
        {sorted.map((stop) => (
          <li key={stop.id}>
            <button
              type="button"
              aria-expanded={stop.id === openId}
              onClick={() => setOpenId(stop.id === openId ? null : stop.id)}
              className={`flex min-h-8 w-full items-center justify-between gap-2 border-t border-rule px-1 text-left text-[13.5px] phone:min-h-11 ${stop.id === openId ? "bg-pick" : "hover:bg-pick/60"}`}
            >
              <span className={stop.isClosed ? "line-through" : ""}>{stop.name}</span>
              <span className="figures text-[14px] text-faint">{stop.arrive}</span>
            </button>
            {open && stop.id === openId && <StopFields stop={open} />}
          </li>
        ))}
      </ul>
      <FilesRow stops={sorted} />
    </Group>
  );
}

function StopFields({ stop }: { readonly stop: Stop }) {
  const change = (given: Partial<Stop>) => {
    changeStop(stop.id, given);
    return null;
  };
  const whole = (value: number | null, most: number, keep: (value: number) => null) =>
    value === null || !Number.isInteger(value) || value < 0 || value > most
      ? WORDS.aWholeNumberFrom0(most)
      : keep(value);
  const degrees = (value: string, most: number, keep: (value: number | null) => null) => {
    if (value.trim() === "") return keep(null);
    const read = Number(value.replace(",", "."));
    return Math.abs(read) <= most ? keep(read) : WORDS.degreesFromTo(most, most);
  };
  return (
    <div className="border-l-2 border-enamel pb-2 pl-2">
      <TextField
        label={WORDS.name}
        value={stop.name}
        onCommit={(value) => {
          const name = value.trim().slice(0, 80);
          return name === "" ? WORDS.aStopNeedsAName : change({ name });
        }}
      />
      <label className="flex min-h-8 items-center justify-between gap-2 text-[13px] text-faint">
        {WORDS.arrive}
        <input
          type="date"
          value={stop.arrive}
          onChange={(event) => event.target.value && change({ arrive: event.target.value })}
          className="figures border-b border-edge bg-sheet px-2 text-[15px] text-ink phone:min-h-11"
        />
      </label>
      <NumberField
        label={WORDS.nights}
        value={stop.nights}
        quantity="count"
        onCommit={(value) => whole(value, 120, (nights) => change({ nights }))}
      />
      {(["grey", "toilet", "fresh"] as const).map((service) => (
        <Tick
          key={service}
          label={SERVICE_NAMES[service]}
          value={stop.has[service]}
          onPick={(value) => change({ has: { ...stop.has, [service]: value } })}
        />
      ))}
      <Tick label={WORDS.closed} value={stop.isClosed} onPick={(isClosed) => change({ isClosed })} />
      <TextField
        label={WORDS.open}
        value={stop.hours ?? ""}
        onCommit={(value) => {
          const { hours: _, ...rest } = stop;
          const hours = value.trim().slice(0, 80);
          keepStop(hours === "" ? rest : { ...rest, hours });
          return null;
        }}
      />
      <StandsFields stop={stop} onChange={(stands) => change({ stands })} />
      <TextField
        label={WORDS.latitudeNorthAbove0}
        value={stop.latDeg === null ? "" : String(stop.latDeg)}
        onCommit={(value) => degrees(value, 90, (latDeg) => change({ latDeg }))}
      />
      <TextField
        label={WORDS.longitudeEastAbove0}
        value={stop.lonDeg === null ? "" : String(stop.lonDeg)}
        onCommit={(value) => degrees(value, 180, (lonDeg) => change({ lonDeg }))}
      />
      <NumberField
        label={WORDS.costToDumpOrFill}
        value={stop.cost}
        quantity="count"
        onCommit={(value) => whole(value, 10_000, (cost) => change({ cost }))}
      />
      <TextField label={WORDS.note} value={stop.note} onCommit={(value) => change({ note: value.slice(0, 400) })} />
      <Button look="bare" onClick={() => removeStop(stop.id)}>
        <Trash2 size={14} aria-hidden /> {WORDS.take} {stop.name} {WORDS.out}
      </Button>
    </div>
  );
}

/** How the pitch leans: not known, level, as a place the rig has stood at, or in degrees of its own. */
function StandsFields({
  stop: { stands },
  onChange,
}: {
  readonly stop: Stop;
  readonly onChange: (stands: Stop["stands"]) => void;
}) {
  const { standings, kind } = useWorkbench((state) => state.history!.design.rig);
  const here = useWorkbench((state) => state.attitude);
  const same = (a: Attitude, b: Attitude) => a.pitchDeg === b.pitchDeg && a.rollDeg === b.rollDeg;
  const known = standings.find(({ attitude }) => stands && same(attitude, stands));
  const value = !stands ? "unknown" : isLevel(stands) ? "level" : (known?.id ?? "own");
  const names = {
    unknown: WORDS.notKnown,
    level: WORDS.level,
    ...Object.fromEntries(standings.map(({ id, name }) => [id, name])),
    own: stands && !isLevel(stands) && !known ? describeAttitude(stands, kind) : WORDS.asTheLevelShowsNow,
  };
  return (
    <Pick
      label={WORDS.thePitchLeans}
      value={value}
      names={names}
      onPick={(id) => {
        if (id === "unknown") onChange(null);
        else if (id === "level") onChange(LEVEL);
        else onChange(standings.find((one) => one.id === id)?.attitude ?? here);
      }}
    />
  );
}

function FilesRow({ stops }: { readonly stops: readonly Stop[] }) {
  const design = useWorkbench((state) => state.history!.design);
  const log = useRecords((state) => state.log);
  const built = useRecords((state) => state.build.done);
  const input = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const read = async (file: File) => {
    const { readPlaces } = await import("@/files/places");
    const outcome = readPlaces(await file.text());
    if (!outcome.ok) return setRefusal(`${file.name}: ${outcome.sentence}`);
    setRefusal(null);
    const from = today();
    const all: Stop[] = [...stops];
    for (const [i, place] of outcome.places.entries()) {
      if (all.length >= 200) break;
      all.push({
        arrive: addDays(from, i),
        nights: 1,
        has: { grey: false, toilet: false, fresh: false },
        cost: 0,
        ...place,
        id: freeStopId(all),
        isClosed: false,
        stands: null,
      });
    }
    const added = all.length - stops.length;
    keepStops(
      all,
      WORDS.readEachWithoutADay(
        added,
        WORDS.stopsAdded(added),
        outcome.skipped > 0 ? WORDS.leftOut(outcome.skipped) : "",
        outcome.why ? `${outcome.why}. ` : "",
      ),
    );
  };
  const write = async (as: "csv" | "geojson" | "gpx" | "ics") => {
    const { handOut } = await import("../../kit/handOut");
    const name = `${design.id}-journey.${as}`;
    if (as === "ics") {
      const { writeJourneyCalendar } = await import("@/files/journeyCalendar");
      const from = stops[0]?.arrive ?? today();
      const { certainty } = design.habits;
      handOut(
        name,
        writeJourneyCalendar(design, log, {
          stops,
          from,
          certainty,
          stampMs: Date.now(),
          built,
        }),
        "text/calendar",
      );
      return;
    }
    const files = await import("@/files/places");
    const text = { csv: files.writeStopsCsv, geojson: files.writeStopsGeoJson, gpx: files.writeStopsGpx }[as](stops);
    handOut(name, text, { csv: "text/csv", geojson: "application/geo+json", gpx: "application/gpx+xml" }[as]);
  };
  return (
    <div className="pt-2">
      <input
        ref={input}
        type="file"
        aria-label={WORDS.fileOfPlaces}
        accept=".gpx,.kml,.geojson,.json,.csv"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) void read(file).catch(() => tell(WORDS.thatFileCouldNotBe, { tone: "warning" }));
        }}
      />
      <div className="flex flex-wrap gap-1.5">
        <Button onClick={() => input.current?.click()}>
          <Upload size={13} aria-hidden /> {WORDS.gpxKmlGeojsonCsv}
        </Button>
        {stops.length > 0 &&
          (["csv", "geojson", "gpx"] as const).map((as) => (
            <Button key={as} onClick={() => void write(as)}>
              <Download size={13} aria-hidden /> {as === "csv" ? "CSV" : as === "gpx" ? "GPX" : WORDS.geojson}
            </Button>
          ))}
        <Button onClick={() => void write("ics")}>
          <Download size={13} aria-hidden /> {WORDS.calendar}
        </Button>
      </div>
      {refusal && (
        <p role="alert" className="pt-1 text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
    </div>
  );
}
