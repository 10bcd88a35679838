// Keeps the application and the timelines opened lately on a device that somebody has said is their own, so that they open without
// a network. It is asked for in one place (features/editor/own-device) and never on devices that several people use.
const BUILD = new URL(self.location.href).searchParams.get("build") ?? "";
const NAME = `fastigo-kept-${BUILD}`;
/** The network is waited for so long before what is kept is shown, ms. */
const PATIENCE_MS = 4_000;
/** So many timelines are kept, those opened last. */
const MOST = 12;
/** Said where no page has told the words yet. */
const PLAIN = {
  language: "en",
  notConnected: "Not connected",
  kept: "These timelines are kept on this device and can be written in; what you write is sent when the network is back.",
  none: "No timeline is kept on this device.",
  untitled: "Untitled",
  begin: "Begin a new timeline, or go on with the one begun here",
};
/** Where a new timeline is begun without a network, and the words of this worker's own page. */
const BEGUN = "/begun-here";
const WORDS = "/kept-words";

const isStatic = (path) => /^\/(?:_next\/static|fonts|reader)\//.test(path) || path === "/favicon.svg";
const timelineIn = (path) => /^\/timelines\/([\w-]+)$/.exec(path)?.[1] ?? null;
const snapshotOf = (path) => /^\/api\/timelines\/([\w-]+)$/.exec(path)?.[1] ?? null;
const isMedia = (path) => /^\/api\/timelines\/[\w-]+\/media\//.test(path);

self.addEventListener("install", () => self.skipWaiting());

// Another build takes over whole: what an earlier one kept is fetched anew, or goes, so that two never mix.
self.addEventListener("activate", (e) =>
  e.waitUntil(
    (async () => {
      await self.clients.claim();
      const now = await caches.open(NAME);
      for (const name of await caches.keys()) {
        if (!name.startsWith("fastigo-kept-") || name === NAME) continue;
        for (const request of await (await caches.open(name)).keys()) {
          const { pathname } = new URL(request.url);
          if (pathname === WORDS) await now.put(WORDS, await (await caches.open(name)).match(request));
          else if (pathname === BEGUN) await keepWhole(now, BEGUN, true);
          else if (timelineIn(pathname) || snapshotOf(pathname)) await keepWhole(now, pathname);
        }
        await caches.delete(name);
      }
    })(),
  ),
);

/** The scripts and styles a page or a script names, those too that it fetches later. */
const partsIn = (text) =>
  [...text.matchAll(/(?:\/_next\/)?static\/chunks\/[\w./~-]+\.(?:js|css)/g)].map(([p]) =>
    p.startsWith("/") ? p : `/_next/${p}`,
  );

/**
 * A page as it is now, with its scripts: without them it would not open. `later`: what those fetch in their turn as well, of a page that
 * was never open here.
 */
async function keepWhole(cache, path, later = false) {
  try {
    const fresh = await fetch(path, { credentials: "same-origin" });
    if (!fresh.ok || fresh.redirected) return;
    const html = snapshotOf(path) ? "" : await fresh.clone().text();
    await keep(cache, path, fresh);
    const seen = new Set(partsIn(html));
    for (const part of seen) {
      const kept = await cache.match(part);
      const script = kept ?? (await fetch(part));
      if (!script.ok) continue;
      if (later && part.endsWith(".js")) for (const more of partsIn(await script.clone().text())) seen.add(more);
      if (!kept) await cache.put(part, script);
    }
  } catch {
    // Without the network there is nothing to take it from.
  }
}

/** What a page that works has loaded, so that it works again; and the page itself. */
self.addEventListener("message", (e) => {
  if (!Array.isArray(e.data?.keep)) return;
  const done = (async () => {
    const cache = await caches.open(NAME);
    for (const url of e.data.keep) {
      const { pathname, origin } = new URL(url, self.location.origin);
      if (origin !== self.location.origin) continue;
      const kept = isStatic(pathname) || timelineIn(pathname) || snapshotOf(pathname);
      if (!kept || (isStatic(pathname) && (await cache.match(pathname)))) continue;
      const response = await fetch(pathname, { credentials: "same-origin" }).catch(() => null);
      if (response?.ok && !response.redirected) await keep(cache, pathname, response);
    }
    if (e.data.words) await cache.put(WORDS, new Response(JSON.stringify(e.data.words)));
    if (!(await cache.match(BEGUN))) await keepWhole(cache, BEGUN, true);
    await forgetOldest(cache);
    e.source?.postMessage({ kept: true });
  })();
  e.waitUntil(done);
});

/** Of the timelines only those opened last stay. */
async function forgetOldest(cache) {
  const ids = (await cache.keys()).flatMap((r) => timelineIn(new URL(r.url).pathname) ?? []);
  for (const id of ids.slice(0, Math.max(0, ids.length - MOST)))
    for (const r of await cache.keys()) {
      const { pathname } = new URL(r.url);
      if (pathname === `/timelines/${id}` || pathname.startsWith(`/api/timelines/${id}`)) await cache.delete(r);
    }
}

self.addEventListener("fetch", (e) => {
  const { request } = e;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== self.location.origin) return;
  const { pathname } = url;
  if (isStatic(pathname)) e.respondWith(fromCacheFirst(request, pathname));
  else if (timelineIn(pathname) && request.mode === "navigate") e.respondWith(fromNetworkFirst(request, pathname));
  else if (pathname === BEGUN && request.mode === "navigate") e.respondWith(fromNetworkFirst(request, pathname));
  else if (snapshotOf(pathname)) e.respondWith(fromNetworkFirst(request, pathname));
  else if (isMedia(pathname)) e.respondWith(fromNetworkFirst(request, pathname));
  else if (pathname === "/" && request.mode === "navigate") e.respondWith(home(request));
});

/**
 * Keeps what has come, in the place of what was kept before: only once all of it is here, for the network may go in the middle. A device
 * that is full keeps nothing more, and shows what has come all the same.
 */
async function keep(cache, path, response) {
  try {
    const { status, statusText, headers } = response;
    const whole = new Response(await response.clone().blob(), { status, statusText, headers });
    await cache.put(path, whole);
  } catch {
    // It stays as it was.
  }
}

async function fromCacheFirst(request, path) {
  const cache = await caches.open(NAME);
  const kept = await cache.match(path);
  if (kept) return kept;
  const response = await fetch(request);
  if (response.ok) await keep(cache, path, response);
  return response;
}

async function fromNetworkFirst(request, path) {
  const cache = await caches.open(NAME);
  const kept = await cache.match(path, { ignoreVary: true });
  const asked = fetch(request).then(async (response) => {
    // Who is no longer let in finds nothing kept either.
    if (response.redirected || response.status === 401 || response.status === 403 || response.status === 404)
      await cache.delete(path);
    else if (response.ok && response.status === 200) await keep(cache, path, response);
    return response;
  });
  if (!kept) return asked;
  const late = new Promise((resolve) => setTimeout(() => resolve(kept), PATIENCE_MS));
  return Promise.race([asked.then((r) => (r.status >= 500 ? kept : r)).catch(() => kept), late]);
}

/** Without the network: the timelines that are kept here, and a new one. */
async function home(request) {
  try {
    return await fetch(request);
  } catch {
    const cache = await caches.open(NAME);
    const said = (await (await cache.match(WORDS))?.json()) ?? PLAIN;
    const lines = [];
    for (const r of await cache.keys()) {
      const { pathname } = new URL(r.url);
      if (!timelineIn(pathname)) continue;
      const html = await (await cache.match(r)).text();
      const title = /<h1[^>]*>([^<]*)<\/h1>/.exec(html)?.[1] || said.untitled;
      lines.unshift(`<li><a href="${pathname}">${title}</a></li>`);
    }
    const begin = (await cache.match(BEGUN)) ? `<p><a href="${BEGUN}">${said.begin}</a></p>` : "";
    const list = lines.length > 0 ? `<p>${said.kept}</p><ul>${lines.join("")}</ul>` : `<p>${said.none}</p>`;
    return new Response(
      `<!doctype html><html lang="${said.language}"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Fastigo</title><style>body{font:17px/1.6 sans-serif;color:#16323A;max-width:40em;margin:2em auto;padding:0 1em}a{color:#0B6E69;font-weight:700}li,p{margin:.5em 0}</style><h1>${said.notConnected}</h1>${list}${begin}</html>`,
      { headers: { "Content-Type": "text/html; charset=utf-8" } },
    );
  }
}
