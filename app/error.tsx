"use client";
export { PageError as default } from "@/ui/shell/PageError";
