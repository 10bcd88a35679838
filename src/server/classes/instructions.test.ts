import sharp from "sharp";
import { describe, expect, it } from "vitest";
import type { Block } from "@/core/text/description";
import { UNDATED } from "@/core/time/when";
import { must, school } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { alterAssignment, type AssignmentInput, createAssignment, findAssignment } from "./assignment";
import { assignmentPicture } from "./instructions";
import { handoutOf } from "./paper";
import { useAgain } from "./year";

withTestDatabase("instructions");

const png = async (colour: string) =>
  (
    await sharp({ create: { width: 1_500, height: 500, channels: 3, background: colour } })
      .png()
      .toBuffer()
  ).toString("base64");
const words = (text: string): Block => ({ kind: "paragraph", content: [{ kind: "text", text, marks: [] }] });
const shows = (item: string): Block => ({ kind: "medium", item });
const input = (klass: string, more: Partial<AssignmentInput>): AssignmentInput => ({
  class: klass,
  title: "Crossing project",
  instructions: "",
  period: UNDATED,
  requirements: [],
  given: [],
  total: 20,
  dueAt: new Date(Date.now() + 3_600_000).toISOString(),
  ...more,
});

describe("what is to be done", () => {
  it("is plain words or a formatted text; what is neither is left out", async () => {
    const s = await school();
    const set = async (instructions: AssignmentInput["instructions"]) =>
      (await findAssignment(must(await createAssignment(s.teacher.id, input(s.klass, { instructions }))).id))!
        .instructions.blocks;
    expect(await set("one\n\ntwo")).toEqual([words("one"), { kind: "paragraph", content: [] }, words("two")]);
    expect(await set([words("one"), { kind: "script" } as never])).toEqual([words("one")]);
    expect(
      await createAssignment(s.teacher.id, input(s.klass, { instructions: [words("x".repeat(10_001))] })),
    ).toMatchObject({ failed: "assignment_incomplete" });
  });

  it("keeps the pictures that stand in it, small, for the class alone; they go along where it is set again", async () => {
    const s = await school();
    const stranger = await makePerson("Stranger");
    const [a, b, unused] = [await png("#0B6E69"), await png("#B4481E"), await png("#6A3D9A")];
    const { id } = must(
      await createAssignment(
        s.teacher.id,
        input(s.klass, {
          instructions: [words("Look"), shows("a"), shows("b"), shows("gone")],
          pictures: [
            { id: "a", text: " The ferry ", data: a },
            { id: "b", text: "The bridge", data: b },
            { id: "unused", text: "", data: unused },
          ],
        }),
      ),
    );
    expect((await findAssignment(id))!.instructions.pictures).toEqual([
      { id: "a", text: "The ferry", width: 1_000, height: 333 },
      { id: "b", text: "The bridge", width: 1_000, height: 333 },
    ]);
    const bytes = (await assignmentPicture(id, "a", s.obi.id))!;
    expect((await sharp(bytes).metadata()).format).toBe("webp");
    expect(await assignmentPicture(id, "a", s.teacher.id)).not.toBeNull();
    expect(await assignmentPicture(id, "a", stranger.id)).toBeNull();
    expect(await assignmentPicture(id, "unused", s.obi.id)).toBeNull();
    // One stays under other words, one is gone, one is new.
    must(
      await alterAssignment(
        id,
        s.teacher.id,
        input(s.klass, {
          instructions: [shows("a"), shows("c")],
          pictures: [
            { id: "a", text: "The old ferry" },
            { id: "c", text: "", data: unused },
          ],
        }),
      ),
    );
    const now = (await findAssignment(id))!.instructions.pictures;
    expect(now.map((p) => [p.id, p.text])).toEqual([
      ["a", "The old ferry"],
      ["c", ""],
    ]);
    const again = must(await useAgain(id, s.teacher.id, s.klass)).id;
    expect((await findAssignment(again))!.instructions.pictures).toEqual(now);
    expect(await assignmentPicture(again, "a", s.nia.id)).toEqual(bytes);
  });

  it("says so where a picture is damaged or there are too many", async () => {
    const s = await school();
    const refused = async (pictures: AssignmentInput["pictures"]) =>
      createAssignment(
        s.teacher.id,
        input(s.klass, { instructions: (pictures ?? []).map((p) => shows(p.id)), pictures: pictures ?? [] }),
      );
    expect(await refused([{ id: "a", text: "", data: Buffer.from("no picture").toString("base64") }])).toMatchObject({
      failed: "assignment_incomplete",
      detail: expect.stringContaining("damaged"),
    });
    expect(await refused(Array.from({ length: 13 }, (_, i) => ({ id: `p${i}`, text: "", data: "" })))).toMatchObject({
      failed: "assignment_incomplete",
    });
  });

  it("stands on the page that is handed out, its links with their addresses", async () => {
    const s = await school();
    const { id } = must(
      await createAssignment(
        s.teacher.id,
        input(s.klass, {
          instructions: [
            { kind: "heading", level: 1, content: [{ kind: "text", text: "First", marks: [] }] },
            {
              kind: "list",
              ordered: true,
              items: [
                [
                  {
                    kind: "paragraph",
                    content: [
                      { kind: "text", text: "the archive", marks: [{ kind: "link", address: "https://a.example/" }] },
                      { kind: "break" },
                      { kind: "text", text: "and more", marks: [] },
                    ],
                  },
                ],
                [words("write")],
              ],
            },
            { kind: "quote", blocks: [words("The river rose.")] },
          ],
        }),
      ),
    );
    expect((await handoutOf((await findAssignment(id))!)).slice(2)).toEqual([
      { kind: "small", text: "First" },
      { kind: "item", text: "the archive (https://a.example/)\nand more", bullet: "1." },
      { kind: "item", text: "write", bullet: "2." },
      { kind: "quiet", text: "The river rose." },
    ]);
  });
});
