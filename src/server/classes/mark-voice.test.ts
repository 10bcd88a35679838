import { describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { must, school } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { dropVoice, keepVoice, voiceFile } from "./mark-voice";
import { returnWork, saveMark } from "./marking";
import { findSubmission } from "./open-submission";
import { addTeacher } from "./people";
import { ownWork, submit, takeSubmissionBack } from "./submit";

withTestDatabase("mark_voice");

/** RIFF WAVE with so many samples, 8 bits, 8,000 a second; `value` tells two of them apart. */
function wav(samples: number, value = 128): Buffer {
  const head = Buffer.alloc(44);
  head.write("RIFF", 0);
  head.writeUInt32LE(36 + samples, 4);
  head.write("WAVEfmt ", 8);
  for (const [at, n] of [
    [16, 16],
    [24, 8_000],
    [28, 8_000],
    [40, samples],
  ] as const)
    head.writeUInt32LE(n, at);
  for (const [at, n] of [
    [20, 1],
    [22, 1],
    [32, 1],
    [34, 8],
  ] as const)
    head.writeUInt16LE(n, at);
  head.write("data", 36);
  return Buffer.concat([head, Buffer.alloc(samples, value)]);
}

async function handedIn() {
  const s = await school();
  must(await submit(s.timeline, s.nia.id));
  return { ...s, submission: (await ownWork(s.timeline))!.submission!.id };
}

describe("a comment that is spoken", () => {
  it("is kept by those who teach or assist, heard by its group once the work came back, and by nobody else", async () => {
    const s = await handedIn();
    const helper = await makePerson("Ms Fern");
    const [{ email } = { email: "" }] = await db()<
      { email: string }[]
    >`select email from account where id = ${helper.id}`;
    must(await addTeacher(s.klass, s.teacher.id, email, "assistant"));
    const said = { seconds: 1, spoken: "  Look at 1783 again. " };
    for (const who of [s.nia.id, s.obi.id])
      expect(await keepVoice(s.submission, who, wav(8_000), said)).toMatchObject({ failed: "not_found" });
    must(await keepVoice(s.submission, helper.id, wav(8_000), said));
    // Another one stands in its place.
    must(await keepVoice(s.submission, s.teacher.id, wav(4_000, 120), { seconds: 0.5, spoken: "Well done." }));
    expect((await findSubmission(s.submission))!.voice).toEqual({ seconds: 0.5, spoken: "Well done." });
    expect(await voiceFile(s.submission, helper.id)).toEqual({ bytes: wav(4_000, 120), type: "audio/wav" });
    for (const who of [s.nia.id, s.obi.id]) expect(await voiceFile(s.submission, who)).toBeNull();
    must(await saveMark(s.submission, s.teacher.id, { points: 5, comment: "", comments: [] }));
    must(await returnWork(s.submission, s.teacher.id));
    expect((await ownWork(s.timeline))!.returned!.voice).toEqual({ seconds: 0.5, spoken: "Well done." });
    expect(await voiceFile(s.submission, s.nia.id)).not.toBeNull();
    expect(await voiceFile(s.submission, s.obi.id)).toBeNull();
    expect(await dropVoice(s.submission, s.nia.id)).toMatchObject({ failed: "not_found" });
    must(await dropVoice(s.submission, s.teacher.id));
    expect(await dropVoice(s.submission, s.teacher.id)).toMatchObject({ failed: "not_found" });
    expect((await ownWork(s.timeline))!.returned!.voice).toBeNull();
  });

  it("is a sound, and no longer than it may be; what was taken back has none", async () => {
    const s = await handedIn();
    const keep = (bytes: Buffer, seconds = 1) =>
      keepVoice(s.submission, s.teacher.id, bytes, { seconds, spoken: "x".repeat(5_000) });
    expect(await keep(Buffer.from("no sound"))).toMatchObject({ failed: "voice_unread" });
    expect(await keep(Buffer.alloc(0))).toMatchObject({ failed: "voice_unread" });
    expect(await keep(wav(4_100_000))).toMatchObject({ failed: "voice_unread" });
    must(await keep(wav(100), 100_000));
    const { voice } = (await findSubmission(s.submission))!;
    expect([voice!.seconds, voice!.spoken.length]).toEqual([600, 4_000]);
    must(await takeSubmissionBack(s.timeline, s.nia.id));
    expect(await voiceFile(s.submission, s.teacher.id)).toBeNull();
    expect(await keep(wav(100))).toMatchObject({ failed: "not_found" });
  });
});
