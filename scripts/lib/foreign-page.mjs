// A page of another site with timelines in it, each in its own way: what readers of that site see.
import { createServer } from "node:http";

const page = (title, parts) => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${title}</title>
<style>body{font:17px/1.55 Georgia,serif;max-width:980px;margin:0 auto;padding:24px;background:#fbf8f1;color:#2a2620}h2{margin:44px 0 6px}p{margin:0 0 12px}</style></head>
<body><h1>${title}</h1>
<p>This page is another site's. Each frame below shows a timeline by the code its author gave out.</p>
${parts.map((p) => `<section id="${p.id}"><h2>${p.heading}</h2><p>${p.text}</p>${p.code}</section>`).join("\n")}
</body></html>`;

/** Serves it on 127.0.0.1; gives its address and the way to end it. `parts`: an id, a heading, a sentence and the code of each. */
export function startForeignPage(title, parts, port = 0) {
  const server = createServer((request, response) => {
    const known = request.url === "/";
    response.writeHead(known ? 200 : 404, { "Content-Type": "text/html; charset=utf-8" });
    response.end(known ? page(title, parts) : "");
  });
  return new Promise((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, "127.0.0.1", () =>
      resolve({ url: `http://127.0.0.1:${server.address().port}`, stop: () => server.close() }),
    );
  });
}
