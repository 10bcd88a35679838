import type { FetchedPicture } from "@/core/bring-in/bring-in";
import type { BroughtRow } from "@/core/bring-in/put-together";
import { askServer } from "@/ui/ask-server";
import type { UploadedMedia } from "@/ui/upload";

export interface Fetching {
  done: number;
  of: number;
}

/**
 * Has the server fetch the pictures that rows name, one after the other; each address once. What cannot be had is named with its
 * reason. Null when it is no longer wanted.
 */
export async function fetchPictures(
  timeline: string,
  rows: readonly BroughtRow[],
  say: (now: Fetching) => void,
  wanted: () => boolean,
): Promise<{ fetched: Map<string, FetchedPicture>; failed: { address: string; why: string }[] } | null> {
  const all = [...new Set(rows.flatMap((r) => r.pictures.map((p) => p.address)))];
  const fetched = new Map<string, FetchedPicture>();
  const failed: { address: string; why: string }[] = [];
  for (const [n, address] of all.entries()) {
    say({ done: n, of: all.length });
    const answer = await askServer<{ media: UploadedMedia; address: string; foundOn: string }>(
      "POST",
      `/api/timelines/${timeline}/pictures`,
      { address },
    );
    if (!wanted()) return null;
    if (!answer.ok) {
      failed.push({ address, why: answer.sentence });
      continue;
    }
    const { media, address: from, foundOn } = answer.value;
    fetched.set(address, { media: media.id, width: media.width, height: media.height, address: from, foundOn });
  }
  return { fetched, failed };
}
