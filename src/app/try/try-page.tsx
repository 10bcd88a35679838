"use client";

import { TryEditor } from "@/features/editor/local/try-editor";
import { printHere } from "./print-here";

/** The editor without an account, with what prints a timeline that is on no server. */
export function TryHere({ waits = false }: { waits?: boolean }) {
  return <TryEditor print={printHere} waits={waits} />;
}
