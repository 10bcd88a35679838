import type * as En from "../en/folder";
import type { Like } from "../like";

export const FOLDER: Like<typeof En.FOLDER> = {
  untitled: "Ohne Titel",
  readme: (title, day) => `${title}
${"=".repeat(Math.min(72, title.length))}

Mit Fastigo gemacht am ${day}.

Öffne index.html in einem beliebigen Browser. Mehr braucht es nicht: kein Netz, keinen Server, kein Konto.

index.html     die Zeitleiste: Anfang, Schaubild, Text, Verzeichnis und eine Übung
data.json      alles darin, in Fastigos offenem JSON-Format; Fastigo liest es wieder
data.csv       dasselbe als Tabelle, für Tabellenprogramme (UTF-8, Kommas)
sources.bib    die Quellen als BibTeX, wo es welche gibt
media/         Bilder, Videos und Töne, je ein Ordner, in den Größen, die die Seite zeigt
reader/        was das Schaubild bewegt
fonts/         die Schriften mit ihren Lizenzen

Sollte eines Tages kein Browser mehr index.html öffnen: data.json und data.csv sind reiner Text und sagen jedes Datum,
jeden Titel, Text, Ort, Nachweis und jede Quelle. Daten stehen da, wie sie getippt wurden, und daneben nach ISO 8601-2.
Bilder sind WebP- oder JPEG-Dateien; die in media/*/large sind die größten.
`,
};

export const archiveReadme = (): string => `Alles von mir, aus Fastigo

archive.json                  was das ist, und wie viele Zeitleisten und Klassen folgen
account.json                  das Konto, seine Klassen, Abgegebenes mit Bewertungen, Übungen, Aussehen
timelines/N/index.json        die Dateien einer Zeitleiste, jede mit ihrem SHA-256
timelines/N/timeline.json     die Zeitleiste, in Fastigos offenem JSON-Format
timelines/N/history.json      jede Änderung, die je daran gemacht wurde: wann, von wem, die Schritte, was vorher da war
timelines/N/media/ID          ihre Bilder, Videos und Töne
classes/N/class.json          eine Klasse, die du unterrichtest: Lernende, Aufgaben, wörtlich das Abgegebene, Bewertungen
classes/N/works/M/            die Zeitleisten ihrer Gruppen mit ihren Medien, wie die oben
classes/N/index.json          der SHA-256 von class.json

In jedem Fastigo: melde dich an, öffne dein Konto und wähle diese Datei unter „Alles zurückbringen“.
`;
