import { describe, expect, it } from "vitest";
import { leftText } from "../words/people";
import { readOneRoster, readRoster, rosterKey } from "./roster";

describe("a list that is pasted", () => {
  it("is a name a line, with what tells two apart behind a sign, without bullets and numbers", () => {
    const { entries, left } = readRoster("- Ada\n2. Jonas, the taller one\n\n\tMila  K.\tMila Kovac\nÉmile; 8B\n");
    expect(left).toEqual([{ line: 4, text: "Mila  K.\tMila Kovac", why: "no_name" }]);
    expect(entries).toEqual([
      { displayName: "Ada", note: "" },
      { displayName: "Jonas", note: "the taller one" },
      { displayName: "Émile", note: "8B" },
    ]);
  });

  it("says of every line that is not taken why", () => {
    const there = new Set([rosterKey({ displayName: "Wren", note: "" })]);
    const { entries, left } = readRoster(`Ada\nada\n, 8B\n${"x".repeat(61)}\nwren\nAda, the other`, there);
    expect(entries).toEqual([
      { displayName: "Ada", note: "" },
      { displayName: "Ada", note: "the other" },
    ]);
    expect(left.map((l) => [l.line, l.why])).toEqual([
      [2, "double"],
      [3, "no_name"],
      [4, "too_long"],
      [5, "there"],
    ]);
    expect(leftText(left)).toHaveLength(4);
    expect(leftText(left)[2]).toContain("“ada” (line 2)");
  });

  it("of 5,000 lines is read whole and at once", () => {
    const { entries } = readRoster(Array.from({ length: 5_000 }, (_, i) => `Pupil ${i}`).join("\n"));
    expect(entries).toHaveLength(5_000);
  });
});

const USERS_11 = `\uFEFF"sourcedId","status","dateLastModified","enabledUser","orgSourcedIds","role","username","userIds","givenName","familyName","email"
u1,,,true,o1,student,ada,,Ada,Byron,
u2,,,true,o1,student,jon,,Jonas,Ørsted,
u3,tobedeleted,,true,o1,student,gone,,Gone,Away,
u4,,,true,o1,teacher,ward,,Iris,Ward,
u5,,,true,o1,student,ada2,,Ada,Byron,
`;
const ENROLLED = `sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role
e1,,,8B,o1,u1,student
e2,,,8B,o1,u4,teacher
e3,,,8A,o1,u2,student
e4,tobedeleted,,8A,o1,u1,student
e5,,,8A,o1,unknown,student
`;

describe("a OneRoster export", () => {
  it("gives the students, by given name and one letter, the whole name for the teacher", () => {
    const [all] = readOneRoster(USERS_11)!;
    expect(all!.roster.entries).toEqual([
      { displayName: "Ada B.", note: "Ada Byron", id: "u1" },
      { displayName: "Jonas Ø.", note: "Jonas Ørsted", id: "u2" },
    ]);
    // Two of one name come once, and that is said.
    expect(all!.roster.left.map((l) => l.why)).toEqual(["double"]);
  });

  it("is split into its classes where it says who is in which", () => {
    const classes = readOneRoster(USERS_11, ENROLLED)!;
    expect(classes.map((c) => [c.id, c.roster.entries.map((e) => e.displayName)])).toEqual([
      ["8B", ["Ada B."]],
      ["8A", ["Jonas Ø."]],
    ]);
  });

  it("of version 1.2 names the role with the enrolment only", () => {
    const users = USERS_11.replaceAll('"role",', "").replaceAll(/,(student|teacher),/g, ",");
    expect(readOneRoster(users, ENROLLED)!.map((c) => c.roster.entries.length)).toEqual([1, 1]);
  });

  it("is told from any other file", () => {
    for (const other of ["", "a,b\n1,2", "name\nAda", "{}", "\u0000\u0001"]) expect(readOneRoster(other)).toBeNull();
    expect(readOneRoster(USERS_11, "a,b\n1,2")).toBeNull();
  });
});
