import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { exportJWK, generateKeyPair, SignJWT } from "jose";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { changePassword, deleteAccount, findAccount } from "../accounts/account";
import { findUserByCookie } from "../accounts/sessions";
import { signIn } from "../accounts/sign-in";
import { createSchool, alterSchool } from "../classes/school";
import { findClassRole, membersOf } from "../classes/class";
import { db } from "../db/pool";
import { must } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { providers } from "./providers";
import { beginSignOn, claimOf, endAddress, endClaim, finishSignOn, proveClaim, waysIn } from "./sign-on";
import { signOutBy } from "./sign-out";

withTestDatabase("sign_on");

const CLIENT = "fastigo-test";
const BACK = "http://own.example/api/sign-on/back";
const PASSWORD = "over-the-ambrel";
type Key = CryptoKey;

/** A provider whose answers are what a test wants them to be. */
let server: Server;
let issuer = "";
let own: Key;
let foreign: Key;
let key = "";
let answer: (nonce: string) => Promise<string>;
let userinfo: object = {};
let asked = "";

const sign = (claims: object, { by = own, alg = "RS256" }: { by?: Key; alg?: string } = {}) =>
  new SignJWT(claims as never).setProtectedHeader({ alg, kid: "own" }).sign(by);
const now = () => Math.floor(Date.now() / 1000);
const said = (nonce: string, more: object = {}) => ({
  iss: issuer,
  aud: CLIENT,
  sub: "ada",
  nonce,
  iat: now(),
  exp: now() + 300,
  given_name: "Ada",
  family_name: "Byron",
  ...more,
});
const config = () => ({
  name: "the school",
  issuer,
  clientId: CLIENT,
  clientSecret: "secret",
  teachers: { claim: "role", value: "teacher" },
  classes: { claim: "groups", pattern: "^class (.+)$" },
  school: "Hollin Bank School",
});

beforeAll(async () => {
  const pair = await generateKeyPair("RS256", { extractable: true });
  own = pair.privateKey;
  foreign = (await generateKeyPair("RS256")).privateKey;
  const jwk = { ...(await exportJWK(pair.publicKey)), kid: "own", alg: "RS256", use: "sig" };
  server = createServer(async (request, response) => {
    let body = "";
    for await (const part of request) body += part;
    const json = (value: object) =>
      response.writeHead(200, { "Content-Type": "application/json" }).end(JSON.stringify(value));
    if (request.url === "/.well-known/openid-configuration")
      return json({
        issuer,
        authorization_endpoint: `${issuer}/auth`,
        token_endpoint: `${issuer}/token`,
        jwks_uri: `${issuer}/jwks`,
        userinfo_endpoint: `${issuer}/me`,
        end_session_endpoint: `${issuer}/end`,
        response_types_supported: ["code"],
        subject_types_supported: ["public"],
        id_token_signing_alg_values_supported: ["RS256"],
      });
    if (request.url === "/jwks") return json({ keys: [jwk] });
    if (request.url === "/me") return json(userinfo);
    asked = body;
    const code = new URLSearchParams(body).get("code")!;
    return json({ access_token: "a", token_type: "Bearer", expires_in: 300, id_token: await answer(code) });
  });
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  issuer = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  key = `${issuer} ${CLIENT}`;
  process.env.SIGN_ON = JSON.stringify([config()]);
});
afterAll(() => {
  server.closeAllConnections();
  server.close();
  delete process.env.SIGN_ON;
});
beforeEach(() => {
  userinfo = { sub: "ada" };
  answer = (nonce) => sign(said(nonce));
});

/** Somebody comes: what is said of them in the token, and of their browser. The fake code is the nonce. */
async function come(more: object = {}, how: { held?: string; state?: string; to?: string } = {}) {
  userinfo = { sub: (more as { sub?: string }).sub ?? "ada" };
  answer = (nonce) => sign(said(nonce, more));
  return arrive(how);
}
async function arrive(how: { held?: string; state?: string; to?: string; nonce?: string } = {}) {
  const begun = must(await beginSignOn(key, how.to ?? "/", BACK));
  const url = new URL(BACK);
  const nonce = new URL(begun.to).searchParams.get("nonce")!;
  url.search = new URLSearchParams({ code: how.nonce ?? nonce, state: how.state ?? begun.state }).toString();
  return finishSignOn(url, how.held ?? begun.state, "Browser");
}
const cookieOf = (opened: { cookies: string[] }) => opened.cookies.map((c) => c.split(";")[0]).join("; ");
const userOf = async (done: object) => findUserByCookie(cookieOf(must(done as never)));

describe("signing on through a school's own accounts", () => {
  it("makes one account for somebody, and finds it again", async () => {
    const first = await come({ sub: "bo", given_name: "Bo", family_name: "Reed" }, { to: "/shelf" });
    expect(first).toMatchObject({ to: "/shelf" });
    const bo = await userOf(first);
    expect(bo).toMatchObject({ displayName: "Bo R." });
    expect(await userOf(await come({ sub: "bo" }))).toEqual(bo);
    const account = (await findAccount(bo!.id))!;
    expect(account).toMatchObject({ email: null, hasPassword: false });
    // What was asked of the provider carries the proof that it was asked from here.
    expect(new URLSearchParams(asked).get("code_verifier")).toMatch(/^[\w-]{43,}$/);
    // No password opens it.
    expect(await signIn(account.signInName!, "closed")).toMatchObject({ failed: "wrong_password" });
    // Who has deleted theirs comes as somebody new.
    await deleteAccount(bo!.id);
    expect((await userOf(await come({ sub: "bo" })))!.id).not.toBe(bo!.id);
  });

  it("takes what is said beside the token, for the same somebody only", async () => {
    answer = (nonce) => sign(said(nonce, { sub: "cy", given_name: undefined, family_name: undefined }));
    userinfo = { sub: "cy", given_name: "Cy", family_name: "Marsh" };
    expect(await userOf(await arrive())).toMatchObject({ displayName: "Cy M." });
    answer = (nonce) => sign(said(nonce, { sub: "cy" }));
    userinfo = { sub: "iris", given_name: "Iris" };
    expect(await arrive()).toMatchObject({ failed: "bad_sign_on" });
  });

  it.each<[string, (nonce: string) => Promise<string>]>([
    ["another issuer", (n) => sign(said(n, { iss: "http://other.example" }))],
    ["another audience", (n) => sign(said(n, { aud: "somebody-else" }))],
    ["several audiences for somebody else", (n) => sign(said(n, { aud: [CLIENT, "x"], azp: "x" }))],
    ["another nonce", () => sign(said("another"))],
    ["no nonce", (n) => sign({ ...said(n), nonce: undefined })],
    ["a time that is over", (n) => sign(said(n, { iat: now() - 4_000, exp: now() - 3_000 }))],
    ["no end", (n) => sign({ ...said(n), exp: undefined })],
    ["nobody", (n) => sign({ ...said(n), sub: undefined })],
    ["another key", (n) => sign(said(n), { by: foreign })],
    [
      "no signature",
      async (n) =>
        `${Buffer.from('{"alg":"none"}').toString("base64url")}.${Buffer.from(JSON.stringify(said(n))).toString("base64url")}.`,
    ],
    ["no token", async () => "none"],
  ])("with %s nobody is let in", async (_, token) => {
    answer = token;
    const before = await db()`select from account`;
    expect(await arrive()).toMatchObject({ failed: "bad_sign_on" });
    expect(await db()`select from account`).toHaveLength(before.length);
  });

  it("ends where it was begun: once, in the same browser, in time, with a provider that is known", async () => {
    expect(await come({}, { held: "another" })).toMatchObject({ failed: "sign_on_elsewhere" });
    expect(await come({}, { state: "another" })).toMatchObject({ failed: "sign_on_over" });
    const { to, state } = must(await beginSignOn(key, "/", BACK));
    const url = new URL(BACK);
    url.search = new URLSearchParams({ code: new URL(to).searchParams.get("nonce")!, state }).toString();
    must((await finishSignOn(url, state, "")) as never);
    expect(await finishSignOn(url, state, "")).toMatchObject({ failed: "sign_on_over" });
    const late = must(await beginSignOn(key, "/", BACK));
    await db()`update sign_on_login set at = now() - interval '16 minutes'`;
    url.search = new URLSearchParams({ code: "x", state: late.state }).toString();
    expect(await finishSignOn(url, late.state, "")).toMatchObject({ failed: "sign_on_over" });
    expect(await beginSignOn("http://other.example x", "/", BACK)).toMatchObject({ failed: "no_such_provider" });
    const left = must(await beginSignOn(key, "/", BACK));
    url.search = new URLSearchParams({ error: "access_denied", state: left.state }).toString();
    expect(await finishSignOn(url, left.state, "")).toMatchObject({ failed: "sign_on_left" });
  });

  it("an address that was proven there is the account's; one that was not is nobody's", async () => {
    const wren = await userOf(await come({ sub: "wren", email: "wren@school.example", email_verified: true }));
    expect(await findAccount(wren!.id)).toMatchObject({ email: "wren@school.example", emailProven: true });
    const kit = await userOf(await come({ sub: "kit", email: "kit@school.example" }));
    expect(await findAccount(kit!.id)).toMatchObject({ email: null });
  });
});

describe("an account that has the address already", () => {
  it("is joined by its password, and by nothing else", async () => {
    const nia = await makePerson("Nia");
    const who = { sub: "nia", email: nia.email.toUpperCase(), email_verified: true };
    const waits = must((await come(who)) as { claim: string });
    expect(await claimOf(waits.claim)).toEqual({ provider: "the school", email: nia.email });
    expect(await proveClaim(waits.claim, "under-the-ambrel", undefined)).toMatchObject({ failed: "wrong_password" });
    const obi = await makePerson("Obi");
    // Another account's proof is none.
    expect(await endClaim(waits.claim, obi.id, "")).toMatchObject({ failed: "wrong_password" });
    const again = must((await come(who)) as { claim: string });
    const proven = must(await proveClaim(again.claim, PASSWORD, undefined));
    expect(proven.account).toBe(nia.id);
    expect(await userOf(await endClaim(again.claim, proven.account, ""))).toMatchObject({ id: nia.id });
    expect(await claimOf(again.claim)).toBeNull();
    expect(await endClaim(again.claim, nia.id, "")).toMatchObject({ failed: "sign_on_over" });
    // From then on without it.
    expect(await userOf(await come(who))).toMatchObject({ id: nia.id, displayName: "Nia" });
  });

  it("stays whose it is when it is not theirs: they get one without the address", async () => {
    const obi = await makePerson("Obi");
    const { claim } = must((await come({ sub: "obi-2", email: obi.email, email_verified: true })) as { claim: string });
    const made = await userOf(await endClaim(claim, null, ""));
    expect(made!.id).not.toBe(obi.id);
    expect(await findAccount(made!.id)).toMatchObject({ email: null });
    expect(await findAccount(obi.id)).toMatchObject({ email: obi.email });
  });
});

describe("classes of a school", () => {
  it("are made by who teaches them, and entered by those whose groups they are; nobody is taken out", async () => {
    const admin = await makePerson("Head");
    const school = must(await createSchool(admin.id, "Hollin Bank School")).id;
    const groups = ["class 7A", "choir"];
    const early = await userOf(await come({ sub: "early", groups }));
    expect(await db()`select from class where name = '7A'`).toHaveLength(0);
    const iris = await userOf(
      await come({ sub: "iris", name: "Iris Ward", role: "teacher", groups: ["staff", "class 7A"] }),
    );
    expect(iris!.displayName).toBe("Iris Ward");
    const [klass] = await db()<{ id: string; organisationId: string }[]>`
      select id, organisation_id from class where name = '7A'`;
    expect(klass!.organisationId).toBe(school);
    expect(await findClassRole(db(), klass!.id, iris!.id)).toBe("teacher");
    expect(
      await db()`select from organisation_member where account_id = ${iris!.id} and role = 'teacher'`,
    ).toHaveLength(1);
    // Whoever came before finds it the next time; a role as a list is read too.
    await come({ sub: "early", groups });
    await come({ sub: "early", groups: [] });
    expect((await membersOf(klass!.id)).map((m) => m.id)).toEqual([early!.id]);
    const other = await userOf(await come({ sub: "second", name: "Tom Hale", role: ["teacher"], groups: "class 7A" }));
    expect(await findClassRole(db(), klass!.id, other!.id)).toBe("teacher");
    expect(await db()`select from class where name = '7A'`).toHaveLength(1);
    // Next year's is another.
    await db()`update class set archived_at = now() where id = ${klass!.id}`;
    await come({ sub: "iris", role: "teacher", groups });
    expect(await db()`select from class where name = '7A'`).toHaveLength(2);
  });

  it("of a school that asks for it, its people come in that way alone; administrators may use their password", async () => {
    const [row] = await db()<{ id: string }[]>`select id from organisation where name = 'Hollin Bank School'`;
    const [admin] = await db()<{ accountId: string }[]>`
      select account_id from organisation_member where organisation_id = ${row!.id} and role = 'administrator'`;
    const tom = await makePerson("Tom");
    const { claim } = must(
      (await come({ sub: "tom", role: "teacher", email: tom.email, groups: [] })) as { claim: string },
    );
    must((await endClaim(claim, must(await proveClaim(claim, PASSWORD, undefined)).account, "")) as never);
    expect(await signIn(tom.email, PASSWORD)).toMatchObject({ user: { id: tom.id } });
    expect(await alterSchool(row!.id, admin!.accountId, { signOnProvider: "http://other.example x" })).toMatchObject({
      failed: "no_such_provider",
    });
    expect(await alterSchool(row!.id, tom.id, { signOnProvider: key })).toMatchObject({
      failed: "administrators_only",
    });
    must(await alterSchool(row!.id, admin!.accountId, { signOnProvider: key }));
    expect(await signIn(tom.email, PASSWORD)).toMatchObject({
      failed: "use_sign_on",
      detail: "Choose “Sign in through the school”.",
    });
    expect(await signIn(tom.email, "under-the-ambrel")).toMatchObject({ failed: "wrong_password" });
    const { email } = (await findAccount(admin!.accountId))!;
    expect(await signIn(email!, PASSWORD)).toMatchObject({ user: { id: admin!.accountId } });
    // Where the provider is not set up any more, nobody is shut out.
    const set = process.env.SIGN_ON!;
    process.env.SIGN_ON = "";
    expect(await signIn(tom.email, PASSWORD)).toMatchObject({ user: { id: tom.id } });
    process.env.SIGN_ON = set;
    must(await alterSchool(row!.id, admin!.accountId, { signOnProvider: null }));
    expect(await signIn(tom.email, PASSWORD)).toMatchObject({ user: { id: tom.id } });
  });
});

describe("a first password, and signing out", () => {
  it("is set by whoever came in a moment ago", async () => {
    const ada = (await userOf(await come({ sub: "ada-2" })))!;
    const next = "three-old-boats-at-dusk";
    expect(await changePassword(ada.id, { password: "", next }, "")).toMatchObject({ failed: "sign_on_again" });
    must(await changePassword(ada.id, { password: "", next }, "", true));
    expect(await signIn((await findAccount(ada.id))!.signInName!, next)).toMatchObject({ user: { id: ada.id } });
    // Once there is one, it is asked for.
    expect(await changePassword(ada.id, { password: "", next: PASSWORD }, "", true)).toMatchObject({
      failed: "wrong_own_password",
    });
  });

  it("leads to the provider's own end, with the token it gave", async () => {
    const address = await endAddress(
      { provider: key, subject: "ada", sid: "", idToken: "token" },
      "http://own.example/",
    );
    const url = new URL(address!);
    expect([
      url.pathname,
      url.searchParams.get("id_token_hint"),
      url.searchParams.get("post_logout_redirect_uri"),
    ]).toEqual(["/end", "token", "http://own.example/"]);
    expect(await endAddress({ provider: "none", subject: "", sid: "", idToken: "" }, "http://own.example/")).toBeNull();
  });

  const EVENT = "http://schemas.openid.net/event/backchannel-logout";
  const out = (more: object = {}) => ({
    iss: issuer,
    aud: CLIENT,
    iat: now(),
    exp: now() + 120,
    jti: Math.random().toString(36),
    events: { [EVENT]: {} },
    ...more,
  });

  it("there ends the session here: that one, or all of somebody", async () => {
    const open = async (sid: string) => cookieOf(must((await come({ sub: "leaver", sid })) as { cookies: string[] }));
    const [one, two, three] = [await open("s1"), await open("s2"), await open("s3")];
    const elsewhere = cookieOf(must((await come({ sub: "stays", sid: "s9" })) as { cookies: string[] }));
    const token = await sign(out({ sid: "s1", sub: "leaver" }));
    expect(await signOutBy(token)).toEqual({ ended: 1 });
    expect([await findUserByCookie(one), (await findUserByCookie(two)) !== null]).toEqual([null, true]);
    expect(await signOutBy(token)).toEqual({ ended: 0 });
    expect(await signOutBy(await sign(out({ sub: "leaver" })))).toEqual({ ended: 2 });
    expect([await findUserByCookie(two), await findUserByCookie(three)]).toEqual([null, null]);
    expect(await findUserByCookie(elsewhere)).not.toBeNull();
  });

  it.each<[string, () => Promise<string>]>([
    ["nothing", async () => ""],
    ["another key", () => sign(out({ sub: "ada" }), { by: foreign })],
    ["another audience", () => sign(out({ sub: "ada", aud: "x" }))],
    ["another issuer", () => sign(out({ sub: "ada", iss: "http://other.example" }))],
    ["a time long over", () => sign(out({ sub: "ada", iat: now() - 4_000, exp: now() - 3_000 }))],
    ["a nonce, as tokens that sign in have it", () => sign(out({ sub: "ada", nonce: "x" }))],
    ["no event", () => sign(out({ sub: "ada", events: {} }))],
    ["nobody", () => sign(out())],
  ])("there with %s ends nothing", async (_, token) => {
    expect(await signOutBy(await token())).toMatchObject({ failed: "bad_sign_out" });
  });
});

describe("what is set up", () => {
  it.each([
    ["nothing", "", 0],
    ["no JSON", "{", 0],
    ["no list", "{}", 0],
    ["a field too many", () => JSON.stringify([{ ...config(), more: 1 }]), 0],
    ["a pattern that is none", () => JSON.stringify([{ ...config(), classes: { claim: "g", pattern: "(" } }]), 0],
    ["two", () => JSON.stringify([config(), { ...config(), clientId: "x" }]), 2],
  ])("as %s", (_, text, count) => {
    const set = process.env.SIGN_ON!;
    process.env.SIGN_ON = typeof text === "string" ? text : text();
    expect(providers()).toHaveLength(count);
    process.env.SIGN_ON = set;
  });

  it("shows a stand-in only while it is there", async () => {
    const set = process.env.SIGN_ON!;
    process.env.SIGN_ON = JSON.stringify([
      config(),
      { ...config(), issuer: "http://127.0.0.1:9", onlyWhileThere: true },
    ]);
    expect(await waysIn()).toEqual([{ key, name: "the school" }]);
    expect(await beginSignOn(`http://127.0.0.1:9 ${CLIENT}`, "/", BACK)).toMatchObject({ failed: "provider_silent" });
    process.env.SIGN_ON = set;
  });
});
