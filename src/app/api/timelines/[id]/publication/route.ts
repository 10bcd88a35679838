import { readSites } from "@/core/published/sites";
import { type Visibility, REACH } from "@/core/timeline/visibility";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { takeBack } from "@/server/publishing/publish";
import { findPublished } from "@/server/publishing/published";
import { inThread } from "@/threads/in-thread";
import { freezing } from "../../../../freezing";
import { publishedPage } from "../../../../published-page";
import { outsideFor, preparePage } from "../../../../reader-response";

const moment = {
  anyOf: [
    { type: "null" },
    { type: "string", pattern: "^(20|21)\\d\\d-\\d\\d-\\d\\dT\\d\\d:\\d\\d(:\\d\\d(\\.\\d{1,3})?)?Z$" },
  ],
};
const readPublish = shape<{
  visibility: Visibility;
  fresh: boolean;
  class?: string;
  school?: string;
  zone?: string;
  password?: string;
  opensAt?: string | null;
  closesAt?: string | null;
  copies?: boolean;
  embedSites?: string[];
}>({
  type: "object",
  properties: {
    visibility: { enum: [...REACH] },
    fresh: { type: "boolean" },
    zone: { type: "string", maxLength: 60, pattern: "^[A-Za-z0-9_+/-]+$" },
    class: { type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" },
    school: { type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" },
    password: { type: "string", maxLength: 1_000 },
    opensAt: moment,
    closesAt: moment,
    copies: { type: "boolean" },
    embedSites: { type: "array", maxItems: 20, items: { type: "string", maxLength: 300 } },
  },
  required: ["visibility", "fresh"],
  additionalProperties: false,
});

export const PUT = memberRoute({ body: readPublish }, async ({ user, params, body }) => {
  const { class: klass, fresh, embedSites, ...rest } = body;
  for (const at of [body.opensAt, body.closesAt]) if (at && Number.isNaN(Date.parse(at))) return fail("invalid");
  const sites = embedSites && readSites(embedSites);
  if (sites === null) return fail("site_malformed");
  const wishes = { ...rest, ...(klass ? { klass } : {}), ...(sites ? { embedSites: sites } : {}) };
  const done = await inThread("publish", [params.id!, user.id, wishes, fresh], freezing(user.id));
  if ("failed" in done) return done;
  // Made while its author still reads that it was published.
  const shown = await findPublished(done.publication.address);
  if (shown && shown.state !== "taken_back") await preparePage(...publishedPage(shown, await outsideFor(null)));
  return { publication: done.publication };
});

export const DELETE = memberRoute({}, async ({ user, params }) => {
  const done = await takeBack(params.id!, user.id);
  return "failed" in done ? done : { publication: done.publication };
});
