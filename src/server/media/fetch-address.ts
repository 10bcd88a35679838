import "server-only";
import { DETAILS } from "@/core/words/notices";
import { type Failure, fail, isFailure } from "../http/failure";
import { type GuardOptions, guardedGet, parseAddress } from "./guarded-get";

const MOST_REDIRECTS = 5;
const TIME_MS = 15_000;

export interface FetchOptions {
  allowed?: readonly string[];
  timeMs?: number;
  mostBytes?: number;
}

/** Fetches what is at an address for somebody, following where it leads. Each address on the way is looked at anew. */
export async function fetchAddress(
  address: string,
  { timeMs = TIME_MS, ...guard }: GuardOptions & { timeMs?: number | undefined },
): Promise<Failure | { bytes: Buffer; url: URL; type: string }> {
  const deadline = Date.now() + timeMs;
  let url = parseAddress(address);
  for (let hop = 0; url && hop <= MOST_REDIRECTS; hop++) {
    const answer = await guardedGet(url, deadline, guard);
    if (isFailure(answer)) return answer;
    if ("redirect" in answer) {
      url = parseAddress(answer.redirect, url);
      continue;
    }
    if (answer.status !== 200) return fail("address_unreachable", DETAILS.answeredWith(answer.status));
    return { bytes: answer.bytes, url, type: answer.type };
  }
  return fail(url ? "address_unreachable" : "address_malformed");
}
