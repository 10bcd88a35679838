// LTI 1.3 Core (IMS Global, 2019): the login that a platform begins (section 5.1.1 of the Security Framework), and the launch.
import "server-only";
import { WORDS as COMMON } from "@/core/words/common";
import { recordOf, textOf } from "@/core/text/loose";
import { createRemoteJWKSet, errors, type JWTPayload, jwtVerify } from "jose";
import { customAlphabet, nanoid } from "nanoid";
import { type Opened, openSession } from "../accounts/sessions";
import { readDisplayName } from "../accounts/sign-up";
import { CLOSED, newSignInName } from "../classes/one-time-code";
import { assignmentIdsOf } from "../classes/assignment";
import { enterClass, openClass } from "../classes/enter-class";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, Refused, refusal } from "../http/failure";
import { keyOf, type Platform, platformBy, platformOf } from "./platforms";

const newState = customAlphabet("abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789", 40);
/** A login that is not finished by then is over. */
const MINUTES = 10;
const CLAIM = "https://purl.imsglobal.org/spec/lti/claim/";
const AGS = "https://purl.imsglobal.org/spec/lti-ags/claim/endpoint";
const NRPS = "https://purl.imsglobal.org/spec/lti-nrps/claim/namesroleservice";
const DEEP_LINK = "https://purl.imsglobal.org/spec/lti-dl/claim/deep_linking_settings";

/** Where the browser of somebody goes to be known, and what it is to hold meanwhile. */
export async function beginLogin(
  asked: URLSearchParams,
  launchUrl: string,
): Promise<Failure | { to: string; state: string }> {
  const platform = platformBy(asked.get("iss") ?? "", asked.get("client_id"));
  if (!platform) return fail("no_such_platform");
  const hint = asked.get("login_hint");
  if (!hint) return fail("bad_launch");
  const state = newState();
  const nonce = newState();
  await db()`delete from lti_login where at < now() - ${`${MINUTES} minutes`}::interval`;
  await db()`insert into lti_login (state, nonce, platform) values (${state}, ${nonce}, ${keyOf(platform)})`;
  const to = new URL(platform.auth);
  const ask: Record<string, string> = {
    scope: "openid",
    response_type: "id_token",
    response_mode: "form_post",
    prompt: "none",
    client_id: platform.clientId,
    redirect_uri: launchUrl,
    login_hint: hint,
    state,
    nonce,
  };
  const message = asked.get("lti_message_hint");
  if (message) ask.lti_message_hint = message;
  for (const [name, value] of Object.entries(ask)) to.searchParams.set(name, value);
  return { to: to.href, state };
}

const keySets = new Map<string, ReturnType<typeof createRemoteJWKSet>>();
function keysOf(platform: Platform): ReturnType<typeof createRemoteJWKSet> {
  const known = keySets.get(platform.jwks) ?? createRemoteJWKSet(new URL(platform.jwks), { timeoutDuration: 5_000 });
  keySets.set(platform.jwks, known);
  return known;
}

interface Message {
  platform: Platform;
  payload: JWTPayload;
  teaches: boolean;
}

/** What a launch says, checked; each login is used once, so that one that is sent again says nothing. */
async function readMessage(token: string, state: string, held: string | null): Promise<Failure | Message> {
  const [login] = await db()<{ nonce: string; platform: string; fresh: boolean }[]>`
    delete from lti_login where state = ${state}
    returning nonce, platform, at > now() - ${`${MINUTES} minutes`}::interval as fresh`;
  if (!login?.fresh) return fail("launch_over");
  // The browser that began is the one that comes back.
  if (held !== state) return fail("launch_elsewhere");
  const platform = platformOf(login.platform);
  if (!platform) return fail("no_such_platform");
  let payload: JWTPayload;
  try {
    ({ payload } = await jwtVerify(token, keysOf(platform), {
      issuer: platform.issuer,
      audience: platform.clientId,
      algorithms: ["RS256"],
      clockTolerance: 60,
      maxTokenAge: "10 minutes",
      requiredClaims: ["sub", "exp", "iat", "nonce"],
    }));
  } catch (error) {
    return fail(error instanceof errors.JWTExpired ? "launch_over" : "bad_launch");
  }
  const several = Array.isArray(payload.aud) && payload.aud.length > 1;
  if (payload.nonce !== login.nonce) return fail("bad_launch");
  if ((several || payload.azp !== undefined) && payload.azp !== platform.clientId) return fail("bad_launch");
  if (payload[`${CLAIM}version`] !== "1.3.0") return fail("bad_launch");
  if (!platform.deployments.includes(String(payload[`${CLAIM}deployment_id`]))) return fail("bad_launch");
  const roles = payload[`${CLAIM}roles`];
  const teaches =
    Array.isArray(roles) && roles.some((r) => /membership#(Instructor|ContentDeveloper)$/.test(String(r)));
  return { platform, payload, teaches };
}

const text = (value: unknown, most = 500) => textOf(value, most);

/** Takes somebody in who comes from a platform: who they are, which class it is, and where they go. */
export async function launch(
  token: string,
  state: string,
  held: string | null,
  browser: string,
): Promise<Failure | ({ to: string } & Opened)> {
  const message = await readMessage(token, state, held);
  if ("failed" in message) return message;
  const { platform, payload, teaches } = message;
  const context = recordOf(payload[`${CLAIM}context`]);
  if (text(context.id) === "") return fail("no_course");
  return db()
    .begin(async (tx): Promise<{ to: string } & Opened> => {
      const account = await accountFor(tx, platform, payload);
      const klass = await classFor(tx, platform, context, payload, account, teaches);
      const to =
        payload[`${CLAIM}message_type`] === "LtiDeepLinkingRequest"
          ? await choiceFor(tx, platform, payload, account, klass, teaches)
          : await targetOf(tx, platform, payload, klass);
      return { to, ...(await openSession(tx, account, browser)) };
    })
    .catch(refusal);
}

async function accountFor(tx: Tx, platform: Platform, payload: JWTPayload): Promise<string> {
  const key = keyOf(platform);
  await tx`select pg_advisory_xact_lock(hashtext(${`${key} ${payload.sub}`}))`;
  const [known] = await tx<{ id: string }[]>`
    select l.account_id as id from lti_account l join account a on a.id = l.account_id
    where l.platform = ${key} and l.subject = ${payload.sub!} and a.deleted_at is null`;
  if (known) return known.id;
  return makeAccount(tx, platform, payload.sub!, text(payload.given_name, 60), text(payload.family_name, 60), null);
}

/** An account for somebody of a platform: their class sees the given name and one letter. */
export async function makeAccount(
  tx: Tx,
  platform: Platform,
  subject: string,
  given: string,
  family: string,
  klass: string | null,
): Promise<string> {
  const letter = [...family.trim()][0];
  const displayName =
    readDisplayName(given ? `${given}${letter ? ` ${letter.toUpperCase()}.` : ""}` : "") ?? COMMON.somebody;
  const id = nanoid();
  await newSignInName(displayName, async (name) => {
    const made = await tx`
      insert into account (id, display_name, sign_in_name, password_hash, made_in_class)
      values (${id}, ${displayName}, ${name}, ${CLOSED}, ${klass}) on conflict do nothing returning id`;
    return made.length > 0;
  });
  await tx`
    insert into lti_account (platform, subject, account_id) values (${keyOf(platform)}, ${subject}, ${id})
    on conflict (platform, subject) do update set account_id = excluded.account_id`;
  return id;
}

/** The class a course is; whoever teaches it there makes it by opening it. */
async function classFor(
  tx: Tx,
  platform: Platform,
  context: Record<string, unknown>,
  payload: JWTPayload,
  account: string,
  teaches: boolean,
): Promise<string> {
  const key = keyOf(platform);
  const course = text(context.id);
  await tx`select pg_advisory_xact_lock(hashtext(${`${key} course ${course}`}))`;
  const memberships = text(recordOf(payload[NRPS]).context_memberships_url, 2_000);
  const [known] = await tx<{ id: string }[]>`
    update lti_course set memberships = coalesce(nullif(${memberships}, ''), memberships)
    where platform = ${key} and context = ${course} returning class_id as id`;
  let klass = known?.id ?? null;
  if (klass === null) {
    if (!teaches) throw new Refused(fail("course_not_opened"));
    const name = (text(context.title, 80).trim() || text(context.label, 80).trim() || platform.name).slice(0, 80);
    klass = await openClass(tx, name, null, account);
    await tx`
      insert into lti_course (platform, context, class_id, memberships) values (${key}, ${course}, ${klass}, ${memberships})`;
  } else await enterClass(tx, klass, account, teaches);
  return klass;
}

/** Where a link of the platform leads: the assignment it was made for, else the class. */
async function targetOf(tx: Tx, platform: Platform, payload: JWTPayload, klass: string): Promise<string> {
  const link = text(recordOf(payload[`${CLAIM}resource_link`]).id);
  const item = text(recordOf(payload[AGS]).lineitem, 2_000);
  const wanted = text(recordOf(payload[`${CLAIM}custom`]).assignment, 40);
  const set = await assignmentIdsOf(tx, klass);
  if (link !== "" && set.includes(wanted))
    await tx`
      insert into lti_link (platform, link, assignment_id, line_item) values (${keyOf(platform)}, ${link}, ${wanted}, ${item})
      on conflict (platform, link) do nothing`;
  const [known] = await tx<{ id: string }[]>`
    update lti_link set line_item = coalesce(nullif(${item}, ''), line_item)
    where platform = ${keyOf(platform)} and link = ${link} and assignment_id = any(${set}) returning assignment_id as id`;
  return known ? `/assignments/${known.id}` : `/classes/${klass}`;
}

/** A choice of what is to be linked, for somebody who teaches there. */
async function choiceFor(
  tx: Tx,
  platform: Platform,
  payload: JWTPayload,
  account: string,
  klass: string,
  teaches: boolean,
): Promise<string> {
  const settings = recordOf(payload[DEEP_LINK]);
  const to = text(settings.deep_link_return_url, 2_000);
  if (!teaches || !/^https?:\/\//.test(to)) throw new Refused(fail("bad_launch"));
  const id = nanoid(16);
  await tx`
    insert into lti_choice (id, platform, account_id, class_id, deployment, return_url, data)
    values (${id}, ${keyOf(platform)}, ${account}, ${klass}, ${String(payload[`${CLAIM}deployment_id`])}, ${to}, ${text(settings.data, 10_000)})`;
  return `/lti/${id}`;
}
