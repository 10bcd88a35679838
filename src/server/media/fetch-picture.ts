import "server-only";
import { cleanText } from "@/core/text/clean";
import { type Failure, fail, isFailure } from "../http/failure";
import { type FetchOptions, fetchAddress } from "./fetch-address";
import { kindOf } from "./kinds";
import { MOST_PICTURE } from "./room";

/** Fetches a picture for somebody. */
export async function fetchPicture(
  address: string,
  { allowed, timeMs, mostBytes = MOST_PICTURE }: FetchOptions = {},
): Promise<Failure | { bytes: Buffer; name: string }> {
  const found = await fetchAddress(address, { allowed, timeMs, mostBytes, accept: "image/*" });
  if (isFailure(found)) return found;
  const kind = await kindOf(found.bytes);
  if (kind === "unread") return fail("picture_unread");
  if (kind?.kind !== "picture") return fail("address_no_picture");
  return { bytes: found.bytes, name: nameIn(found.url) || found.url.hostname };
}

/** The file's name in an address; as it stands where it cannot be decoded. */
export function nameIn(url: URL): string {
  const last = url.pathname.split("/").at(-1) ?? "";
  try {
    return cleanText(decodeURIComponent(last));
  } catch {
    return last;
  }
}
