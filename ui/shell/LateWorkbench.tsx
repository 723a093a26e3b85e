"use client";
import dynamic from "next/dynamic";

/** The application, fetched only when it is shown: what stands on every page as a way out must not weigh on them. */
export const LateWorkbench = dynamic(() => import("./Workbench").then((module) => module.Workbench), { ssr: false });
