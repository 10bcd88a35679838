import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { SMTPServer } from "smtp-server";
import { db } from "../db/pool";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { deliver, keyLetters, lettersOf, MOST_RECIPIENTS, readAddresses, sendLetters } from "./outgoing";

withTestDatabase("outgoing_mail");

describe("addresses somebody typed", () => {
  it("are each one, once, however they are parted", () => {
    expect(readAddresses("nia@ambrel.example")).toEqual(["nia@ambrel.example"]);
    expect(readAddresses(" nia@ambrel.example ;obi@ambrel.example,, nia@ambrel.example,")).toEqual([
      "nia@ambrel.example",
      "obi@ambrel.example",
    ]);
    for (const fine of ["o'neill+history@ambrel.co.example", "x@a-b.example", "ü@ambrel.example"])
      expect([fine, readAddresses(fine)]).toEqual([fine, [fine]]);
  });

  it.each([
    ["nothing", ""],
    ["signs alone", " , ; "],
    ["a name", "Nia"],
    ["no server", "nia@"],
    ["a server without its domain", "nia@localhost"],
    ["two signs", "nia@@ambrel.example"],
    ["a name before it", "Nia <nia@ambrel.example>"],
    ["another header", "nia@ambrel.example\nBcc: all@ambrel.example"],
    ["another header, by its other sign", "nia@ambrel.example\rBcc:x@ambrel.example"],
    ["a quoted one", '"nia"@ambrel.example'],
    ["a domain that ends in a hyphen", "nia@ambrel-.example"],
    ["a long name", `${"n".repeat(65)}@ambrel.example`],
    ["a long one", `nia@${"a".repeat(250)}.example`],
    ["one that is none among others", "nia@ambrel.example, obi"],
    ["very many", Array.from({ length: MOST_RECIPIENTS + 1 }, (_, i) => `p${i}@ambrel.example`).join(",")],
  ])("are none where they are %s", (_, typed) => {
    expect(readAddresses(typed)).toBeNull();
  });
});

/** A server that takes mail, or refuses whom it is for. */
class Mailbox {
  letters: string[] = [];
  to: string[] = [];
  refuses = false;
  readonly server = new SMTPServer({
    disabledCommands: ["AUTH", "STARTTLS"],
    onRcptTo: (_address, _session, done) =>
      this.refuses ? done(Object.assign(new Error("nobody here of that name"), { responseCode: 550 })) : done(),
    onData: (stream, session, done) => {
      const parts: Buffer[] = [];
      stream.on("data", (d: Buffer) => parts.push(d));
      stream.on("end", () => {
        this.letters.push(Buffer.concat(parts).toString().replaceAll("\r\n", "\n"));
        this.to.push(...session.envelope.rcptTo.map((r) => r.address));
        done();
      });
    },
  });

  async start(): Promise<string> {
    await new Promise<void>((resolve) => this.server.listen(0, "127.0.0.1", resolve));
    return `smtp://127.0.0.1:${(this.server.server.address() as { port: number }).port}`;
  }
}

let mailbox: Mailbox;
beforeEach(async () => {
  mailbox = new Mailbox();
  await db()`delete from mail`;
});
afterEach(async () => {
  delete process.env.SMTP_URL;
  delete process.env.MAIL_FROM;
  await new Promise<void>((resolve) => mailbox.server.close(() => resolve()));
});
const onlyId = async () => (await db()<{ id: string }[]>`select id::text from mail`)[0]!.id;

describe("a letter", () => {
  it("stays in the mailbox of whoever had it sent while no server is set, and nobody tries to send it", async () => {
    const [nia, obi] = [await makePerson("Nia"), await makePerson("Obi")];
    await sendLetters([
      { account: nia.id, to: "gran@ambrel.example", subject: "Look\nat  this", body: "The ferry" },
      { account: obi.id, house: "plain", to: "obi@ambrel.example", subject: "Signed in", body: "From a new device" },
      { account: obi.id, house: "key", to: "obi@ambrel.example", subject: "A new password", body: "https://x/key" },
    ]);
    expect(await lettersOf(nia.id)).toMatchObject([
      { recipient: "gran@ambrel.example", subject: "Look at this", body: "The ferry", sentAt: null, failed: null },
    ]);
    // A key is shown to nobody but whoever keeps the site, and for three days.
    expect((await lettersOf(obi.id)).map((l) => l.subject)).toEqual(["Signed in"]);
    expect((await keyLetters()).map((l) => l.body)).toEqual(["https://x/key"]);
    await db()`update mail set at = now() - interval '4 days' where holds_key`;
    expect(await keyLetters()).toEqual([]);
    expect(await db()`select from job where kind = 'mail'`).toHaveLength(0);
  });

  it("goes once, in its author's name, with what it says and nothing that was slipped into it", async () => {
    process.env.SMTP_URL = await mailbox.start();
    process.env.MAIL_FROM = "school@ambrel.example";
    const nia = await makePerson("Nia");
    await sendLetters([
      {
        account: nia.id,
        to: "gran@ambrel.example",
        subject: "The ferry\r\nBcc: all@ambrel.example",
        body: "It ran until 1931.",
      },
    ]);
    expect(await db()`select from job where kind = 'mail'`).toHaveLength(1);
    const id = await onlyId();
    await deliver(id);
    await deliver(id);
    expect([mailbox.letters.length, mailbox.to]).toEqual([1, ["gran@ambrel.example"]]);
    const [letter] = mailbox.letters;
    for (const line of [
      /^From: Fastigo <school@ambrel\.example>$/m,
      /^To: gran@ambrel\.example$/m,
      new RegExp(`^Reply-To: ${nia.email}$`, "m"),
      /^Subject: The ferry Bcc: all@ambrel\.example$/m,
      /It ran until 1931\./,
    ])
      expect(letter).toMatch(line);
    expect(letter).not.toMatch(/^Bcc:/m);
    expect((await lettersOf(nia.id))[0]).toMatchObject({ sentAt: expect.any(Date), failed: null });
    expect(await keyLetters()).toEqual([]);
  });

  it("from Fastigo itself has nobody to answer to", async () => {
    process.env.SMTP_URL = await mailbox.start();
    const nia = await makePerson("Nia");
    await sendLetters([
      { account: nia.id, house: "plain", to: nia.email, subject: "Signed in", body: "From a new device" },
    ]);
    await deliver(await onlyId());
    expect(mailbox.letters[0]).not.toMatch(/^Reply-To:/m);
  });

  it("that is refused keeps what the server said, and goes when it is tried again", async () => {
    process.env.SMTP_URL = await mailbox.start();
    mailbox.refuses = true;
    const nia = await makePerson("Nia");
    await sendLetters([{ account: nia.id, to: "nobody@ambrel.example", subject: "Look", body: "x" }]);
    const id = await onlyId();
    await expect(deliver(id)).rejects.toThrow();
    expect((await lettersOf(nia.id))[0]).toMatchObject({
      sentAt: null,
      failed: expect.stringMatching(/550 nobody here/),
    });
    mailbox.refuses = false;
    await deliver(id);
    expect((await lettersOf(nia.id))[0]).toMatchObject({ sentAt: expect.any(Date), failed: null });
  });

  it("of somebody whose account is gone is sent no more", async () => {
    process.env.SMTP_URL = await mailbox.start();
    await deliver("999999");
    expect(mailbox.letters).toEqual([]);
  });
});
