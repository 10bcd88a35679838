"use client";

import { late } from "../late";

/** The description field, which is heavy: fetched early, so that it is here when the network has gone, with its room kept meanwhile. */
export const LazyDescription = late<{ of: string; label: string; words: number }>(
  () => import("./description-field").then((m) => m.default),
  <div className="h-[150px] rounded-md border border-line" />,
);
