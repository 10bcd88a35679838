// A site of films in small, standing in for those one knows: pages, what they say of themselves (oEmbed 1.0), and a player.
import { createReadStream, statSync } from "node:fs";
import { createServer } from "node:http";
import { join } from "node:path";

const FILM = join(import.meta.dirname, "..", "demo", "media", "spring-flood.webm");
const FILMS = {
  "spring-flood": { title: "The spring flood at Ambrelford", author: "Ambrel Valley Film Club", seconds: 7 },
};

const page = (title, head, body) =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${title}</title>${head}</head><body style="margin:0;font:18px sans-serif;background:#16323A;color:#fff">${body}</body></html>`;

function answer(request, response) {
  const url = new URL(request.url, `http://${request.headers.host}`);
  const html = (text) => response.writeHead(200, { "Content-Type": "text/html; charset=utf-8" }).end(text);
  const [, place, name] = url.pathname.split("/");
  if (place === "film.webm") return sendFilm(request, response);
  if (place === "oembed") return sendOembed(url, response);
  const film = FILMS[name];
  if (!film || (place !== "films" && place !== "player")) return response.writeHead(404).end();
  const [begin, end] = [url.searchParams.get("begin") ?? "0", url.searchParams.get("end")];
  const part = `#t=${Number.parseFloat(begin) || 0}${end ? `,${Number.parseFloat(end) || 0}` : ""}`;
  const video = `<video src="/film.webm${part}" controls autoplay muted style="width:100%;height:100vh;background:#16323A"></video>`;
  if (place === "player") return html(page(film.title, "", video));
  const about = encodeURIComponent(`${url.origin}/films/${name}`);
  return html(
    page(
      film.title,
      `<meta property="og:title" content="${film.title}"><meta name="author" content="${film.author}"><link rel="alternate" type="application/json+oembed" href="${url.origin}/oembed?format=json&amp;url=${about}">`,
      `<h1 style="padding:20px">${film.title}</h1><iframe src="/player/${name}" style="width:640px;height:400px;border:0"></iframe>`,
    ),
  );
}

function sendOembed(url, response) {
  const name = /\/films\/([\w-]+)$/.exec(url.searchParams.get("url") ?? "")?.[1] ?? "";
  const film = FILMS[name];
  if (!film) return response.writeHead(404).end();
  return response.writeHead(200, { "Content-Type": "application/json; charset=utf-8" }).end(
    JSON.stringify({
      version: "1.0",
      type: "video",
      title: film.title,
      author_name: film.author,
      provider_name: "Ambrel films",
      width: 960,
      height: 600,
      duration: film.seconds,
      html: `<iframe width="960" height="600" src="${url.origin}/player/${name}"></iframe>`,
    }),
  );
}

function sendFilm(request, response) {
  const size = statSync(FILM).size;
  const asked = /^bytes=(\d+)-(\d*)$/.exec(request.headers.range ?? "");
  const from = asked ? Math.min(Number(asked[1]), size - 1) : 0;
  const to = asked?.[2] ? Math.min(Number(asked[2]), size - 1) : size - 1;
  response.writeHead(asked ? 206 : 200, {
    "Content-Type": "video/webm",
    "Accept-Ranges": "bytes",
    "Content-Length": to - from + 1,
    ...(asked ? { "Content-Range": `bytes ${from}-${to}/${size}` } : {}),
  });
  createReadStream(FILM, { start: from, end: to }).pipe(response);
}

/** Serves it on loopback, at a port of one's choice or (0) any free one; null where the port is taken. Gives its address. */
export function startStandInPlayer(port = 0) {
  const server = createServer(answer);
  return new Promise((resolve) => {
    server.once("error", () => resolve(null));
    server.listen(port, "127.0.0.1", () => {
      // It keeps no process going.
      server.unref();
      resolve(`http://127.0.0.1:${server.address().port}`);
    });
  });
}
