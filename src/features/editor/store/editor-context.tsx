"use client";

import { createContext, useContext, useSyncExternalStore } from "react";
import type { TimelineStore } from "./timeline-store";
import type { EditorState } from "./editor-state";
import type { UploadQueue } from "./upload-queue";

export interface EditorTools {
  store: TimelineStore;
  /** Files on their way into the timeline; null where it is on no server. */
  uploads: UploadQueue | null;
  /** Whether this person may use camera and microphone: a class may forbid it. */
  mayRecord: boolean;
  /** Whether it is on no server only until the network is back. */
  waits: boolean;
  /** Selects an event everywhere; `open` shows its sheet too. */
  select: (id: string | null, open?: boolean) => void;
  /** Opens an event that was just made by a tap; left without a word it goes again. */
  begin: (id: string) => void;
  /** Opens the screen that brings a table or a list in; with a file, what stands in it. */
  bringIn: (file?: File) => void;
}

export const EditorContext = createContext<EditorTools | null>(null);

export function useEditor(): EditorTools {
  const tools = useContext(EditorContext);
  if (!tools) throw new Error("useEditor is for components within the editor");
  return tools;
}

export function useEditorState<T>(pick: (s: EditorState) => T): T {
  const { store } = useEditor();
  return useSyncExternalStore(
    store.subscribe,
    () => pick(store.getState()),
    () => pick(store.getState()),
  );
}
