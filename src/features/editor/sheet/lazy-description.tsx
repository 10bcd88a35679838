"use client";

import { lazy, Suspense } from "react";

/** Fetches the editor for formatted text, which is heavy; called early so that it is here when the network has gone. */
export const loadDescriptionField = () => import("./description-field");

const DescriptionField = lazy(loadDescriptionField);

/** The description field, with its room kept while it is being fetched. */
export function LazyDescription(props: { of: string; label: string; words: number }) {
  return (
    <Suspense fallback={<div className="h-[150px] rounded-md border border-line" />}>
      <DescriptionField {...props} />
    </Suspense>
  );
}
