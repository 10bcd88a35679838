import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import sharp from "sharp";
import { startStandInPlatform } from "../../scripts/lib/stand-in-platform.mjs";
import { startStandInSignOn } from "../../scripts/lib/stand-in-sign-on.mjs";
import { startStandInPlayer } from "../../scripts/lib/stand-in-player.mjs";
import { startServer } from "./server";

/** One server for all files that do not need one of their own, and a small site with a picture and tables to fetch. */
export default async function globalSetup() {
  const png = await sharp({ create: { width: 640, height: 400, channels: 3, background: "#7FC4B8" } })
    .png()
    .toBuffer();
  const site = createServer((request, response) => {
    if (request.url === "/ferry.png") response.end(png);
    else if (request.url === "/crossings.csv") response.end("When,Title\n1604,Rope ferry\n1931,Last ferry\n");
    else if (request.url === "/crossings")
      response
        .writeHead(200, { "Content-Type": "text/html; charset=utf-8" })
        .end("<table><tr><th>When<th>Title<tr><td>1604<td>Rope ferry<tr><td>1932<td>Last ferry</table>");
    else if (request.url === "/to-loopback") response.writeHead(302, { Location: "http://127.0.0.1:1/x.png" }).end();
    else response.writeHead(404).end();
  });
  await new Promise<void>((resolve) => site.listen(0, "127.0.0.1", resolve));
  const host = `127.0.0.1:${(site.address() as AddressInfo).port}`;
  process.env.E2E_PICTURE_SITE = `http://${host}`;
  const films = (await startStandInPlayer())!;
  process.env.E2E_FILMS = films;
  const platform = await startStandInPlatform();
  process.env.E2E_PLATFORM = platform.url;
  const signOn = await startStandInSignOn();
  const server = await startServer("e2e", {
    PRIVATE_PICTURE_HOSTS: host,
    STAND_IN_PLAYER: films,
    LTI_PLATFORMS: JSON.stringify([platform.config]),
    SIGN_ON: JSON.stringify([{ ...signOn.config, school: "Weir School" }]),
  });
  platform.setTool(server.url);
  signOn.setTool(server.url);
  process.env.E2E_URL = server.url;
  process.env.E2E_DATABASE = server.databaseUrl;
  return async () => {
    site.closeAllConnections();
    site.close();
    platform.stop();
    signOn.stop();
    await server.stop();
  };
}
