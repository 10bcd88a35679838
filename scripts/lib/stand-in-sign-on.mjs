// A school's own accounts that ship with Fastigo, for the demo and the tests: an OpenID Connect provider (oidc-provider) with a teacher and
// a few pupils, whom one becomes by pressing their name. It keeps all of it in memory, and trusts one application.
import { exportJWK, generateKeyPair } from "jose";
import { Provider } from "oidc-provider";
import { signOnAt } from "./school-demo.mjs";
import { escaped, serveHere } from "./stand-in-server.mjs";

export const PEOPLE = [
  {
    id: "iris",
    given: "Iris",
    family: "Ward",
    role: "teacher",
    groups: ["staff", "class 7A"],
    email: "iris@hollinbank.example",
  },
  { id: "ada", given: "Ada", family: "Byron", role: "pupil", groups: ["class 7A", "choir"], email: "" },
  { id: "bo", given: "Bo", family: "Reed", role: "pupil", groups: ["class 7A"], email: "" },
  // Whose address an account of Fastigo's demo has already.
  { id: "nia", given: "Nia", family: "Marsh", role: "pupil", groups: ["class 7A"], email: "nia@hollinbank.example" },
];

const page = (title, body) =>
  `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${escaped(title)}</title><style>body{font:17px/1.5 serif;max-width:560px;margin:60px auto;padding:0 20px;background:#eef1f8;color:#1c2440}button{font:inherit;padding:6px 14px;margin:4px 0}form{margin:0}</style><h1>${escaped(title)}</h1>${body}`;

/** Starts it; `tool` is where Fastigo is, and may be said later; `people` who is there. Gives what Fastigo has to know of it. */
export async function startStandInSignOn({ port = 0, tool = "", people = PEOPLE } = {}) {
  const { privateKey } = await generateKeyPair("RS256", { extractable: true });
  const jwks = { keys: [{ ...(await exportJWK(privateKey)), kid: "stand-in", alg: "RS256", use: "sig" }] };
  const state = { provider: null, people };

  const answer = async (request, response) => {
    const html = (body, status = 200) =>
      response.writeHead(status, { "Content-Type": "text/html; charset=utf-8" }).end(body);
    if (!state.provider) return html(page("Not ready", ""), 503);
    const asked = new URL(request.url, "http://own.invalid").pathname.match(/^\/as\/([\w-]+)(?:\/([\w-]+))?$/);
    if (!asked) return state.provider.callback()(request, response);
    const [, uid, who] = asked;
    if (request.method === "GET")
      return html(
        page(
          "Hollin Bank sign-on",
          `<p>The school's own accounts. Who are you?</p>${state.people
            .map(
              (p) =>
                `<form method="post" action="/as/${uid}/${p.id}"><button>${escaped(`${p.given} ${p.family}`)}</button></form>`,
            )
            .join("")}<form method="post" action="/as/${uid}/nobody"><button>Leave it</button></form>`,
        ),
      );
    const known = state.people.some((p) => p.id === who);
    const result = known
      ? { login: { accountId: who } }
      : { error: "access_denied", error_description: "Nobody signed in." };
    return state.provider.interactionFinished(request, response, result, { mergeWithLastSubmission: false });
  };

  const { url, stop } = await serveHere(answer, port);
  const config = signOnAt(url);

  const setTool = (address) => {
    state.provider = new Provider(url, {
      clients: [
        {
          client_id: config.clientId,
          client_secret: config.clientSecret,
          token_endpoint_auth_method: "client_secret_post",
          redirect_uris: [`${address}/api/sign-on/back`],
          post_logout_redirect_uris: [`${address}/`],
          backchannel_logout_uri: `${address}/api/sign-on/out`,
          backchannel_logout_session_required: true,
        },
      ],
      jwks,
      cookies: { keys: ["stand-in"] },
      claims: {
        openid: ["sub"],
        profile: ["name", "given_name", "family_name", "role", "groups"],
        email: ["email", "email_verified"],
      },
      interactions: { url: (_, interaction) => `/as/${interaction.uid}` },
      features: {
        devInteractions: { enabled: false },
        backchannelLogout: { enabled: true },
        rpInitiatedLogout: {
          enabled: true,
          logoutSource: (ctx, form) => {
            ctx.body = page(
              "Hollin Bank sign-on",
              `<p>You have left Fastigo. Sign out of the school's accounts as well?</p>${form}<button type="submit" form="op.logoutForm" name="logout" value="yes">Sign out</button>`,
            );
          },
        },
      },
      findAccount: (_, id) => {
        const p = state.people.find((x) => x.id === id);
        return (
          p && {
            accountId: id,
            claims: () => ({
              sub: id,
              name: `${p.given} ${p.family}`,
              given_name: p.given,
              family_name: p.family,
              role: p.role,
              groups: p.groups,
              ...(p.email ? { email: p.email, email_verified: true } : {}),
            }),
          }
        );
      },
      // What the application asks for is granted: it is the school's own.
      loadExistingGrant: async (ctx) => {
        const grant = new ctx.oidc.provider.Grant({
          clientId: ctx.oidc.client.clientId,
          accountId: ctx.oidc.session.accountId,
        });
        grant.addOIDCScope("openid profile email");
        await grant.save();
        return grant;
      },
      // The application is on this machine, where a provider of the world would not look.
      fetch: (address, { dispatcher: _, ...options }) => fetch(address, options),
      ttl: { Session: 3600, Interaction: 3600, Grant: 3600, IdToken: 600, AccessToken: 600 },
    });
  };
  if (tool) setTool(tool);
  return {
    url,
    config,
    setTool,
    /** Puts others there. */
    setPeople: (list) => {
      state.people = list;
    },
    stop,
  };
}
