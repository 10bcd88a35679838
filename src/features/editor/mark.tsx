"use client";

import { styleOf } from "@/core/looks/style";
import type { Pattern } from "@/core/timeline/looks";
import { CategoryMark } from "@/ui/category-mark";
import { useEditorState } from "./store/editor-context";

/** A category's mark as the chart of this timeline has it. */
export function Mark(props: { colour: string | null; pattern: Pattern; width?: number }) {
  const style = useEditorState((s) => styleOf(s.timeline));
  return <CategoryMark {...props} style={style} />;
}
