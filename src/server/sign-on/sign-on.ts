// Signing on with OpenID Connect (Core 1.0, code flow with PKCE, RFC 7636), through openid-client, which checks issuer, audience, nonce,
// times and signature.
import "server-only";
import { nanoid } from "nanoid";
import * as oidc from "openid-client";
import { recordOf, textOf } from "@/core/text/loose";
import { provePassword } from "../accounts/own-password";
import { takeStep } from "../accounts/steps";
import { type Opened, openSession, type SignedOn } from "../accounts/sessions";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, refusal } from "../http/failure";
import { type Come, comeAgain, meet } from "./people";
import { keyOf, type Provider, providerOf, providers } from "./providers";

/** A sign-on that is not finished by then is over. */
const MINUTES = 15;
/** How long what a provider says of itself is kept, ms. */
const KEPT_MS = 10 * 60_000;
const SECONDS = 5;

const known = new Map<string, { at: number; config: Promise<oidc.Configuration> }>();

/** What a provider says of itself (Discovery 1.0). Without encryption only on this machine. */
async function configOf(p: Provider): Promise<oidc.Configuration> {
  const key = `${keyOf(p)} ${p.clientSecret}`;
  const kept = known.get(key);
  if (kept && Date.now() - kept.at < KEPT_MS) return kept.config;
  const issuer = new URL(p.issuer);
  const isHere = ["localhost", "127.0.0.1", "[::1]"].includes(issuer.hostname);
  const config = oidc
    .discovery(
      issuer,
      p.clientId,
      p.clientSecret,
      p.auth === "basic" ? oidc.ClientSecretBasic(p.clientSecret) : undefined,
      {
        timeout: SECONDS,
        execute: isHere && issuer.protocol === "http:" ? [oidc.allowInsecureRequests] : [],
      },
    )
    .then((c) => {
      oidc.enableNonRepudiationChecks(c);
      return c;
    });
  known.set(key, { at: Date.now(), config });
  config.catch(() => known.delete(key));
  return config;
}

/** The ways in there are beside a password, as their buttons say. */
export async function waysIn(): Promise<{ key: string; name: string }[]> {
  const there = await Promise.all(
    providers().map(async (p) => (p.onlyWhileThere && !(await configOf(p).catch(() => null)) ? [] : [p])),
  );
  return there.flat().map((p) => ({ key: keyOf(p), name: p.name }));
}

/** Where the browser of somebody goes to be known, and what it is to hold meanwhile. `to`: a path. */
export async function beginSignOn(
  key: string,
  to: string,
  back: string,
): Promise<Failure | { to: string; state: string }> {
  const provider = providerOf(key);
  if (!provider) return fail("no_such_provider");
  const config = await configOf(provider).catch(() => null);
  if (!config) return fail("provider_silent");
  const state = nanoid(40);
  const nonce = nanoid(40);
  const verifier = oidc.randomPKCECodeVerifier();
  await db()`delete from sign_on_login where at < now() - ${`${MINUTES} minutes`}::interval`;
  await db()`delete from sign_on_claim where at < now() - ${`${MINUTES} minutes`}::interval`;
  await db()`
    insert into sign_on_login (state, provider, nonce, verifier, leads_to)
    values (${state}, ${key}, ${nonce}, ${verifier}, ${to.slice(0, 1_000)})`;
  const url = oidc.buildAuthorizationUrl(config, {
    redirect_uri: back,
    scope: "openid profile email",
    code_challenge: await oidc.calculatePKCECodeChallenge(verifier),
    code_challenge_method: "S256",
    state,
    nonce,
  });
  return { to: url.href, state };
}

/**
 * Somebody comes back from a provider: signed in, or asked for the password of the account that has their address already. `held`: what
 * their browser held.
 */
export async function finishSignOn(
  url: URL,
  held: string | null,
  browser: string,
): Promise<Failure | ({ to: string } & Opened) | { claim: string }> {
  const state = url.searchParams.get("state") ?? "";
  const [login] = await db()<
    { provider: string; nonce: string; verifier: string; leadsTo: string; fresh: boolean }[]
  >`delete from sign_on_login where state = ${state}
    returning provider, nonce, verifier, leads_to, at > now() - ${`${MINUTES} minutes`}::interval as fresh`;
  if (!login?.fresh) return fail("sign_on_over");
  // The browser that began is the one that comes back.
  if (held !== state) return fail("sign_on_elsewhere");
  const provider = providerOf(login.provider);
  if (!provider) return fail("no_such_provider");
  if (url.searchParams.get("error") === "access_denied") return fail("sign_on_left");
  const config = await configOf(provider).catch(() => null);
  if (!config) return fail("provider_silent");
  let said: Said;
  try {
    said = await askWho(config, url, login);
  } catch {
    return fail("bad_sign_on");
  }
  const by: SignedOn = {
    provider: login.provider,
    subject: said.subject,
    sid: textOf(said.claims.sid, 200),
    idToken: said.idToken,
  };
  return db()
    .begin(async (tx): Promise<({ to: string } & Opened) | { claim: string }> => {
      const come: Come = { provider, subject: said.subject, claims: said.claims };
      const met = await meet(tx, come);
      if ("account" in met) return enter(tx, come, met.account, login.leadsTo, by, browser);
      const id = nanoid(40);
      await tx`
        insert into sign_on_claim (id, provider, subject, claims, id_token, account_id, leads_to)
        values (${id}, ${login.provider}, ${said.subject}, ${tx.json(said.claims as never)}, ${said.idToken}, ${met.known}, ${login.leadsTo})`;
      return { claim: id };
    })
    .catch(refusal);
}

interface Said {
  subject: string;
  claims: Record<string, unknown>;
  idToken: string;
}

async function askWho(config: oidc.Configuration, url: URL, login: { nonce: string; verifier: string }): Promise<Said> {
  const tokens = await oidc.authorizationCodeGrant(config, url, {
    pkceCodeVerifier: login.verifier,
    expectedState: url.searchParams.get("state") ?? "",
    expectedNonce: login.nonce,
    idTokenExpected: true,
  });
  const own = tokens.claims()!;
  const more = config.serverMetadata().userinfo_endpoint
    ? await oidc.fetchUserInfo(config, tokens.access_token, own.sub)
    : {};
  return { subject: own.sub, claims: { ...recordOf(more), ...recordOf(own) }, idToken: tokens.id_token! };
}

async function enter(tx: Tx, come: Come, account: string, to: string, by: SignedOn, browser: string) {
  await comeAgain(tx, come, account);
  return { to, ...(await openSession(tx, account, browser, by)) };
}

/** Whose password a claim waits for; null when it is over. */
export async function claimOf(id: string): Promise<{ provider: string; email: string } | null> {
  const [row] = await db()<{ provider: string; email: string }[]>`
    select c.provider, a.email from sign_on_claim c join account a on a.id = c.account_id
    where c.id = ${id} and c.at > now() - ${`${MINUTES} minutes`}::interval and a.deleted_at is null and a.email is not null`;
  const provider = row && providerOf(row.provider);
  return row && provider ? { provider: provider.name, email: row.email } : null;
}

/** Whether somebody knows the password, and has the code, of the account a claim waits for. */
export async function proveClaim(
  id: string,
  password: string,
  code: string | undefined,
): Promise<Failure | { account: string }> {
  const [row] = await db()<{ account: string }[]>`
    select account_id as account from sign_on_claim where id = ${id} and at > now() - ${`${MINUTES} minutes`}::interval`;
  if (!row) return fail("sign_on_over");
  const wrong = await provePassword(row.account, password);
  if (wrong) return wrong.failed === "wrong_own_password" ? fail("wrong_password") : wrong;
  return (await takeStep(row.account, code)) ?? row;
}

/**
 * Ends a claim: `proven` is the account whose password was typed, and is joined with whoever came; null makes an account of their own,
 * without the address.
 */
export async function endClaim(
  id: string,
  proven: string | null,
  browser: string,
): Promise<Failure | ({ to: string } & Opened)> {
  return db()
    .begin(async (tx): Promise<Failure | ({ to: string } & Opened)> => {
      const [row] = await tx<
        {
          provider: string;
          subject: string;
          claims: Record<string, unknown>;
          idToken: string;
          accountId: string;
          leadsTo: string;
        }[]
      >`delete from sign_on_claim where id = ${id} and at > now() - ${`${MINUTES} minutes`}::interval
        returning provider, subject, claims, id_token, account_id, leads_to`;
      const provider = row && providerOf(row.provider);
      if (!row || !provider) return fail("sign_on_over");
      if (proven !== null && proven !== row.accountId) return fail("wrong_password");
      const come: Come = { provider, subject: row.subject, claims: row.claims };
      const met = await meet(tx, come, proven ?? "new");
      if (!("account" in met)) return fail("sign_on_over");
      const sid = textOf(row.claims.sid, 200);
      const by = { provider: row.provider, subject: row.subject, sid, idToken: row.idToken };
      return enter(tx, come, met.account, row.leadsTo, by, browser);
    })
    .catch(refusal);
}

/** Where a browser ends its session at the provider too; null where there is no such place. `back`: where it comes back to. */
export async function endAddress(by: SignedOn, back: string): Promise<string | null> {
  const provider = providerOf(by.provider);
  const config = provider && (await configOf(provider).catch(() => null));
  if (!config?.serverMetadata().end_session_endpoint) return null;
  return oidc.buildEndSessionUrl(config, { id_token_hint: by.idToken, post_logout_redirect_uri: back }).href;
}

/** Where the keys of a provider stand, for tokens that it sends by itself. */
export async function keysAt(p: Provider): Promise<string | null> {
  const config = await configOf(p).catch(() => null);
  return config?.serverMetadata().jwks_uri ?? null;
}
