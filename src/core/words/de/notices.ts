import type * as En from "../en/notices";
import type { Like } from "../like";

const titled = (title: string) => `„${title || "Ohne Titel"}“`;

export const WORDS: Like<typeof En.WORDS> = {
  named: (by, title) => `${by} hat dich in einem Kommentar zu ${titled(title)} erwähnt.`,
  answeredComment: (by, title) => `${by} hat auf einen Kommentar von dir zu ${titled(title)} geantwortet.`,
  tookIn: (by, event, title) =>
    `${by} hat übernommen, was du für ${titled(event)} in ${titled(title)} vorgeschlagen hast.`,
  leftOut: (by, event, title) =>
    `${by} hat weggelassen, was du für ${titled(event)} in ${titled(title)} vorgeschlagen hast.`,
  changed: (title, what) => `Deine Lehrkraft hat ${titled(title)} geändert: ${what.join("; ")}.`,
  groupsMade: (title, others) =>
    `${titled(title)}: Deine Lehrkraft hat die Gruppen gemacht. Deine Zeitleiste ist jetzt da; du arbeitest daran ${others.length === 0 ? "allein" : `mit ${others.join(", ")}`}.`,
  moreTime: (title, until) => `${titled(title)}: Du hast mehr Zeit, bis ${until}.`,
  asOthers: (title, due) => `${titled(title)} ist für dich ${due} fällig, wie für die anderen.`,
  toRead: (title) =>
    `${titled(title)}: Es gibt Arbeiten von anderen für dich zu lesen. Sie stehen auf der Seite der Aufgabe.`,
  stuck: (who, title, words) => `${who} kommt in ${titled(title)} nicht weiter und fragt: ${words}`,
  answered: (by, words) => `${by} hat dir geantwortet: ${words}`,
  repliedAbout: (by, title, words) => `${by} hat zu ${titled(title)} geantwortet: ${words}`,
  codeMade: (by, klass) =>
    `${by} hat einen Code gemacht, mit dem sich für dein Konto ein neues Passwort setzen lässt (Klasse ${klass}). Wenn du nicht darum gebeten hast, sag Bescheid.`,
  codeUsed:
    "Mit einem Code deiner Lehrkraft wurde ein neues Passwort für dein Konto gesetzt. Alle anderen Sitzungen sind beendet.",
  teachWith: (by, klass) =>
    `${by} hat dich in die Klasse ${klass} aufgenommen. Ihr unterrichtet sie gemeinsam: Du stellst Aufgaben, siehst alle Arbeiten und bewertest sie. Ist das ein Irrtum, verlass sie auf ihrer Seite.`,
  assistIn: (by, klass) =>
    `${by} hat dich in die Klasse ${klass} aufgenommen. Du hilfst dort mit: Du siehst alle Arbeiten und kommentierst sie, bewertest aber nicht. Ist das ein Irrtum, verlass sie auf ihrer Seite.`,
  teachesNoMore: (klass) =>
    `Du gehörst nicht mehr zu denen, die die Klasse ${klass} unterrichten. Was du dort gestellt und bewertet hast, bleibt.`,
  noLongerIn: (klass) =>
    `Du bist nicht mehr in der Klasse ${klass}. Deine Zeitleisten bleiben deine; was du abgegeben hast, bleibt bei der Klasse, solange sie es aufbewahrt. Ist das ein Irrtum, frag nach ihrem Code und tritt wieder bei.`,
  nothingKept: (klass, account) =>
    `Die Klasse ${klass} bewahrt nichts mehr von dir auf: Was du allein abgegeben hast, die Bewertungen und was dazu gesagt wurde, ist weg, und dein Name steht nicht mehr auf dem, was du mit anderen abgegeben hast. Deine Zeitleisten bleiben deine.${
      account
        ? " Dein Konto wird in einer Woche gelöscht; bis dahin kannst du alles von dir mitnehmen oder es behalten."
        : ""
    }`,
  administrator: (by, school) =>
    `${by} hat dir die Verwaltung von ${school} mit übertragen. Unter Meine Klassen heute findest du die Schule; ist das ein Irrtum, verlass sie dort.`,
  teacher: (by, school) =>
    `${by} hat dich zur Lehrkraft von ${school} gemacht. Unter Meine Klassen heute findest du die Schule; ist das ein Irrtum, verlass sie dort.`,
  notOfSchool: (school) =>
    `Du gehörst nicht mehr zu den Lehrkräften von ${school}. Deine Klassen und Zeitleisten bleiben deine.`,
  schoolEnded: (school) =>
    `Die Schule ${school} wurde von jemandem aus ihrer Verwaltung beendet. Klassen und Zeitleisten bleiben, wie sie sind; was nur für die Schule veröffentlicht war, sehen jetzt ihre Klasse und wer es gemacht hat.`,
};

export const DIFFERENT: Like<typeof En.DIFFERENT> = {
  called: (title) => `sie heißt jetzt „${title}“`,
  due: (now, was) => `sie ist ${now} fällig statt ${was}`,
  total: (now, was) => `sie wird mit bis zu ${now} Punkten bewertet statt mit ${was}`,
  asked: (what) => `jetzt verlangt: ${what}`,
  notAsked: (what) => `nicht mehr verlangt: ${what}`,
  instructions: "die Anleitung ist anders",
  late: {
    refused: "nach der Frist wird nichts mehr angenommen",
    marked: "sie kann zu spät abgegeben werden, und das wird gesagt",
  },
  works: {
    chosen: "andere sehen von deiner Arbeit, was deine Lehrkraft auswählt",
    handed_in: "wer abgegeben hat, sieht alles, was andere abgegeben haben",
    due: "nach der Frist sieht die Klasse alles, was abgegeben wurde",
  },
  rubric: "das Bewertungsraster ist anders",
  texts: "die Texte zum Lesen sind andere",
  period: (period) => (period ? `der Zeitraum ist ${period}` : "der Zeitraum ist offen"),
};

export const INCOMPLETE: Like<typeof En.INCOMPLETE> = {
  due: "Setz Tag und Uhrzeit, zu der sie fällig ist.",
  title: "Schreib einen Titel mit 1 bis 200 Zeichen.",
  givenTitle: "Jedes vorgegebene Ereignis braucht einen Titel.",
  givenDate: (title) => `Das richtige Datum von „${title}“ wird nicht verstanden.`,
  model: "Die Musterzeitleiste gehört nicht mehr dir. Wähle eine andere oder keine.",
  around: "Sag, vor und nach welchem Ereignis die anderen stehen sollen.",
  longInstructions: (most) => `Die Anleitung ist länger als ${most} Zeichen. Kürze sie.`,
  pictures: (most) => `In der Anleitung stehen höchstens ${most} Bilder.`,
  picture: "Ein Bild in der Anleitung ist beschädigt oder zu groß.",
};

export const DETAILS: Like<typeof En.DETAILS> = {
  secondsLeft: (n) => (n === 1 ? "Noch 1 Sekunde." : `Noch ${n} Sekunden.`),
  answeredWith: (status) => `Geantwortet wurde mit Status ${status}.`,
};
