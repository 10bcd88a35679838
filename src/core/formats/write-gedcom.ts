import { coordinatesText } from "../places/coordinates";
import { WORDS } from "../words/take-out";
import type { Frozen, FrozenEvent } from "./frozen";
import { cellSources, cellsOf, itemsOf } from "./full-table";

const MONTHS = ["JAN", "FEB", "MAR", "APR", "MAY", "JUN", "JUL", "AUG", "SEP", "OCT", "NOV", "DEC"];
/** Of whom something is told, and who two are, in whatever language their file was brought in: "Birth of Ada", "Geburt: Ada". */
const WHO = /^[^:]*?(?:: | of )(.+)$/s;
const AND = / (?:and|und|y) /;
const ORIGIN = /^([A-Za-z0-9_]+)\/([A-Z]{2,5})(\d*)$/;

/** Whether anything in a timeline came from a family file. */
export const isFamily = (f: Frozen) => f.events.some((e) => ORIGIN.test(e.origin));

/**
 * A family file (FamilySearch GEDCOM 7.0) of those events that came from one: persons by their names, what is told of them, and
 * families with their two names. Gives a sentence where nothing came from one.
 */
export function writeGedcom(f: Frozen): { text: string } | { problem: string } {
  if (!isFamily(f)) return { problem: WORDS.notFromAFamilyFile };
  const from = cellSources(f);
  const items = itemsOf(f);
  const records = new Map<string, { family: boolean; names: string[]; facts: string[] }>();
  const persons = new Map<string, string>();
  for (const e of f.events) {
    const at = ORIGIN.exec(e.origin);
    if (!at) continue;
    const [, xref, tag] = at;
    const family = /^F/i.test(xref!) || tag!.startsWith("MAR");
    const who = WHO.exec(e.title)?.[1] ?? e.title;
    const record = records.get(xref!) ?? { family, names: family ? who.split(AND) : [who], facts: [] };
    records.set(xref!, record);
    if (!family) persons.set(who, xref!);
    const cells = cellsOf(from, e, items(e.id));
    record.facts.push(`1 ${tag}`, ...date(e), ...placed(e, cells.Place), ...lines(2, "NOTE", cells.Description));
    for (const line of cells.Source.split("\n").filter(Boolean))
      record.facts.push(...lines(2, "NOTE", `${WORDS.source}: ${line}`));
  }
  let made = 0;
  const personOf = (name: string): string => {
    const known = persons.get(name);
    if (known) return known;
    let xref: string;
    do xref = `P${++made}`;
    while (records.has(xref));
    persons.set(name, xref);
    records.set(xref, { family: false, names: [name], facts: [] });
    return xref;
  };
  const families = [...records].filter(([, r]) => r.family);
  const spouses = new Map(families.map(([xref, r]) => [xref, r.names.map(personOf)]));
  const out = ["0 HEAD", "1 GEDC", "2 VERS 7.0", "1 SOUR FASTIGO"];
  for (const [xref, r] of records) {
    if (r.family) continue;
    out.push(`0 @${xref}@ INDI`, `1 NAME ${named(r.names[0]!)}`, ...r.facts);
    for (const [family, who] of spouses) if (who.includes(xref)) out.push(`1 FAMS @${family}@`);
  }
  for (const [xref, r] of families) {
    const [a, b] = spouses.get(xref)!;
    out.push(`0 @${xref}@ FAM`, ...(a ? [`1 HUSB @${a}@`] : []), ...(b ? [`1 WIFE @${b}@`] : []), ...r.facts);
  }
  return { text: `${[...out, "0 TRLR"].join("\n")}\n` };
}

/** The last word of a name is the family's, as far as anybody can tell. */
function named(name: string): string {
  const words = name.replaceAll(/\s+/g, " ").trim().split(" ");
  return words.length < 2 ? words.join(" ") : `${words.slice(0, -1).join(" ")} /${words.at(-1)}/`;
}

/** A value of several lines goes on in lines of its own; a leading at sign is written twice. */
function lines(level: number, tag: string, text: string): string[] {
  if (!text.trim()) return [];
  const escaped = text.split("\n").map((l) => (l.startsWith("@") ? `@${l}` : l));
  return escaped.map((l, n) => (n === 0 ? `${level} ${tag} ${l}` : `${level + 1} CONT ${l}`));
}

/** A place with where it lies on the earth: "N18.15", "W45.3". */
function placed(e: FrozenEvent, name: string): string[] {
  if (!e.point) return lines(2, "PLAC", name);
  const { lat, lon } = e.point;
  return [
    ...lines(2, "PLAC", name || coordinatesText(e.point)),
    "3 MAP",
    `4 LATI ${lat < 0 ? "S" : "N"}${Math.abs(lat)}`,
    `4 LONG ${lon < 0 ? "W" : "E"}${Math.abs(lon)}`,
  ];
}

/** A date in the words of the standard where it has them, else as a phrase. */
function date(e: FrozenEvent): string[] {
  const typed = e.when.typed.trim();
  if (!typed) return [];
  const one = (text: string) => {
    const julian = /^(.*) \(Julian\)$/.exec(text);
    const at = /^(?:(?:(\d{1,2}) )?([A-Z][a-z]{2}) )?(?:AD )?(\d{1,4})( BC)?$/.exec(julian?.[1] ?? text);
    if (!at || (at[2] && !MONTHS.includes(at[2].toUpperCase()))) return null;
    return [julian ? "JULIAN" : "", at[1], at[2]?.toUpperCase(), at[3], at[4] ? "BCE" : ""].filter(Boolean).join(" ");
  };
  const forms: [RegExp, (m: RegExpExecArray) => (string | null)[]][] = [
    [/^about (.+)$/, (m) => ["ABT", one(m[1]!)]],
    [/^before (.+)$/, (m) => ["BEF", one(m[1]!)]],
    [/^after (.+)$/, (m) => ["AFT", one(m[1]!)]],
    [/^until (.+)$/, (m) => ["TO", one(m[1]!)]],
    [/^between (.+) and (.+)$/, (m) => ["BET", one(m[1]!), "AND", one(m[2]!)]],
    [/^(.+) to (.+)$/, (m) => ["FROM", one(m[1]!), "TO", one(m[2]!)]],
    [/^from (.+)$/, (m) => ["FROM", one(m[1]!)]],
  ];
  const plain = one(typed);
  if (plain) return [`2 DATE ${plain}`];
  for (const [form, made] of forms) {
    const m = form.exec(typed);
    const parts = m && made(m);
    if (parts && !parts.includes(null)) return [`2 DATE ${parts.join(" ")}`];
  }
  return ["2 DATE", `3 PHRASE ${typed}`];
}
