import "server-only";
import { kindOf } from "@/core/bring-in/files/endings";
import { MOST_PACKED } from "@/core/bring-in/files/limits";
import { type Failure, fail, isFailure } from "../http/failure";
import { type FetchOptions, fetchAddress } from "./fetch-address";
import { nameIn } from "./fetch-picture";

/** Endings for what a server says it sends, where the address has none. */
const ENDINGS: readonly [RegExp, string][] = [
  [/^text\/csv\b/, ".csv"],
  [/^text\/tab-separated-values\b/, ".tsv"],
  [/^(text\/html|application\/xhtml\+xml)\b/, ".html"],
  [/^text\/markdown\b/, ".md"],
  [/^text\/calendar\b/, ".ics"],
  [/^application\/(geo\+)?json\b/, ".json"],
  [/^application\/vnd\.openxmlformats-officedocument\.spreadsheetml\.sheet\b/, ".xlsx"],
  [/^application\/vnd\.oasis\.opendocument\.spreadsheet\b/, ".ods"],
  [/^text\/plain\b/, ".txt"],
];
const ACCEPT = "text/csv, text/html;q=0.9, application/json;q=0.9, */*;q=0.5";

/** Fetches a file that may hold a table for somebody: its bytes, and a name with an ending that says what it is. Nothing of it is read here. */
export async function fetchTable(
  address: string,
  { allowed, timeMs, mostBytes = MOST_PACKED }: FetchOptions = {},
): Promise<Failure | { bytes: Buffer; name: string }> {
  const found = await fetchAddress(address, { allowed, timeMs, mostBytes, accept: ACCEPT });
  if (isFailure(found)) return found;
  const own = nameIn(found.url);
  if (kindOf(own)) return { bytes: found.bytes, name: own };
  const ending = ENDINGS.find(([type]) => type.test(found.type.toLowerCase()))?.[1];
  return ending ? { bytes: found.bytes, name: `${own || found.url.hostname}${ending}` } : fail("address_no_table");
}
