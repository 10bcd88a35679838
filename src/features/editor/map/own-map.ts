"use client";

import { useMemo } from "react";
import { fitMap, type MapFit } from "@/core/places/own-map";
import { type Item, itemsOf } from "@/core/timeline/timeline";
import { useEditor, useEditorState } from "../store/editor-context";

/** The picture that is the map of the timeline. */
export interface OwnMap {
  item: Item;
  url: string;
  /** Its width by its height. */
  proportion: number;
}

/** The map of one's own, if there is one, and how it lies on the earth, if that was said. */
export function useOwnMap(): { map: OwnMap | null; fit: MapFit | null } {
  const { store } = useEditor();
  const items = useEditorState((s) => s.timeline.items);
  const ties = useEditorState((s) => s.timeline.mapTies);
  return useMemo(() => {
    const item = itemsOf({ items }, "timeline", "map")[0];
    if (!item?.media) return { map: null, fit: null };
    const proportion = item.width && item.height ? item.width / item.height : 1.5;
    const url = `/api/timelines/${store.timelineId}/media/${item.media}/large`;
    return { map: { item, url, proportion }, fit: fitMap(ties, proportion) };
  }, [items, ties, store.timelineId]);
}
