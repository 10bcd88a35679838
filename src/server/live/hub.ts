import "server-only";
import type { HereMessage } from "@/core/presence/present";
import { openOnes } from "../accounts/sessions";
import { workFor } from "../classes/reach";
import { db } from "../db/pool";
import { editableBy, visitedBy } from "../timelines/access";
import { Ears } from "./ears";
import { endRedis, listenToRedis } from "./redis";

type Notice =
  | { kind: "changed"; timeline: string; seq: number }
  /** Submitted, marked or returned. */
  | { kind: "work"; timeline: string }
  /** What a person may edit has changed. */
  | { kind: "rights"; account: string }
  /** Something was said about it, or altered of what was. */
  | { kind: "comments"; timeline: string }
  /** Somebody is somewhere in it; never stored. */
  | ({ kind: "here"; timeline: string } & HereMessage)
  | { kind: "signed_out"; session: string };

interface Client {
  account: string;
  session: string;
  /** What they hear of, and whether they edit it. */
  timelines: Map<string, boolean>;
  controller: ReadableStreamDefaultController<Uint8Array>;
}

interface Hub {
  clients: Set<Client>;
  ears: Ears | null;
  redis: { end: () => void } | null;
  ping: ReturnType<typeof setInterval> | null;
  /** The server is about to stop: browsers that come back at once would keep it from stopping. */
  ending: boolean;
}

const holder = globalThis as { fastigoHub?: Hub };
const hub: Hub = (holder.fastigoHub ??= { clients: new Set(), ears: null, redis: null, ping: null, ending: false });
const encoder = new TextEncoder();
/** A client that has let this much wait does not read any more. */
const MOST_WAITING = 64_000;

/**
 * Opens the event stream of one browser: which timelines of theirs have changed, and which right was lost. The
 * contents are fetched by the catch-up route, so that nothing missed here is lost. Null while the server is stopping.
 */
export async function openStream(account: string, session: string): Promise<ReadableStream<Uint8Array> | null> {
  if (hub.ending) return null;
  const take = (payload: string) => void deliver(JSON.parse(payload) as Notice).catch(console.error);
  hub.redis ??= listenToRedis(take);
  hub.ears ??= new Ears(
    process.env.DATABASE_URL!,
    take,
    // While nothing is heard, browsers ask by themselves, slowly; afterwards they ask for what they missed.
    (hearing) => {
      for (const c of hub.clients) {
        send(c, { kind: "hearing", hearing });
        if (hearing) send(c, { kind: "catch_up" });
      }
      if (hearing) void endClosed().catch(console.error);
    },
  );
  hub.ping ??= setInterval(() => {
    for (const c of hub.clients) write(c, ": still here\n\n");
  }, 20_000);
  hub.ping.unref?.();
  const timelines = await heard(account);
  let client: Client;
  const stream = new ReadableStream<Uint8Array>(
    {
      start(controller) {
        client = { account, session, timelines, controller };
        hub.clients.add(client);
        send(client, { kind: "hearing", hearing: hub.ears?.hearing ?? false });
        send(client, { kind: "catch_up" });
      },
      cancel() {
        hub.clients.delete(client);
      },
    },
    new ByteLengthQueuingStrategy({ highWaterMark: MOST_WAITING }),
  );
  try {
    await endClosed(session);
  } catch (error) {
    // Nobody will read it.
    await stream.cancel();
    throw error;
  }
  return stream;
}

/**
 * Ends the streams of sessions that were closed while nobody heard of it: before their stream stood among the others, or while the
 * database could not be listened to. `session`: only its own.
 */
async function endClosed(session?: string): Promise<void> {
  const asked = [...hub.clients].filter((c) => session === undefined || c.session === session);
  const open = await openOnes([...new Set(asked.map((c) => c.session))]);
  for (const c of asked) if (!open.has(c.session)) end(c);
}

function end(c: Client): void {
  send(c, { kind: "signed_out" });
  drop(c);
}

/** Ends every stream, so that the server can stop. */
export function closeAllStreams(): void {
  hub.ending = true;
  for (const c of hub.clients) drop(c);
  hub.ears?.end();
  hub.ears = null;
  hub.redis?.end();
  hub.redis = null;
  endRedis();
  if (hub.ping) clearInterval(hub.ping);
  hub.ping = null;
}

async function deliver(notice: Notice): Promise<void> {
  switch (notice.kind) {
    case "changed":
    case "work":
    case "comments":
    case "here":
      for (const c of hub.clients) if (c.timelines.has(notice.timeline)) send(c, notice);
      return;
    case "rights": {
      const theirs = [...hub.clients].filter((c) => c.account === notice.account);
      if (theirs.length === 0) return;
      const now = await heard(notice.account);
      for (const c of theirs) {
        for (const [id, edits] of c.timelines)
          if (!now.has(id) || (edits && !now.get(id))) send(c, { kind: "right_lost", timeline: id });
        c.timelines = now;
        // What happened while the new rights were being looked up is asked for.
        send(c, { kind: "catch_up" });
      }
      return;
    }
    case "signed_out":
      for (const c of hub.clients) if (c.session === notice.session) end(c);
  }
}

/** What a person hears of: what they may edit, what they read as a guest, and as a teacher the work for their classes. */
async function heard(account: string): Promise<Map<string, boolean>> {
  const looked = [...(await visitedBy(db(), account)), ...(await workFor(db(), account))];
  const edited = await editableBy(db(), account);
  return new Map([...looked.map((id) => [id, false] as const), ...edited.map((id) => [id, true] as const)]);
}

function send(c: Client, message: object): void {
  write(c, `data: ${JSON.stringify(message)}\n\n`);
}

function write(c: Client, text: string): void {
  if ((c.controller.desiredSize ?? 0) <= 0) {
    drop(c);
    return;
  }
  try {
    c.controller.enqueue(encoder.encode(text));
  } catch {
    hub.clients.delete(c);
  }
}

function drop(c: Client): void {
  hub.clients.delete(c);
  try {
    c.controller.close();
  } catch {
    // closed already by the browser
  }
}
