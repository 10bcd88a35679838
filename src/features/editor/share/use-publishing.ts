"use client";

import { useState } from "react";
import { ownZone } from "@/ui/own-zone";
import { askServer } from "@/ui/ask-server";
import { useEditor, useEditorState } from "../store/editor-context";
import type { Publication } from "../store/ports";

/** What is said to the server about who sees the page, and how; what is missing stays as it is. */
export interface Said {
  visibility: Publication["visibility"];
  class?: string;
  school?: string;
  password?: string;
  opensAt?: string | null;
  closesAt?: string | null;
  copies?: boolean;
  embedSites?: string[];
}

/** Whether the one who works here owns the timeline. */
export function useOwner(): boolean {
  const { store } = useEditor();
  return useEditorState((s) => s.editors).find((e) => e.id === store.account)?.role === "owner";
}

/** Publishing: sends what is said, keeps what comes of it in the store, and says what went wrong. */
export function usePublishing() {
  const { store } = useEditor();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const path = `/api/timelines/${store.timelineId}/publication`;
  const run = async (method: "PUT" | "DELETE", at: string, body?: object): Promise<boolean> => {
    setBusy(true);
    const answer = await askServer<{ publication: Publication | null }>(method, at, body);
    setBusy(false);
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) store.setPublication(answer.value.publication);
    return answer.ok;
  };
  return {
    busy,
    problem,
    path,
    publish: (said: Said, fresh: boolean) => run("PUT", path, { ...said, fresh, zone: ownZone() }),
    takeBack: () => run("DELETE", path),
    chooseWord: (word: string) => run("PUT", `${path}/word`, { word }),
  };
}

const NOTHING = { classes: [], schools: [] };

/** What is said of who sees it where that stays as it is. */
export function asItIs(
  p: Publication,
  { classes, schools }: { classes: readonly { id: string }[]; schools: readonly { id: string }[] } = NOTHING,
): Said {
  const own = p.visibility === "class" && p.classId && classes.some((c) => c.id === p.classId);
  const ownSchool = p.visibility === "school" && p.organisationId && schools.some((s) => s.id === p.organisationId);
  return {
    visibility: p.visibility,
    ...(own ? { class: p.classId! } : {}),
    ...(ownSchool ? { school: p.organisationId! } : {}),
  };
}
