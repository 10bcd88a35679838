import { describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { must, school } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { findRight, hasRight, RIGHTS, requireRight } from "./access";
import { setDeleted } from "./create";
import { join, openInvitation, removeEditor } from "./invite";

withTestDatabase("access");

describe("the rights in a timeline", () => {
  it("are the owner's, an editor's, and for its class the teacher's to comment; each holds what is less", async () => {
    const s = await school();
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false));
    must(await join(token, s.obi.id));
    const stranger = await makePerson();
    const table: [string, string, number][] = [
      ["owner", s.nia.id, 5],
      ["editor", s.obi.id, 4],
      ["teacher", s.teacher.id, 2],
      ["classmate", s.wren.id, 0],
      ["stranger", stranger.id, 0],
    ];
    for (const [who, account, held] of table)
      expect([who, await Promise.all(RIGHTS.map((right) => hasRight(db(), s.timeline, account, right)))]).toEqual([
        who,
        RIGHTS.map((_, i) => i < held),
      ]);
    const refused = async (account: string, right: (typeof RIGHTS)[number]) =>
      requireRight(db(), s.timeline, account, right).then(
        () => null,
        (e: { failure: { failed: string } }) => e.failure.failed,
      );
    expect(await refused(s.obi.id, "own")).toBe("owner_only");
    expect(await refused(s.teacher.id, "edit")).toBe("not_found");
    expect(await refused(stranger.id, "own")).toBe("not_found");
    expect(await refused(s.nia.id, "own")).toBeNull();
  });

  it("end where they are taken away, and of a deleted timeline but for what its owner can do with it", async () => {
    const s = await school();
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false));
    must(await join(token, s.obi.id));
    must(await removeEditor(s.timeline, s.nia.id, s.obi.id));
    expect(await findRight(db(), s.timeline, s.obi.id)).toBeNull();
    must(await setDeleted(s.timeline, s.nia.id, true));
    for (const p of [s.nia, s.teacher]) expect(await findRight(db(), s.timeline, p.id)).toBeNull();
    expect(await findRight(db(), s.timeline, s.nia.id, { deleted: true })).toBe("own");
  });
});
