"use client";
import { useEffect } from "react";
import { registerOffline } from "./registerOffline";

/** Keeps the page for the days without a network. */
export function Offline() {
  useEffect(registerOffline, []);
  return null;
}
