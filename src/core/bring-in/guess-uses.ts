import { LEDGER_COLUMNS, type LedgerColumn } from "../ledger/columns";
import { readWhen } from "../time/read/read-when";
import type { ReadOptions } from "../time/read/options";
import { isDated } from "../time/when";

/** A picture's web address, and what is said of it. */
const MEDIA = ["picture", "caption", "credit", "licence"] as const;
/** Beside the columns of the ledger: parts of a date; "more": its words stand in the description, under the column's name; "at": both coordinates; "id": what a row is known by. */
const PARTS = [
  "start",
  "end",
  "duration",
  "year",
  "month",
  "day",
  "time",
  "description",
  ...MEDIA,
  "at",
  "latitude",
  "longitude",
  "id",
  "more",
  "skip",
] as const;
/** What a column of a table is used as. */
export type Use = Exclude<LedgerColumn, "media" | "words"> | (typeof PARTS)[number];
export const USES: readonly Use[] = [...LEDGER_COLUMNS.filter((c) => c !== "media" && c !== "words"), ...PARTS];
/** Any number of columns may be these; each of the others is at most one. */
export const REPEATED: ReadonlySet<Use> = new Set<Use>([
  "description",
  "tags",
  "source",
  "link",
  "picture",
  "more",
  "skip",
]);

/** Names of columns as people write them, in lower case: the first use that fits counts. */
const NAMES: [Use, RegExp][] = [
  // What stands beside a table of ours for other programs says nothing of its own.
  ["skip", /^(first day|last day|erster tag|letzter tag|primer día|último día|fields|media)$/],
  ["start", /^(start|begin|begins|from|start date|date from|beginning|von|beginn|début|inicio)$/],
  ["end", /^(end|ends|to|until|till|end date|date to|finish|bis|ende|fin)$/],
  ["year", /^(year|years|jahr|année|año|anno)$/],
  ["month", /^(month|monat|mois|mes)$/],
  ["day", /^(day|tag|jour|día)$/],
  ["duration", /^(duration|length|lasts|how long|dauer|durée|duración)$/],
  ["time", /^(time|hour|uhrzeit|heure|hora)$/],
  ["when", /^(when|date|dates|datum|fecha|data|wann|cuándo|cuando|year\(s\)|date \(.*\)|period)$/],
  ["shortTitle", /^(short title|short|label|headline short|kurztitel|título corto)$/],
  [
    "title",
    /^(title|event|events|name|what|what happened|headline|heading|ereignis|titel|événement|titre|evento|título|suceso)$/,
  ],
  [
    "description",
    /^(description|text|details|detail|notes|what it was|story|body|beschreibung|text|descripción|texto|about)$/,
  ],
  ["category", /^(category|categories|group|type|theme|kind|subject|kategorie|thema|catégorie|categoría|tema)$/],
  ["partOf", /^(part of|within|belongs to|parent|phase|era|teil von|parte de)$/],
  [
    "picture",
    /^(picture|pictures|image|images|photo|photos|media|picture address|image url|bild|bilder|imagen|imágenes)$/,
  ],
  ["caption", /^(caption|legend|bildunterschrift|légende|pie de imagen)$/],
  ["credit", /^(credit|credits|photographer|picture credit|image credit|bildnachweis|nachweis|crédito|créditos)$/],
  ["licence", /^(licence|license|rights|lizenz|licencia)$/],
  ["at", /^(coordinates|coordinate|lat\/?lon|latlng|geo|koordinaten|coordonnées|coordenadas)$/],
  ["latitude", /^(lat|latitude|breite|breitengrad|latitud)$/],
  ["longitude", /^(lon|long|lng|longitude|länge|längengrad|longitud)$/],
  ["id", /^(id|no|no\.|nr|nr\.|number|key|identifier|nummer|número)$/],
  ["place", /^(place|where|location|ort|town|city|lieu|lugar)$/],
  ["tags", /^(tag|tags|keyword|keywords|labels|schlagworte|schlagwörter|etiquetas|etiqueta)$/],
  ["source", /^(source|sources|reference|references|quelle|quellen|citation|fuente|fuentes)$/],
  ["link", /^(link|links|url|web|website|web address|address|more|enlace|enlaces|adresse)$/],
  ["emphasis", /^(important|importance|emphasis|highlight|wichtig|importante)$/],
  ["sign", /^(sign|icon|symbol|zeichen|símbolo)$/],
  ["done", /^(done|progress|percent|percent done|% done|% complete|complete|fertig|hecho)$/],
  ["note", /^(note|private note|comment|remark|bemerkung|private notiz|notiz|nota|nota privada)$/],
];

/** So many rows tell what a column holds. */
const LOOKED_AT = 60;

export interface Guess {
  /** Whether the first row holds the names of the columns. */
  named: boolean;
  uses: Use[];
}

/** What each column of a table is, by its name, and by what stands in it where it has none. */
export function guessUses(rows: readonly (readonly string[])[], options: ReadOptions = {}): Guess {
  const width = Math.max(0, ...rows.slice(0, LOOKED_AT).map((r) => r.length));
  const first = rows[0] ?? [];
  const byName = Array.from({ length: width }, (_, i) => useNamed(first[i] ?? ""));
  const dates = (from: number) =>
    Array.from({ length: width }, (_, i) =>
      shareOfDates(
        rows.slice(from, LOOKED_AT).map((r) => r[i] ?? ""),
        options,
      ),
    );
  // A row that names two columns, or one and holds no date itself, is a row of names.
  const known = byName.filter((u) => u !== null).length;
  const hasDate = first.some((c) => isDated(readWhen(c, { ...options, sentence: false })));
  const named = rows.length > 1 && (known > 1 || (known === 1 && !hasDate));
  const uses: (Use | null)[] = named ? [...byName] : Array.from({ length: width }, () => null);
  const has = (u: Use) => uses.includes(u);
  for (const [i, use] of uses.entries()) if (use && !REPEATED.has(use) && uses.indexOf(use) < i) uses[i] = null;
  const share = dates(named ? 1 : 0);
  if (!has("when") && !has("start") && !has("year")) {
    const best = share.reduce((b, s, i) => (uses[i] === null && s > (share[b] ?? 0) ? i : b), uses.indexOf(null));
    if (best >= 0 && share[best]! >= 0.5) {
      const next = share.findIndex((s, i) => i > best && uses[i] === null && s >= 0.5);
      uses[best] = next > 0 ? "start" : "when";
      if (next > 0) uses[next] = "end";
    }
  }
  // Beside its end a date is where it begins.
  if (has("when") && has("end")) uses[uses.indexOf("when")] = "start";
  if (has("start") && !has("end")) uses[uses.indexOf("start")] = "when";
  if (!has("title")) {
    const free = uses.findIndex(
      (u, i) => u === null && rows.slice(named ? 1 : 0, LOOKED_AT).some((r) => (r[i] ?? "").trim() !== ""),
    );
    if (free >= 0) uses[free] = "title";
  }
  return {
    named,
    uses: uses.map((u, i) => {
      if (u) return u;
      const cells = rows.slice(named ? 1 : 0, LOOKED_AT).map((r) => (r[i] ?? "").trim());
      const filled = cells.filter(Boolean);
      if (filled.length === 0) return "skip";
      if (filled.every((c) => /^https?:\/\/\S+\.(jpe?g|png|gif|webp|avif|svg)(\?\S*)?$/i.test(c))) return "picture";
      if (filled.every((c) => /^https?:\/\/\S+$/.test(c)) || (named && endsInAddress(filled))) return "link";
      if (!named && !has("description") && filled.some((c) => c.length > 60)) return "description";
      return "more";
    }),
  };
}

/** Words with an address behind each of them, as a link in a cell comes along. */
const endsInAddress = (filled: readonly string[]) => filled.every((c) => /(^|\s)https?:\/\/\S+$/.test(c));

function useNamed(name: string): Use | null {
  const text = name
    .trim()
    .toLowerCase()
    .replaceAll(/[\s_]+/g, " ")
    .replace(/[:*]$/, "");
  return NAMES.find(([, pattern]) => pattern.test(text))?.[0] ?? null;
}

function shareOfDates(cells: readonly string[], options: ReadOptions): number {
  const filled = cells.filter((c) => c.trim() !== "");
  if (filled.length === 0) return 0;
  const read = filled.filter((c) => {
    const { readAs } = readWhen(c, { ...options, sentence: false });
    return (
      readAs.kind === "moment" ||
      readAs.kind === "span" ||
      (readAs.kind === "not_understood" && readAs.problem.code === "two_orders")
    );
  });
  return read.length / filled.length;
}

/**
 * Which number is the day in dates like 03/04/1872, worked out over all of a column: one that can be only one way says it for all.
 * "open": none says it; "mixed": some say the one and some the other. Null: there is no such date.
 */
export function dayOrderOf(texts: readonly string[]): "dmy" | "mdy" | "open" | "mixed" | null {
  let [day, month, either] = [false, false, false];
  for (const text of texts)
    for (const m of text.matchAll(/(?<![\d./-])(\d{1,2})([/.-])(\d{1,2})\2(\d{2,4})(?![\d/-])/g)) {
      const [a, b] = [Number(m[1]), Number(m[3])];
      // With full stops the day stands first.
      if (m[2] === ".") continue;
      if (a > 12 && b <= 12) day = true;
      else if (b > 12 && a <= 12) month = true;
      else if (a <= 12 && b <= 12 && a !== b) either = true;
    }
  if (day && month) return "mixed";
  if (day) return "dmy";
  return month ? "mdy" : either ? "open" : null;
}
