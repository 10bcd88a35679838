import Papa from "papaparse";

/** Somebody of a list, before they have an account. */
export interface RosterEntry {
  /** What the class sees. */
  displayName: string;
  /** What tells them from others, for their teacher only: the whole name, or what stood behind it. */
  note: string;
  /** By what they are known in the school's own export. */
  id?: string;
}

export interface Roster {
  entries: RosterEntry[];
  /** Lines that are not taken, with the reason, in their order; `line` counts from 1. */
  left: { line: number; text: string; why: "no_name" | "too_long" | "double" | "there" }[];
}

/** A class or course of a OneRoster export, with its students. */
export interface RosterClass {
  id: string;
  roster: Roster;
}

/** A class takes so many. */
export const MOST_ROSTER = 300;
const MOST_NAME = 60;
const MOST_NOTE = 40;

/**
 * Reads a list as it is pasted: a name a line, and behind a tab, semicolon or comma what tells two of one name apart. Bullets and
 * numbers in front are left off. `there`: who is in the class already, as `rosterKey` writes them.
 */
export function readRoster(text: string, there: ReadonlySet<string> = new Set()): Roster {
  const rows = text.split(/\r?\n/).flatMap((raw, i) => {
    if (raw.trim() === "") return [];
    const [name = "", ...rest] = raw.replace(/^\s*(?:[-*•]|\d{1,3}[.)])\s+/, "").split(/\t|;|,/);
    return [
      {
        line: i + 1,
        text: raw.trim(),
        displayName: name,
        note: rest
          .map((r) => r.trim())
          .filter(Boolean)
          .join(" "),
      },
    ];
  });
  return sorted(rows, there);
}

/** By what two entries are the same. */
export function rosterKey(e: RosterEntry): string {
  return `${e.displayName.toLowerCase()}\n${e.note.toLowerCase()}`;
}

interface Row extends RosterEntry {
  line: number;
  text: string;
}

function sorted(rows: readonly Row[], there: ReadonlySet<string>): Roster {
  const entries: RosterEntry[] = [];
  const left: Roster["left"] = [];
  const seen = new Set<string>();
  for (const r of rows) {
    const displayName = r.displayName.trim().replaceAll(/\s+/g, " ");
    const note = r.note.trim().replaceAll(/\s+/g, " ").slice(0, MOST_NOTE);
    const key = rosterKey({ displayName, note });
    const why =
      displayName === ""
        ? "no_name"
        : displayName.length > MOST_NAME
          ? "too_long"
          : seen.has(key)
            ? "double"
            : there.has(key)
              ? "there"
              : null;
    if (why) left.push({ line: r.line, text: r.text.slice(0, 120), why });
    else entries.push({ displayName, note, ...(r.id ? { id: r.id } : {}) });
    seen.add(key);
  }
  return { entries, left };
}

/**
 * Reads the students out of a OneRoster CSV export (IMS Global, versions 1.1 and 1.2): `users.csv`, and, where it is given,
 * `enrollments.csv`, which says who is in which class. Whoever is marked as `tobedeleted`, or is no student, is left out. The class
 * sees the given name and the first letter of the family name; the whole name is the teacher's note. Null: these are not such files.
 */
export function readOneRoster(
  users: string,
  enrollments: string | null = null,
  there: ReadonlySet<string> = new Set(),
): RosterClass[] | null {
  const people = rowsOf(users);
  if (!people?.fields.has("sourcedid") || !people.fields.has("givenname")) return null;
  const enrolled = enrollments === null ? null : rowsOf(enrollments);
  if (enrollments !== null && !enrolled?.fields.has("usersourcedid")) return null;
  const gone = (r: Record<string, string>) => /^tobedeleted$/i.test(r.status ?? "");
  const byId = new Map<string, Row>();
  people.rows.forEach((r, i) => {
    if (gone(r)) return;
    // Version 1.1 names the role here; 1.2 with the enrolment.
    if (people.fields.has("role") && r.role && !/^student$/i.test(r.role)) return;
    const [given, family] = [r.preferredfirstname || r.givenname || "", r.familyname ?? ""];
    byId.set(r.sourcedid ?? "", {
      line: i + 2,
      text: `${given} ${family}`.trim(),
      displayName: family ? `${given} ${[...family][0]!.toUpperCase()}.` : given,
      note: `${given} ${family}`,
      ...(r.sourcedid ? { id: r.sourcedid.slice(0, 100) } : {}),
    });
  });
  if (!enrolled) return [{ id: "", roster: sorted([...byId.values()], there) }];
  const classes = new Map<string, Row[]>();
  for (const r of enrolled.rows) {
    const person = byId.get(r.usersourcedid ?? "");
    if (gone(r) || !/^student$/i.test(r.role ?? "") || !person) continue;
    const id = r.classsourcedid ?? "";
    classes.set(id, [...(classes.get(id) ?? []), person]);
  }
  return [...classes].map(([id, rows]) => ({ id, roster: sorted(rows, there) }));
}

function rowsOf(csv: string): { fields: Set<string>; rows: Record<string, string>[] } | null {
  const read = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ""), {
    header: true,
    skipEmptyLines: "greedy",
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  const fields = read.meta.fields;
  return fields ? { fields: new Set(fields), rows: read.data } : null;
}
