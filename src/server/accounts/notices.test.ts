import { describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { lettersOf } from "../mail/outgoing";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { deleteAccount } from "./account";
import { chooseNotices, dismissNotices, noticeChoicesOf, noticesOf, sendDigests } from "./notices";

withTestDatabase("notices");

const HOUR = 3_600_000;
const inHours = (n: number) => new Date(Date.now() + n * HOUR);
async function person(proven = true) {
  const made = await makePerson("Nia");
  if (proven) await db()`update account set email_proven_at = now() where id = ${made.id}`;
  const tell = (kind: string, text: string) =>
    db()`insert into account_notice (account_id, kind, text) values (${made.id}, ${kind}, ${text})`;
  const here = async () => (await noticesOf(made.id)).map((n) => n.text);
  const letters = async () => (await lettersOf(made.id)).filter((l) => / notices? for you/.test(l.subject));
  return { ...made, tell, here, letters };
}

describe("notices", () => {
  it("stand here until they are read, and go by mail once they are an hour old, in one letter a day", async () => {
    const nia = await person();
    await nia.tell("named", "Obi has named you.");
    await nia.tell("class", "The groups are made.");
    await sendDigests();
    expect(await nia.letters()).toEqual([]);
    await sendDigests(inHours(2));
    const [letter, ...more] = await nia.letters();
    expect([more, letter!.subject]).toEqual([[], "2 notices for you"]);
    expect(letter!.body).toContain("- Obi has named you.\n- The groups are made.");
    // What went by mail stands here still, and goes no second time.
    expect(await nia.here()).toHaveLength(2);
    await nia.tell("named", "Obi has named you once more.");
    await sendDigests(inHours(4));
    expect(await nia.letters()).toHaveLength(1);
    await sendDigests(inHours(23));
    expect((await nia.letters())[0]).toMatchObject({ subject: "1 notice for you" });
    expect((await nia.letters())[0]!.body).toContain("once more");
  });

  it("that were read go by no mail", async () => {
    const nia = await person();
    await nia.tell("named", "Obi has named you.");
    await dismissNotices(nia.id);
    await sendDigests(inHours(2));
    expect([await nia.here(), await nia.letters()]).toEqual([[], []]);
  });

  it.each([
    [true, true, 1, 1],
    [true, false, 1, 0],
    [false, true, 0, 1],
    [false, false, 0, 0],
  ])("of a kind with here %s and by mail %s", async (here, byMail, seen, sent) => {
    const nia = await person();
    await chooseNotices(nia.id, "class", here, byMail);
    expect((await noticeChoicesOf(nia.id)).class).toEqual({ here, byMail });
    expect((await noticeChoicesOf(nia.id)).named).toEqual({ here: true, byMail: true });
    await nia.tell("class", "The groups are made.");
    // Another kind is told as before, and reading what is here takes nothing from the mail of what is not.
    await nia.tell("account", "A new password was set.");
    expect(await nia.here()).toHaveLength(seen + 1);
    if (!here) await dismissNotices(nia.id);
    await sendDigests(inHours(2));
    const body = (await nia.letters()).map((l) => l.body).join();
    expect(body.includes("The groups are made.")).toBe(sent === 1);
    expect(body.includes("A new password was set.")).toBe(here);
    // What is shown nowhere is kept nowhere.
    const left = await db()`select from account_notice where account_id = ${nia.id} and not here`;
    expect(left).toHaveLength(0);
  });

  it("of the account itself cannot be switched off", async () => {
    const nia = await person();
    await expect(
      db()`insert into notice_choice (account_id, kind, here, by_mail) values (${nia.id}, 'account', false, false)`,
    ).rejects.toThrow(/notice_choice_kind_known/);
    await nia.tell("account", "A new password was set.");
    expect(await nia.here()).toHaveLength(1);
  });

  it("go by no mail to an address that was not proven, nor without one", async () => {
    const nia = await person(false);
    await nia.tell("named", "Obi has named you.");
    await sendDigests(inHours(2));
    await db()`update account set email = null, sign_in_name = id, email_proven_at = now() where id = ${nia.id}`;
    await nia.tell("named", "Obi has named you again.");
    await sendDigests(inHours(30));
    expect([await nia.letters(), (await nia.here()).length]).toEqual([[], 2]);
  });

  it("of two processes that look at once go by one letter; a long list says how many more", async () => {
    const nia = await person();
    for (let i = 0; i < 35; i++) await nia.tell("named", `Obi has named you (${i}).`);
    await Promise.all([sendDigests(inHours(2)), sendDigests(inHours(2)), sendDigests(inHours(2))]);
    const letters = await nia.letters();
    expect([letters.length, letters[0]!.subject]).toEqual([1, "35 notices for you"]);
    expect(letters[0]!.body).toContain("And 5 more.");
  });

  it("go with the account", async () => {
    const nia = await person();
    await chooseNotices(nia.id, "named", true, false);
    await nia.tell("named", "Obi has named you.");
    await deleteAccount(nia.id);
    const left = [
      ...(await db()`select from account_notice where account_id = ${nia.id}`),
      ...(await db()`select from notice_choice where account_id = ${nia.id}`),
    ];
    expect(left).toHaveLength(0);
  });
});
