"use client";
import dynamic from "next/dynamic";

/** The order of the building is not fetched with every station at which a hole is drawn. */
export const LateStepHold = dynamic(() => import("./StepHold").then((module) => module.StepHold), { ssr: false });
