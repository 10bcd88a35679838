// A learning platform that ships with Fastigo, for the demo and the tests: one course with a teacher and three students, its own keys,
// launches (LTI 1.3), links that a teacher chooses (Deep Linking 2.0), names and roles (NRPS 2.0) and points (AGS 2.0). It keeps all of it
// in memory, and trusts one tool.
import { randomUUID } from "node:crypto";
import { createRemoteJWKSet, exportJWK, generateKeyPair, jwtVerify, SignJWT } from "jose";
import { escaped, serveHere } from "./stand-in-server.mjs";

const CLAIM = "https://purl.imsglobal.org/spec/lti/claim/";
const ROLE = "http://purl.imsglobal.org/vocab/lis/v2/membership#";
const CLIENT = "fastigo-demo";
const DEPLOYMENT = "1";
const COURSE = { id: "course-8b", label: "8B", title: "History 8B" };
export const PEOPLE = [
  { id: "ward", given: "Iris", family: "Ward", role: "Instructor" },
  { id: "ada", given: "Ada", family: "Byron", role: "Learner" },
  { id: "bo", given: "Bo", family: "Reed", role: "Learner" },
  { id: "cy", given: "Cy", family: "Marsh", role: "Learner" },
];

const page = (title, body, script = "") =>
  `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${escaped(title)}</title><style>body{font:17px/1.5 serif;max-width:720px;margin:40px auto;padding:0 20px;background:#fdf6e9;color:#3a2c14}a,button{font:inherit;color:#7a3b00}li{margin:6px 0}</style><h1>${escaped(title)}</h1>${body}${script}`;

/** Starts it; `tool` is where Fastigo is, and may be said later. Gives its address and what Fastigo has to know of it. */
export async function startStandInPlatform({ port = 0, tool = "" } = {}) {
  const { privateKey, publicKey } = await generateKeyPair("RS256");
  const jwk = { ...(await exportJWK(publicKey)), kid: "stand-in", alg: "RS256", use: "sig" };
  const links = new Map();
  const scores = [];
  const tokens = new Set();
  const state = { tool };
  let url = "";

  /** Signs a message; tests sign with other keys and other claims. */
  const sign = (claims, { key = privateKey, issuer = url, audience = CLIENT, expires = "5m", issuedAt } = {}) =>
    new SignJWT(claims)
      .setProtectedHeader({ alg: "RS256", kid: "stand-in" })
      .setIssuer(issuer)
      .setAudience(audience)
      .setIssuedAt(issuedAt)
      .setExpirationTime(expires)
      .sign(key);

  /** What is said of somebody who opens a link, or chooses one with `deep`. */
  const claimsFor = (who, link, nonce) => {
    const person = PEOPLE.find((p) => p.id === who);
    const known = links.get(link);
    return {
      sub: person.id,
      given_name: person.given,
      family_name: person.family,
      nonce,
      [`${CLAIM}version`]: "1.3.0",
      [`${CLAIM}deployment_id`]: DEPLOYMENT,
      [`${CLAIM}roles`]: [`${ROLE}${person.role}`],
      [`${CLAIM}context`]: COURSE,
      [`${CLAIM}target_link_uri`]: `${state.tool}/api/lti/launch`,
      "https://purl.imsglobal.org/spec/lti-nrps/claim/namesroleservice": {
        context_memberships_url: `${url}/members`,
        service_versions: ["2.0"],
      },
      ...(link === "deep"
        ? {
            [`${CLAIM}message_type`]: "LtiDeepLinkingRequest",
            "https://purl.imsglobal.org/spec/lti-dl/claim/deep_linking_settings": {
              deep_link_return_url: `${url}/chosen`,
              accept_types: ["ltiResourceLink"],
              accept_presentation_document_targets: ["window"],
              data: "course-8b",
            },
          }
        : {
            [`${CLAIM}message_type`]: "LtiResourceLinkRequest",
            [`${CLAIM}resource_link`]: { id: link, title: known?.title ?? "Fastigo" },
            ...(known ? { [`${CLAIM}custom`]: known.custom } : {}),
            "https://purl.imsglobal.org/spec/lti-ags/claim/endpoint": {
              scope: ["https://purl.imsglobal.org/spec/lti-ags/scope/score"],
              ...(known ? { lineitem: `${url}/items/${link}` } : {}),
            },
          }),
    };
  };

  const bodyOf = async (request) => {
    let text = "";
    for await (const part of request) text += part;
    return text;
  };
  const bearer = (request) => tokens.has((request.headers.authorization ?? "").replace("Bearer ", ""));
  const toolKeys = () => createRemoteJWKSet(new URL(`${state.tool}/api/lti/jwks`));

  const answer = async (request, response) => {
    const at = new URL(request.url, url);
    const html = (body, status = 200) =>
      response.writeHead(status, { "Content-Type": "text/html; charset=utf-8" }).end(body);
    const json = (value, status = 200) =>
      response.writeHead(status, { "Content-Type": "application/json" }).end(JSON.stringify(value));
    const way = `${request.method} ${at.pathname}`;
    if (way === "GET /") {
      const open = (p, link) =>
        `<a target="_blank" href="/begin?as=${p.id}&link=${link}">${escaped(`${p.given} ${p.family}`)}</a>`;
      const all = [["course", "Fastigo"], ...[...links].map(([id, l]) => [id, l.title])];
      return html(
        page(
          COURSE.title,
          `<p>A course on a learning platform. Open a link as one of its people; it opens in a window of its own.</p><ul>${all
            .map(([id, title]) => `<li>${escaped(title)}: ${PEOPLE.map((p) => open(p, id)).join(", ")}</li>`)
            .join(
              "",
            )}</ul><p><a target="_blank" href="/begin?as=ward&link=deep">Add a link to an assignment</a> (Iris Ward)</p>
            <h2>Points</h2><ul>${scores.map((s) => `<li>${escaped(`${s.item}: ${s.userId} ${s.scoreGiven} of ${s.scoreMaximum}`)}</li>`).join("")}</ul>`,
        ),
      );
    }
    if (way === "GET /begin") {
      const to = new URL("/api/lti/login", state.tool);
      const link = at.searchParams.get("link");
      to.search = new URLSearchParams({
        iss: url,
        client_id: CLIENT,
        login_hint: at.searchParams.get("as"),
        lti_message_hint: link,
        target_link_uri: `${state.tool}/api/lti/launch`,
        lti_deployment_id: DEPLOYMENT,
      }).toString();
      return response.writeHead(302, { Location: to.href }).end();
    }
    if (way === "GET /auth") {
      const q = Object.fromEntries(at.searchParams);
      if (
        q.client_id !== CLIENT ||
        q.redirect_uri !== `${state.tool}/api/lti/launch` ||
        q.response_mode !== "form_post"
      )
        return html(page("This is not the tool", "<p>The tool asked otherwise than it was registered.</p>"), 400);
      const token = await sign(claimsFor(q.login_hint, q.lti_message_hint, q.nonce));
      return html(
        page(
          "On to Fastigo",
          `<form method="post" action="${escaped(q.redirect_uri)}"><input type="hidden" name="id_token" value="${token}"><input type="hidden" name="state" value="${escaped(q.state)}"><button>Go on</button></form>`,
          "<script>document.forms[0].submit()</script>",
        ),
      );
    }
    if (way === "GET /jwks") return json({ keys: [jwk] });
    if (way === "POST /token") {
      const form = new URLSearchParams(await bodyOf(request));
      try {
        await jwtVerify(form.get("client_assertion"), toolKeys(), { issuer: CLIENT, audience: `${url}/token` });
      } catch {
        return json({ error: "invalid_client" }, 401);
      }
      const token = randomUUID();
      tokens.add(token);
      return json({ access_token: token, token_type: "Bearer", expires_in: 3600, scope: form.get("scope") });
    }
    if (way === "GET /members") {
      if (!bearer(request)) return json({}, 401);
      return json({
        id: at.href,
        context: COURSE,
        members: PEOPLE.map((p) => ({
          user_id: p.id,
          status: "Active",
          given_name: p.given,
          family_name: p.family,
          roles: [p.role],
        })),
      });
    }
    if (request.method === "POST" && /^\/items\/[^/]+\/scores$/.test(at.pathname)) {
      if (!bearer(request)) return json({}, 401);
      scores.push({ item: at.pathname.split("/")[2], ...JSON.parse(await bodyOf(request)) });
      return json({}, 200);
    }
    if (way === "POST /chosen") {
      const form = new URLSearchParams(await bodyOf(request));
      try {
        const { payload } = await jwtVerify(form.get("JWT"), toolKeys(), { issuer: CLIENT, audience: url });
        const items = payload["https://purl.imsglobal.org/spec/lti-dl/claim/content_items"];
        for (const item of items) links.set(`link-${links.size + 1}`, { title: item.title, custom: item.custom });
        return html(
          page("Linked", `<p>${items.map((i) => escaped(i.title)).join(", ")}</p><a href="/">Back to the course</a>`),
        );
      } catch {
        return html(page("This was not signed by the tool", ""), 400);
      }
    }
    return html(page("Nothing here", ""), 404);
  };
  const served = await serveHere(answer, port);
  url = served.url;
  return {
    url,
    config: {
      name: "the school's platform",
      issuer: url,
      clientId: CLIENT,
      deployments: [DEPLOYMENT],
      auth: `${url}/auth`,
      token: `${url}/token`,
      jwks: `${url}/jwks`,
    },
    scores,
    sign,
    claimsFor,
    setTool: (address) => {
      state.tool = address;
    },
    stop: served.stop,
  };
}
