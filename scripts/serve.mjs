// Serves the built application: node scripts/serve.mjs HOST PORT. Looks at every request before Next does: methods, the
// address, and from where it really comes. WEB=2 and more: so many processes behind the one port.
import cluster from "node:cluster";
import { createServer } from "node:http";
import { join } from "node:path";
import next from "next";
import { ROOT } from "./lib/machine.mjs";
import { givePacked, readFonts, readPacked } from "./lib/packed.mjs";
import { say } from "./lib/say.mjs";

/** More than that share one PostgreSQL badly. */
const MOST_PROCESSES = 8;
const WEB = Math.min(MOST_PROCESSES, Math.max(1, Math.floor(Number(process.env.WEB ?? 1)) || 1));
const BEAT_MS = 5_000;
/** A process that has not beaten for so long hangs. */
const HANGS_MS = 30_000;
const AGAIN_MS = 500;

const [host = "127.0.0.1", port = "3000"] = process.argv.slice(2);
const METHODS = new Set(["GET", "HEAD", "POST", "PUT", "PATCH", "DELETE", "OPTIONS"]);
const READING = new Set(["GET", "HEAD", "OPTIONS"]);
const LONGEST_ADDRESS = 4_000;
/** What readers' pages load, and what the interface says in other languages. */
const PUBLIC = ["reader", "words"];
/** A request that has not arrived after so long never will; pieces of files take their time on slow lines. */
const REQUEST_MS = 120_000;

function refuse(response, status, failed, sentence) {
  response.writeHead(status, {
    "Content-Type": "application/json",
    "Cache-Control": "no-store",
    "X-Content-Type-Options": "nosniff",
    Connection: "close",
  });
  response.end(JSON.stringify({ failed, sentence }));
}

/** Whether every part of an address can be decoded and holds no control characters. */
function isAddress(address) {
  if (address.length > LONGEST_ADDRESS) return false;
  try {
    return !/\p{Cc}/u.test(decodeURIComponent(address.replaceAll("+", " ")));
  } catch {
    return false;
  }
}

/** From where a request comes: the connection, or what a proxy that is trusted says last. */
function comesFrom(request) {
  const said = process.env.TRUSTED_PROXY === "1" ? request.headers["x-forwarded-for"] : undefined;
  return (
    String(said ?? "")
      .split(",")
      .at(-1)
      .trim() ||
    request.socket.remoteAddress ||
    "unknown"
  );
}

// Each takes its connections from the system by itself: one that was handed to a process by the first one and had not arrived there when that
// was killed would be answered by nobody, for ever.
cluster.schedulingPolicy = cluster.SCHED_NONE;

/** Keeps the processes going: each shares nothing with the others but the database, so that any may end at any time. */
function tend() {
  let ending = false;
  const beats = new Map();
  const begin = () => {
    const worker = cluster.fork();
    beats.set(worker, Date.now());
    worker.on("message", () => beats.set(worker, Date.now()));
    worker.once("exit", (code, signal) => {
      beats.delete(worker);
      if (ending) {
        if (beats.size === 0) process.exit(0);
        return;
      }
      say(
        `One of ${WEB} processes ${signal ? `was ended by ${signal}` : `ended with status ${code}`}; another takes its place.`,
      );
      setTimeout(begin, AGAIN_MS);
    });
  };
  for (let i = 0; i < WEB; i++) begin();
  setInterval(() => {
    for (const [worker, at] of beats) if (Date.now() - at > HANGS_MS) worker.process.kill("SIGKILL");
  }, BEAT_MS).unref();
  for (const signal of ["SIGTERM", "SIGINT"])
    process.on(signal, () => {
      ending = true;
      for (const worker of beats.keys()) worker.process.kill("SIGTERM");
      setTimeout(() => process.exit(0), 5_000).unref();
    });
}

async function serve() {
  const app = next({ dev: false, dir: ROOT, hostname: host, port: Number(port) });
  await app.prepare();
  const handle = app.getRequestHandler();
  // What very many read at once is answered before the framework, where it is known who may see it.
  const { answerPublished, languageOf } = await import("../dist/front.mjs");
  const front = async (request, response) => {
    const answer = request.url.startsWith("/t/") ? await answerPublished(request).catch(() => null) : null;
    if (!answer) return handle(request, response);
    response.writeHead(answer.status, answer.headers);
    response.end(answer.body ?? undefined);
  };
  const ofBuild = process.env.FASTIGO_BUILD;
  const packed = new Map([
    ...readPacked(join(ROOT, ".next", "static")),
    ...(ofBuild ? PUBLIC.flatMap((name) => [...readPacked(join(ROOT, "public", name), `/${name}/`, ofBuild)]) : []),
    ...readFonts(join(ROOT, "public", "fonts")),
  ]);
  /** Everything that comes of a request is said in the language of whoever asks. */
  const spokenTo = (request, response) =>
    globalThis.fastigoSpeaks.run(languageOf(request), () => front(request, response));
  const server = createServer(
    { requestTimeout: REQUEST_MS, keepAliveTimeout: 65_000, maxHeaderSize: 16_384 },
    (request, response) => {
      if (!METHODS.has(request.method))
        return refuse(response, 405, "bad_method", "Fastigo does not know this method. Nothing was changed.");
      if (!isAddress(request.url))
        return refuse(
          response,
          400,
          "bad_address",
          "This address holds characters no address of Fastigo has. Check it, or ask whoever gave it to you.",
        );
      // Pages are read; what alters something goes to the routes, which count what arrives.
      if (!READING.has(request.method) && !request.url.startsWith("/api/"))
        return refuse(response, 405, "bad_method", "Pages take nothing. Nothing was changed.");
      if (givePacked(packed, request, response)) return;
      request.headers["x-fastigo-from"] = comesFrom(request);
      spokenTo(request, response).catch((error) => {
        console.error(error);
        if (!response.headersSent)
          refuse(response, 500, "broken", "Something went wrong here, not with you. Try again in a moment.");
        else response.destroy();
      });
    },
  );
  server.on("clientError", (_error, socket) => {
    if (socket.writable) socket.end("HTTP/1.1 400 Bad Request\r\nConnection: close\r\nContent-Length: 0\r\n\r\n");
  });
  // A fault in one request is written down and does not take the others with it; what the process cannot go on from, its
  // watcher starts again.
  process.on("unhandledRejection", (error) => console.error("Not caught:", error));
  server.listen(Number(port), host);
  for (const signal of ["SIGTERM", "SIGINT"])
    process.on(signal, () => {
      server.close(() => process.exit(0));
      server.closeIdleConnections();
      // The streams have been told to end; whoever hangs on after that is cut off.
      setTimeout(() => {
        server.closeAllConnections();
        process.exit(0);
      }, 3_000).unref();
    });
  if (cluster.isWorker) {
    const beat = setInterval(() => process.connected && process.send("beat"), BEAT_MS);
    beat.unref();
  }
}

if (WEB > 1 && cluster.isPrimary) tend();
else await serve();
