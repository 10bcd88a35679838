import { generateSync } from "otplib";
import { describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { keyLetters, lettersOf } from "../mail/outgoing";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { must } from "../testing/school";
import { invitationsFor, invitePeople } from "../timelines/invite";
import { makeTimeline } from "../testing/test-database";
import { changeAccount, changePassword, deleteAccount, findAccount } from "./account";
import { proveAddress, sendAddressLetter, sendSignInLink, signInByLink, signInLinkOf } from "./mail-keys";
import { signIn } from "./sign-in";
import { beginSteps, confirmSteps, endSteps, hasSteps } from "./steps";

withTestDatabase("ways_in");

const RIGHT = "over-the-ambrel";
const at = (key: string) => `http://own.example/${key}`;
/** The key in the last letter to an address. */
async function keyTo(email: string): Promise<string> {
  const letter = (await keyLetters()).find((l) => l.recipient === email && l.body.includes("http://own.example/"));
  return letter!.body.match(/http:\/\/own\.example\/([\w-]+)/)![1]!;
}
const proven = async (id: string) => (await findAccount(id))!.emailProven;

describe("a link by mail", () => {
  it("signs in once, and proves the address", async () => {
    const nia = await makePerson("Nia");
    must(await sendSignInLink(` ${nia.email.toUpperCase()} `, at));
    const key = await keyTo(nia.email);
    expect([await proven(nia.id), await signInLinkOf(key)]).toEqual([false, { displayName: "Nia", hasSteps: false }]);
    // Of two who open it at once, one is signed in.
    const both = await Promise.all([signInByLink(key, undefined, ""), signInByLink(key, undefined, "")]);
    expect(both.filter((b) => "user" in b)).toHaveLength(1);
    expect([await proven(nia.id), await signInLinkOf(key)]).toEqual([true, null]);
    expect(await signInByLink(key, undefined, "")).toMatchObject({ failed: "link_over" });
  });

  it.each([
    ["", "email_malformed"],
    ["nia", "email_malformed"],
    ["a@b.example, c@d.example", "one_address"],
    ["a@b.example;c@d.example", "one_address"],
    ["a@b.example\r\nBcc: c@d.example", "email_malformed"],
  ])("to %j is refused", async (typed, failed) => expect(await sendSignInLink(typed, at)).toMatchObject({ failed }));

  it("to an address without an account says the same and sends nothing", async () => {
    const before = (await keyLetters()).length;
    expect(await sendSignInLink("nobody-at-all@hollinbank.example", at)).toEqual({ sent: true });
    expect(await keyLetters()).toHaveLength(before);
  });

  it("is over after a quarter of an hour, with another address, with another password, and with the account", async () => {
    const person = await makePerson("Wren");
    const link = async () => {
      const { email } = (await findAccount(person.id))!;
      must(await sendSignInLink(email!, at));
      return keyTo(email!);
    };
    const late = await link();
    await db()`update mail_key set expires_at = now() - interval '1 second'`;
    expect(await signInByLink(late, undefined, "")).toMatchObject({ failed: "link_over" });
    const moved = await link();
    must(await changeAccount(person.id, { email: "wren-now@hollinbank.example", password: RIGHT }));
    expect(await signInByLink(moved, undefined, "")).toMatchObject({ failed: "link_over" });
    const old = await link();
    must(await changePassword(person.id, { password: RIGHT, next: "under-the-ambrel" }, ""));
    expect(await signInByLink(old, undefined, "")).toMatchObject({ failed: "link_over" });
    const gone = await link();
    await deleteAccount(person.id);
    expect(await signInByLink(gone, undefined, "")).toMatchObject({ failed: "link_over" });
  });

  it("keeps five of an account at a time", async () => {
    const { id, email } = await makePerson("Kit");
    must(await sendSignInLink(email, at));
    const first = await keyTo(email);
    for (let i = 0; i < 5; i++) must(await sendSignInLink(email, at));
    expect(await signInLinkOf(first)).toBeNull();
    expect(await db()`select from mail_key where account_id = ${id}`).toHaveLength(5);
  });
});

describe("an address", () => {
  it("is proven by whoever has the letter and the account, and asked about once more when it changes", async () => {
    const [nia, obi] = [await makePerson("Nia"), await makePerson("Obi")];
    must(await sendAddressLetter(nia.id, at));
    const key = await keyTo(nia.email);
    // It is a key to nothing but this.
    expect(await signInByLink(key, undefined, "")).toMatchObject({ failed: "link_over" });
    expect(await proveAddress(obi.id, key)).toMatchObject({ failed: "link_over" });
    expect(await proven(nia.id)).toBe(false);
    must(await proveAddress(nia.id, key));
    expect(await sendAddressLetter(nia.id, at)).toMatchObject({ failed: "address_proven" });
    must(await changeAccount(nia.id, { email: nia.email.toUpperCase(), password: RIGHT }));
    expect(await proven(nia.id)).toBe(true);
    must(await changeAccount(nia.id, { email: "nia-anew@hollinbank.example", password: RIGHT }));
    expect(await proven(nia.id)).toBe(false);
    const told = (await lettersOf(nia.id)).filter((l) => l.subject === "Your address was changed");
    expect(told).toMatchObject([{ recipient: nia.email.toUpperCase() }]);
    expect(told[0]!.body).toContain("nia-anew@hollinbank.example");
  });

  it("that was not proven shows no invitation that was sent to it", async () => {
    const [nia, obi] = [await makePerson("Nia"), await makePerson("Obi")];
    const timeline = await makeTimeline(nia.id);
    must(await invitePeople(timeline, nia.id, { emails: [obi.email] }, "reader"));
    expect(await invitationsFor(obi.id)).toEqual([]);
    must(await sendAddressLetter(obi.id, at));
    must(await proveAddress(obi.id, await keyTo(obi.email)));
    expect(await invitationsFor(obi.id)).toMatchObject([{ title: "Crossings", role: "reader" }]);
  });
});

describe("two-step codes", () => {
  const codeOf = (secret: string, ago = 0) => generateSync({ secret, epoch: Math.floor(Date.now() / 1000) - ago });
  async function withSteps() {
    const person = await makePerson("Nia");
    const { secret, address } = must(await beginSteps(person.id, RIGHT));
    const { spare } = must(await confirmSteps(person.id, codeOf(secret, 30)));
    return { ...person, secret, address, spare };
  }

  it("are turned on with the password and the first code", async () => {
    const { id } = await makePerson("Nia");
    expect(await confirmSteps(id, "123456")).toMatchObject({ failed: "steps_not_begun" });
    expect(await beginSteps(id, "under-the-ambrel")).toMatchObject({ failed: "wrong_own_password" });
    const { secret, address } = must(await beginSteps(id, RIGHT));
    expect(address).toMatch(/^otpauth:\/\/totp\/Fastigo/);
    expect(new URL(address).searchParams.get("secret")).toBe(secret);
    // Until then the account is entered as before.
    expect(await hasSteps(id)).toBe(false);
    const wrong = codeOf(secret, 3_600);
    expect(await confirmSteps(id, wrong)).toMatchObject({ failed: "wrong_step_code" });
    const { spare } = must(await confirmSteps(id, codeOf(secret)));
    expect([new Set(spare).size, await hasSteps(id)]).toEqual([8, true]);
    expect(await beginSteps(id, RIGHT)).toMatchObject({ failed: "steps_on" });
    must(await endSteps(id, RIGHT));
    expect(await hasSteps(id)).toBe(false);
  });

  it("are asked after the right password only, and each is good once", async () => {
    const { id, email, secret } = await withSteps();
    expect(await signIn(email, "under-the-ambrel")).toMatchObject({ failed: "wrong_password" });
    expect(await signIn(email, RIGHT)).toMatchObject({ failed: "step_code_needed" });
    expect(await signIn(email, RIGHT, { code: codeOf(secret, 3_600) })).toMatchObject({ failed: "wrong_step_code" });
    expect(await signIn(email, RIGHT, { code: "abc" })).toMatchObject({ failed: "wrong_step_code" });
    const code = codeOf(secret);
    const both = await Promise.all([signIn(email, RIGHT, { code }), signIn(email, RIGHT, { code: ` ${code} ` })]);
    expect(both.filter((b) => "user" in b && b.user.id === id)).toHaveLength(1);
    expect(await signIn(email, RIGHT, { code })).toMatchObject({ failed: "step_code_used" });
    // The one before is behind it.
    expect(await signIn(email, RIGHT, { code: codeOf(secret, 30) })).toMatchObject({ failed: "step_code_used" });
  });

  it("have spare ones, each good once, however it is written", async () => {
    const { email, spare } = await withSteps();
    const code = spare[0]!.toUpperCase().replace("-", " ");
    expect(await signIn(email, RIGHT, { code })).toMatchObject({ user: { displayName: "Nia" } });
    expect(await signIn(email, RIGHT, { code })).toMatchObject({ failed: "wrong_step_code" });
    expect(await signIn(email, RIGHT, { code: spare[1]! })).toMatchObject({ user: { displayName: "Nia" } });
  });

  it("are asked with a link by mail too; without one the link stays good", async () => {
    const { email, secret } = await withSteps();
    must(await sendSignInLink(email, at));
    const key = await keyTo(email);
    expect(await signInLinkOf(key)).toEqual({ displayName: "Nia", hasSteps: true });
    expect(await signInByLink(key, undefined, "")).toMatchObject({ failed: "step_code_needed" });
    expect(await signInByLink(key, "000000", "")).toMatchObject({ failed: "wrong_step_code" });
    expect(await signInByLink(key, codeOf(secret), "")).toMatchObject({ user: { displayName: "Nia" } });
  });

  it("are not guessed: after a few wrong ones one has to wait", async () => {
    const { email, secret } = await withSteps();
    const far = [codeOf(secret, 3_600), codeOf(secret, 7_200)];
    for (let i = 0; i < 6; i++) await signIn(email, RIGHT, { code: far[i % 2]! });
    expect(await signIn(email, RIGHT, { code: codeOf(secret) })).toMatchObject({ failed: "slow_down" });
  });
});
