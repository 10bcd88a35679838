import { WORDS } from "@/core/words/published-pages";
import { embedCode, EMBED_HEIGHT } from "@/core/published/embed-code";
import { fail } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { openRoute } from "@/server/http/route";
import { findPublished, isOpenToAll } from "@/server/publishing/published";
import { findVersion } from "@/server/publishing/versions";

export const dynamic = "force-dynamic";

const WIDTH = 960;

/**
 * oEmbed 1.0 (oembed.com): how another site shows a published page inside its own. Only what everybody with the link sees, and
 * whose author lets it stand in other sites.
 */
export const GET = openRoute({}, async ({ request }) => {
  const asked = new URL(request.url).searchParams;
  const format = asked.get("format");
  if (format !== null && format !== "json") return new Response(null, { status: 501 });
  const own = ownAddress(request, "/");
  let path: string;
  try {
    const url = new URL(asked.get("url") ?? "", own);
    if (url.origin !== own.origin) return fail("not_found");
    path = url.pathname;
  } catch {
    return fail("not_found");
  }
  const address = /^\/t\/([^/]+)$/.exec(path)?.[1];
  const published = address ? await findPublished(decodeURIComponent(address)) : null;
  if (!published || !isOpenToAll(published)) return fail("not_found");
  // oEmbed 1.0, 2.3.2: 401 where a resource is not to be shown elsewhere.
  if (published.embedSites.length === 0) return new Response(null, { status: 401 });
  const within = (name: string, usual: number) => {
    const most = Number(asked.get(name));
    return Number.isInteger(most) && most > 0 ? Math.min(usual, most) : usual;
  };
  const [width, height] = [within("maxwidth", WIDTH), within("maxheight", EMBED_HEIGHT)];
  const version = await findVersion(published.version);
  const title = version?.frozen.title || WORDS.untitled;
  const page = ownAddress(request, `/t/${published.address}`).href;
  return Response.json(
    {
      version: "1.0",
      type: "rich",
      title,
      ...(version?.frozen.byline ? { author_name: version.frozen.byline } : {}),
      provider_name: "Fastigo",
      provider_url: own.href,
      cache_age: 300,
      thumbnail_url: `${page}/preview`,
      thumbnail_width: 1_200,
      thumbnail_height: 630,
      width,
      height,
      html: embedCode({ page, title, first: "", height: { kind: "fixed", px: height }, width }),
    },
    { headers: { "Access-Control-Allow-Origin": "*", "Cache-Control": "no-cache" } },
  );
});
