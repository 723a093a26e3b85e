import type { DeviceReport, Scenario } from "@/core/devices/device";
import { formatNumber, formatQuantity, type Units } from "./units";

export const SCENARIO_NAMES: Readonly<Record<Scenario, string>> = {
  week: "A week",
  stuckFloat: "A stuck float",
  frostNight: "A frost night",
  valveLeftOpen: "A valve left open",
};

/** What the devices say, a line each. */
export function describeReport(
  { atS, flowLpm, pitchDeg, rollDeg, tankC, heaterW, isValveOpen }: DeviceReport,
  units: Units,
): string[] {
  const hours = atS / 3_600;
  return [
    `Day ${Math.floor(hours / 24) + 1}: ${formatNumber(hours % 24, 0)} h of the scenario`,
    `Flow meter: ${formatQuantity(flowLpm / 60, "flow", units)}`,
    `Tilt: ${formatNumber(Math.abs(pitchDeg), 1)}° nose ${pitchDeg >= 0 ? "down" : "up"}, ${formatNumber(Math.abs(rollDeg), 1)}° ${rollDeg >= 0 ? "right" : "left"} side low`,
    `Tank: ${formatQuantity(tankC, "temperature", units)}, heater ${formatQuantity(heaterW, "power", units)}`,
    `Dump valve: ${isValveOpen ? "OPEN. Shut it, or ask who opened it." : "shut"}`,
  ];
}
