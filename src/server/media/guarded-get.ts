import "server-only";
import { lookup } from "node:dns/promises";
import http from "node:http";
import https from "node:https";
import ipaddr from "ipaddr.js";
import { urlOf } from "@/core/outside/players";
import { type Failure, fail, isFailure } from "../http/failure";

export interface GuardOptions {
  /** Hosts ("name:port") in a private network that may be asked all the same: PRIVATE_PICTURE_HOSTS. */
  allowed?: readonly string[] | undefined;
  /** Of the content; 0: only whether it answers. */
  mostBytes: number;
  /** Media types, as HTTP writes them. */
  accept: string;
  /** Takes a large content part by part instead of holding it, up to as many bytes. */
  stream?: Stream | undefined;
  /** Ends it before an answer, as if there were none. */
  signal?: AbortSignal | undefined;
  /** The addresses of a name; left out: those the machine knows. */
  resolve?: ((host: string) => Promise<{ address: string; family: number }[]>) | undefined;
}
export interface Stream {
  /** Whether content of this media type is taken so. */
  takes: (type: string) => boolean;
  mostBytes: number;
  write: (part: Buffer) => Promise<void>;
}
/** Where it leads; or its status with the content, which is empty unless the status is 200. */
export type GuardedAnswer = { redirect: string } | { status: number; bytes: Buffer; type: string };

export function allowedHosts(): string[] {
  const standIn = process.env.STAND_IN_PLAYER ? [new URL(process.env.STAND_IN_PLAYER).host] : [];
  return (process.env.PRIVATE_PICTURE_HOSTS ?? "")
    .split(",")
    .map((h) => h.trim())
    .filter(Boolean)
    .concat(standIn);
}

/** An address of the web, or null. */
export const parseAddress = (text: string, base?: URL): URL | null => urlOf(text, base?.href);

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
  options: GuardOptions,
): Promise<Failure | { address: string; family: number }> {
  const host = url.hostname.replace(/^\[|\]$/g, "");
  let found: { address: string; family: number }[];
  try {
    found = await (options.resolve?.(host) ?? lookup(host, { all: true }));
  } catch {
    return fail("address_unreachable");
  }
  const port = url.port || (url.protocol === "https:" ? "443" : "80");
  if (!options.allowed?.includes(`${host}:${port}`) && !found.every((f) => isPublicAddress(f.address)))
    return fail("address_private");
  return found[0] ?? fail("address_unreachable");
}

/** A name that nobody resolves is as slow as an address that does not answer. */
async function inTime<T>(work: Promise<T>, deadline: number): Promise<T | Failure> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<Failure>((done) => {
    timer = setTimeout(() => done(fail("address_slow")), Math.max(1, deadline - Date.now()));
  });
  try {
    return await Promise.race([work, late]);
  } finally {
    clearTimeout(timer);
  }
}

/**
 * Asks one address, and follows nothing. Only public addresses are asked, and the very address that was checked is the one
 * connected to. Endless and huge answers are cut off. Failures: `address_unreachable`, `address_private`, `address_slow` (after
 * the deadline, ms since 1970), `address_large`.
 */
export async function guardedGet(url: URL, deadline: number, options: GuardOptions): Promise<Failure | GuardedAnswer> {
  const target = await inTime(publicAddressOf(url, options), deadline);
  if (isFailure(target)) return target;
  return new Promise((done, broken) => {
    let fault: unknown = null;
    const ours = (error: unknown) => {
      fault = error;
      request.destroy();
      throw error;
    };
    const give = (value: Failure | GuardedAnswer) => {
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
        headers: { "User-Agent": "Fastigo", Accept: options.accept },
        agent: false,
      },
      (response) => {
        const status = response.statusCode ?? 0;
        if (status >= 300 && status < 400 && response.headers.location)
          return give({ redirect: response.headers.location });
        if (status !== 200 || options.mostBytes === 0) return give({ status, bytes: Buffer.alloc(0), type: "" });
        const type = response.headers["content-type"] ?? "";
        const stream = options.stream?.takes(type) ? options.stream : null;
        const most = stream?.mostBytes ?? options.mostBytes;
        if (Number(response.headers["content-length"] ?? 0) > most) return give(fail("address_large"));
        const parts: Buffer[] = [];
        const take = async () => {
          let size = 0;
          for await (const part of response as AsyncIterable<Buffer>) {
            size += part.length;
            if (size > most) return give(fail("address_large"));
            if (stream) await stream.write(part).catch(ours);
            else parts.push(part);
          }
          give({ status, bytes: Buffer.concat(parts), type });
        };
        // What breaks on its way here is no answer; what breaks while it is stored is a fault of ours.
        take().catch(() => (fault === null ? give(fail("address_unreachable")) : broken(fault)));
      },
    );
    request.on("error", () => give(fail("address_unreachable")));
    options.signal?.addEventListener("abort", () => give(fail("address_unreachable")), { once: true });
  });
}
