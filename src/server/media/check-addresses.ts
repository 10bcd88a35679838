import "server-only";
import { safeAddress } from "@/core/text/description";
import { db } from "../db/pool";
import { isFailure } from "../http/failure";
import { allowedHosts, guardedGet, parseAddress } from "./guarded-get";

/** What an address came to: it answers; there is nothing any more; it shows nothing to us; no answer; it is not a public one. */
export type AddressState = "answers" | "gone" | "refuses" | "silent" | "private";

export interface AddressCheck {
  address: string;
  /** Null: never asked. */
  state: AddressState | null;
  /** The HTTP status it answered with, if it answered. */
  status: number | null;
  at: string | null;
}

const MOST_REDIRECTS = 5;
const TIME_MS = 15_000;
/** Between two requests to one host. */
const PAUSE_MS = 1_000;
const HOSTS_AT_ONCE = 4;
/** What is published is asked again after so long, and so many of it at a time. */
const AGAIN_DAYS = 30;
const AT_A_TIME = 300;

/** Every web address that a timeline's pictures, sources and links name, with what it came to when it was asked last. */
export async function addressesOf(timeline: string): Promise<AddressCheck[]> {
  const rows = await db()<{ address: string; state: AddressState | null; status: number | null; at: Date | null }[]>`
    select distinct i.address, c.state, c.status, c.checked_at as at
    from (select timeline_id, address, deleted from item union all select timeline_id, address, deleted from source) i
    left join address_check c on c.address = i.address
    where i.timeline_id = ${timeline} and not i.deleted and i.address <> '' order by i.address`;
  return rows
    .filter((r) => isWeb(r.address))
    .map((r) => ({ address: r.address, state: r.state, status: r.status, at: r.at?.toISOString() ?? null }));
}

/** Addresses of what is published that nobody has asked for a while. */
export async function dueAddresses(): Promise<string[]> {
  const rows = await db()<{ address: string }[]>`
    select distinct i.address
    from (select timeline_id, address, deleted from item union all select timeline_id, address, deleted from source) i
    join publication p on p.timeline_id = i.timeline_id and p.taken_back_at is null
    join timeline t on t.id = p.timeline_id and t.deleted_at is null
    where not i.deleted and i.address <> '' and not exists (
      select from address_check c where c.address = i.address and c.checked_at > now() - make_interval(days => ${AGAIN_DAYS}))
    limit ${AT_A_TIME}`;
  return rows.map((r) => r.address).filter(isWeb);
}

/** As a reader's browser would take it: completed where its https:// is missing. Null for mail and what is no address. */
const webAddress = (address: string) => parseAddress(safeAddress(address) ?? "");
const isWeb = (address: string) => webAddress(address) !== null;

interface Asking {
  signal: AbortSignal;
  /** What was asked since is left alone. */
  since: Date;
  report: (done: number, total: number) => Promise<void>;
  pauseMs?: number;
}

/** Asks addresses, politely: a host one request a second, few hosts at once. Each answer is stored when it comes. */
export async function checkAddresses(addresses: readonly string[], asking: Asking): Promise<void> {
  const known = await db()<{ address: string }[]>`
    select address from address_check where address = any(${[...addresses]}) and checked_at >= ${asking.since}`;
  const asked = new Set(known.map((k) => k.address));
  const hosts = new Map<string, string[]>();
  for (const a of addresses) {
    if (asked.has(a)) continue;
    const host = webAddress(a)?.host ?? "";
    hosts.set(host, [...(hosts.get(host) ?? []), a]);
  }
  let done = addresses.length - [...hosts.values()].reduce((n, list) => n + list.length, 0);
  await asking.report(done, addresses.length);
  const queue = [...hosts.values()];
  const oneHost = async () => {
    for (let list = queue.shift(); list; list = queue.shift())
      for (const [n, address] of list.entries()) {
        if (n > 0) await pause(asking.pauseMs ?? PAUSE_MS, asking.signal);
        if (asking.signal.aborted) return;
        const { state, status } = await askAddress(address, asking.signal);
        if (asking.signal.aborted) return; // what broke off is no answer
        await db()`
          insert into address_check (address, state, status) values (${address}, ${state}, ${status})
          on conflict (address) do update set state = excluded.state, status = excluded.status, checked_at = now()`;
        await asking.report(++done, addresses.length);
      }
  };
  await Promise.all(Array.from({ length: HOSTS_AT_ONCE }, oneHost));
}

function pause(ms: number, signal: AbortSignal): Promise<void> {
  return new Promise((resolve) => {
    const end = () => {
      clearTimeout(timer);
      signal.removeEventListener("abort", end);
      resolve();
    };
    const timer = setTimeout(end, ms);
    signal.addEventListener("abort", end);
    if (signal.aborted) end();
  });
}

/** What an address comes to, also over what it leads to. Status 404 and 410 say that nothing is there (RFC 9110, 15.5). */
export async function askAddress(
  address: string,
  signal?: AbortSignal,
): Promise<{ state: AddressState; status: number | null }> {
  const deadline = Date.now() + TIME_MS;
  let url = webAddress(address);
  for (let hop = 0; url && hop <= MOST_REDIRECTS; hop++) {
    const answer = await guardedGet(url, deadline, { allowed: allowedHosts(), mostBytes: 0, accept: "*/*", signal });
    if (isFailure(answer)) return { state: answer.failed === "address_private" ? "private" : "silent", status: null };
    if ("redirect" in answer) {
      url = parseAddress(answer.redirect, url);
      continue;
    }
    const { status } = answer;
    return { state: status < 400 ? "answers" : status === 404 || status === 410 ? "gone" : "refuses", status };
  }
  return { state: "refuses", status: null };
}
