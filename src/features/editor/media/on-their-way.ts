"use client";

import { useSyncExternalStore } from "react";
import { useEditor } from "../store/editor-context";
import type { OnItsWay, UploadQueue } from "../store/upload-queue";

const NOTHING: readonly OnItsWay[] = [];
const never = () => () => {};

/** The files on their way into this timeline, and those that did not get through. */
export function useOnTheirWay(): readonly OnItsWay[] {
  const { uploads } = useEditor();
  const list = uploads?.getList ?? (() => NOTHING);
  return useSyncExternalStore(uploads?.subscribe ?? never, list, list);
}

const isMedia = (file: File) => /^(image|video|audio)\//.test(file.type) || /\.(heic|heif)$/i.test(file.name);

/** Takes the pictures, videos and sounds among dropped files for an event; false where there are none. */
export function dropMedia(uploads: UploadQueue, of: string, files: Iterable<File>): boolean {
  const media = [...files].filter(isMedia);
  if (media.length > 0) uploads.add(of, media);
  return media.length > 0;
}
