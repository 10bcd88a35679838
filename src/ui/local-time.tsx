"use client";

import { locale } from "@/core/language/spoken";
import { useReady } from "./use-ready";

/** A time in the reader's own zone, once the page works; the server does not know the zone and shows UTC until then. */
export function LocalTime({ at, day }: { at: string; day?: boolean }) {
  const ready = useReady();
  const text = new Date(at).toLocaleString(locale(), {
    weekday: "short",
    day: "numeric",
    month: "short",
    ...(day ? {} : { hour: "2-digit", minute: "2-digit" }),
    ...(ready ? {} : { timeZone: "UTC" }),
  });
  return <time dateTime={at}>{text}</time>;
}
