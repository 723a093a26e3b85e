"use client";
import { useEffect, useState } from "react";
import {
  calibrateByTurning,
  NO_OFFSET,
  type PhoneOffset,
  type PhoneTilt,
  toAttitude,
  toSlopeMmPerM,
} from "@/core/attitude/phoneLevel";

type Sensor = "ask" | "none" | "refused" | "on";
type Asking = { readonly requestPermission?: () => Promise<"granted" | "denied"> };

/** The phone as a level: how the rig stands, the fall of a pipe it lies on, set right by turning it round; typed where it has no sensor. */
export function PhoneLevel() {
  const [sensor, setSensor] = useState<Sensor>("ask");
  const [tilt, setTilt] = useState<PhoneTilt | null>(null);
  const [offset, setOffset] = useState<PhoneOffset>(NO_OFFSET);
  const [first, setFirst] = useState<PhoneTilt | null>(null);
  useEffect(() => {
    if (sensor !== "on") return;
    const on = ({ beta, gamma }: DeviceOrientationEvent) => {
      if (beta !== null && gamma !== null) setTilt({ betaDeg: beta, gammaDeg: gamma });
    };
    window.addEventListener("deviceorientation", on);
    return () => window.removeEventListener("deviceorientation", on);
  }, [sensor]);
  const begin = async () => {
    if (!("DeviceOrientationEvent" in window)) return setSensor("none");
    const asking = (DeviceOrientationEvent as unknown as Asking).requestPermission;
    try {
      setSensor(asking && (await asking()) !== "granted" ? "refused" : "on");
    } catch {
      setSensor("refused");
    }
  };
  const attitude = tilt && toAttitude(tilt, offset);
  return (
    <section aria-label="Level" className="flex flex-1 flex-col gap-3 p-4 text-[19px] leading-snug">
      {sensor !== "on" && (
        <>
          <p>
            {sensor === "refused"
              ? "The tilt sensor was refused. Allow it for this page, or read a spirit level and type it on the desk: Level."
              : sensor === "none"
                ? "This device has no tilt sensor. Read a spirit level and type it on the desk: Level."
                : "Lay the phone on its back, its top toward the nose of the rig."}
          </p>
          <button
            type="button"
            className="min-h-14 rounded-[3px] border border-edge text-[19px]"
            onClick={() => void begin()}
          >
            Use the tilt sensor
          </button>
        </>
      )}
      {sensor === "on" && !attitude && <p>Waiting for the sensor. It needs a phone, and a secure address.</p>}
      {attitude && tilt && (
        <>
          <Row
            what={attitude.pitchDeg >= 0 ? "nose down" : "nose up"}
            figure={`${Math.abs(attitude.pitchDeg).toFixed(1)}°`}
          />
          <Row
            what={attitude.rollDeg >= 0 ? "right side low" : "left side low"}
            figure={`${Math.abs(attitude.rollDeg).toFixed(1)}°`}
          />
          <Row what="fall of a pipe, top downhill" figure={`${toSlopeMmPerM(tilt, offset).toFixed(0)} mm/m`} />
          <button
            type="button"
            className="min-h-14 rounded-[3px] border border-edge text-[19px]"
            onClick={() => {
              if (!first) return setFirst(tilt);
              setOffset(calibrateByTurning(first, tilt));
              setFirst(null);
            }}
          >
            {first ? "Now turn it round on the same place and press" : "Set right: press, then turn it round"}
          </button>
        </>
      )}
    </section>
  );
}

function Row({ what, figure }: { readonly what: string; readonly figure: string }) {
  return (
    <div className="border-t border-rule pt-2">
      <div className="figures text-[56px] leading-none">{figure}</div>
      <div className="text-[17px] text-faint">{what}</div>
    </div>
  );
}
