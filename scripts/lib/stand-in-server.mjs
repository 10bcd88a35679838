// What the sites that ship for the demo and the tests have in common.
import { createServer } from "node:http";

export const escaped = (text) => String(text).replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);

/** Serves on loopback; `port` 0: any that is free. Gives the address and a way to stop. */
export async function serveHere(answer, port = 0) {
  const server = createServer((request, response) => {
    answer(request, response).catch((error) => {
      console.error(error);
      response.writeHead(500).end();
    });
  });
  await new Promise((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, "127.0.0.1", resolve);
  });
  const stop = () => {
    server.closeAllConnections();
    server.close();
  };
  return { url: `http://127.0.0.1:${server.address().port}`, stop };
}
