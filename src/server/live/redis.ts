// Where REDIS_URL is set, who is where goes from process to process by Redis, so that the database is not asked for what nobody keeps.
// What has to be kept in step with the database goes by its own notices. Where Redis does not answer, the database carries this too.
import "server-only";

const CHANNEL = "fastigo here";
const CONNECT_MS = 2_000;
/** Between two tries to come back, ms: longer each time. */
const backAfter = (tries: number) => Math.min(10_000, 250 * 2 ** Math.min(tries, 6));

type Client = Awaited<ReturnType<typeof open>>;

/** Its package is read where there is a Redis alone: a third of a second of each process and thread that begins. */
async function open(url: string) {
  const { createClient } = await import("redis");
  const client = createClient({
    url,
    // What cannot be told now is told in another way: nothing waits here.
    disableOfflineQueue: true,
    socket: { connectTimeout: CONNECT_MS, reconnectStrategy: backAfter },
  });
  let isDown = false;
  client.on("error", (error: unknown) => {
    // Said once each time it goes, not at every try to come back.
    if (!isDown)
      console.error(`Redis at ${hostOf(url)} does not answer:`, error instanceof Error ? error.message : error);
    isDown = true;
  });
  client.on("ready", () => {
    isDown = false;
  });
  client.connect().catch(() => {});
  return client;
}

const hostOf = (url: string) => {
  try {
    return new URL(url).host;
  } catch {
    return "REDIS_URL";
  }
};

const holder = globalThis as { fastigoRedis?: { url: string; client: Promise<Client> } };

/** Tells every process; false where Redis is not set, or does not answer now. */
export async function tellByRedis(payload: string): Promise<boolean> {
  const url = process.env.REDIS_URL;
  if (!url) return false;
  if (holder.fastigoRedis?.url !== url) {
    endRedis();
    holder.fastigoRedis = { url, client: open(url) };
  }
  try {
    const client = await holder.fastigoRedis!.client;
    if (!client.isReady) return false;
    await client.publish(CHANNEL, payload);
    return true;
  } catch {
    return false;
  }
}

/** Listens until it is ended; a connection that breaks is made anew. Null where Redis is not set. */
export function listenToRedis(take: (payload: string) => void): { end: () => void } | null {
  const url = process.env.REDIS_URL;
  if (!url) return null;
  const opened = open(url).then((client) => {
    // Subscribing waits for the connection, and is done again with each new one.
    client.once("ready", () => void client.subscribe(CHANNEL, take).catch(() => {}));
    return client;
  });
  return { end: () => void opened.then((client) => client.destroy()) };
}

/** Ends what tells, so that the process can. */
export function endRedis(): void {
  void holder.fastigoRedis?.client.then((client) => client.destroy());
  delete holder.fastigoRedis;
}
