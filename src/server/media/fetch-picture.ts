import "server-only";
import { lookup as resolve } from "node:dns/promises";
import http from "node:http";
import https from "node:https";
import ipaddr from "ipaddr.js";
import { cleanText } from "@/core/text/clean";
import { type Failure, fail, isFailure } from "../http/failure";
import { kindOf } from "./kinds";
import { MOST_PICTURE } from "./uploads";

const MOST_REDIRECTS = 5;
const TIME_MS = 15_000;

export interface FetchOptions {
  /** Hosts ("name:port") in a private network that may be fetched all the same: PRIVATE_PICTURE_HOSTS. */
  allowed?: readonly string[];
  timeMs?: number;
  mostBytes?: number;
}

export function allowedHosts(): string[] {
  return (process.env.PRIVATE_PICTURE_HOSTS ?? "")
    .split(",")
    .map((h) => h.trim())
    .filter(Boolean);
}

/**
 * Fetches a picture for somebody. Only public addresses are asked, also after redirects, and the very address that was
 * checked is the one connected to. Endless and huge answers are cut off.
 */
export async function fetchPicture(
  address: string,
  options: FetchOptions = {},
): Promise<Failure | { bytes: Buffer; name: string }> {
  const deadline = Date.now() + (options.timeMs ?? TIME_MS);
  let url = parseAddress(address);
  for (let hop = 0; url && hop <= MOST_REDIRECTS; hop++) {
    const answer = await ask(url, deadline, options);
    if (isFailure(answer)) return answer;
    if ("redirect" in answer) {
      url = parseAddress(answer.redirect, url);
      continue;
    }
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

function parseAddress(text: string, base?: URL): URL | null {
  try {
    const url = new URL(text.trim(), base);
    return url.protocol === "http:" || url.protocol === "https:" ? url : null;
  } catch {
    return null;
  }
}

/** Whether an address of the internet protocol belongs to the public internet. */
export function isPublicAddress(text: string): boolean {
  try {
    const address = ipaddr.process(text);
    // ::127.0.0.1 and the like, an old way of writing IPv4 in IPv6 (RFC 4291, 2.5.5.1), leads where the IPv4 address does.
    if (address.kind() === "ipv6" && (address as ipaddr.IPv6).parts.slice(0, 6).every((p) => p === 0)) return false;
    return address.range() === "unicast";
  } catch {
    return false;
  }
}

async function publicAddressOf(
  url: URL,
  options: FetchOptions,
): Promise<Failure | { address: string; family: number }> {
  const host = url.hostname.replace(/^\[|\]$/g, "");
  let found: { address: string; family: number }[];
  try {
    found = await resolve(host, { all: true });
  } catch {
    return fail("address_unreachable");
  }
  const port = url.port || (url.protocol === "https:" ? "443" : "80");
  if (!options.allowed?.includes(`${host}:${port}`) && !found.every((f) => isPublicAddress(f.address)))
    return fail("address_private");
  return found[0] ?? fail("address_unreachable");
}

async function ask(
  url: URL,
  deadline: number,
  options: FetchOptions,
): Promise<Failure | { redirect: string } | { bytes: Buffer }> {
  const target = await publicAddressOf(url, options);
  if (isFailure(target)) return target;
  const most = options.mostBytes ?? MOST_PICTURE;
  return new Promise((done) => {
    const give = (value: Failure | { redirect: string } | { bytes: Buffer }) => {
      clearTimeout(timer);
      request.destroy();
      done(value);
    };
    const timer = setTimeout(() => give(fail("address_slow")), Math.max(1, deadline - Date.now()));
    const request = (url.protocol === "https:" ? https : http).get(
      url,
      {
        // Connects to the address that was checked, whatever the name resolves to a moment later.
        lookup: (_name, opts, callback) =>
          opts.all
            ? (callback as unknown as (e: null, a: object[]) => void)(null, [target])
            : callback(null, target.address, target.family),
        headers: { "User-Agent": "Fastigo", Accept: "image/*" },
        agent: false,
      },
      (response) => {
        const status = response.statusCode ?? 0;
        if (status >= 300 && status < 400 && response.headers.location)
          return give({ redirect: response.headers.location });
        if (status !== 200) return give(fail("address_unreachable", `It answered with status ${status}.`));
        if (Number(response.headers["content-length"] ?? 0) > most) return give(fail("address_large"));
        const parts: Buffer[] = [];
        let size = 0;
        response.on("data", (part: Buffer) => {
          size += part.length;
          if (size > most) return give(fail("address_large"));
          parts.push(part);
        });
        response.on("end", () => give({ bytes: Buffer.concat(parts) }));
        response.on("error", () => give(fail("address_unreachable")));
      },
    );
    request.on("error", () => give(fail("address_unreachable")));
  });
}
