import "server-only";
import { cleanText } from "@/core/text/clean";
import { type Failure, fail, isFailure } from "../http/failure";
import { guardedGet, parseAddress } from "./guarded-get";
import { kindOf } from "./kinds";
import { MOST_PICTURE } from "./uploads";

const MOST_REDIRECTS = 5;
const TIME_MS = 15_000;

export interface FetchOptions {
  allowed?: readonly string[];
  timeMs?: number;
  mostBytes?: number;
}

/** Fetches a picture for somebody. Each address on the way is looked at anew. */
export async function fetchPicture(
  address: string,
  options: FetchOptions = {},
): Promise<Failure | { bytes: Buffer; name: string }> {
  const deadline = Date.now() + (options.timeMs ?? TIME_MS);
  let url = parseAddress(address);
  for (let hop = 0; url && hop <= MOST_REDIRECTS; hop++) {
    const answer = await guardedGet(url, deadline, {
      allowed: options.allowed,
      mostBytes: options.mostBytes ?? MOST_PICTURE,
      accept: "image/*",
    });
    if (isFailure(answer)) return answer;
    if ("redirect" in answer) {
      url = parseAddress(answer.redirect, url);
      continue;
    }
    if (answer.status !== 200) return fail("address_unreachable", `It answered with status ${answer.status}.`);
    const kind = await kindOf(answer.bytes);
    if (kind?.kind !== "picture") return fail("address_no_picture");
    return { bytes: answer.bytes, name: nameIn(url) || url.hostname };
  }
  return fail(url ? "address_unreachable" : "address_malformed");
}

/** The file's name in an address; as it stands where it cannot be decoded. */
function nameIn(url: URL): string {
  const last = url.pathname.split("/").at(-1) ?? "";
  try {
    return cleanText(decodeURIComponent(last));
  } catch {
    return last;
  }
}
