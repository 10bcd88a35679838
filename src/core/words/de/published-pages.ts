import type * as En from "../en/published-pages";
import type { Like } from "../like";

const number = (n: number) => n.toLocaleString("de");

export const WORDS: Like<typeof En.WORDS> = {
  thereIsNoTimelineHere: "Hier ist keine Zeitleiste",
  theAddressMayBeMistyped: "Vielleicht ist die Adresse vertippt. Frag, wer sie dir gegeben hat.",
  thisTimelineHasBeenTaken: "Diese Zeitleiste wurde zurückgenommen",
  itsAuthorHasTakenIt:
    "Wer sie gemacht hat, hat sie zurückgenommen. Wird sie wieder veröffentlicht, dann unter derselben Adresse.",
  hidden: "Diese Zeitleiste ist verborgen",
  hiddenMore:
    "Jemand hat sie gemeldet, und wer diese Site betreibt, hat sie verborgen. Wer sie gemacht hat, hat sie noch und kann dort nachfragen.",
  notYet: "Diese Zeitleiste ist noch nicht offen",
  notYetMore: (when) => `Sie öffnet am ${when}. Komm dann wieder, unter derselben Adresse.`,
  over: "Diese Zeitleiste ist geschlossen",
  overMore: (when) => `Sie war bis ${when} zu sehen. Frag, wer sie gemacht hat, wenn du sie noch brauchst.`,
  withAPassword: "Diese Zeitleiste hat ein Passwort",
  withAPasswordMore:
    "Wer dir den Link gegeben hat, kann dir das Passwort sagen. Dieser Browser wird in 30 Tagen einmal gefragt.",
  password: "Passwort",
  open: "Öffnen",
  notInFrames: "Diese Zeitleiste wird in anderen Seiten nicht gezeigt",
  notInFramesMore:
    "Nur bestimmte Leute dürfen sie sehen, und innerhalb einer anderen Site lässt sich niemand unterscheiden.",
  openOnItsOwn: "Auf eigener Seite öffnen",
  thereIsNothingHereThat: "Hier ist nichts, was du sehen darfst",
  signInAsSomebodyOf:
    "Melde dich als jemand aus der Klasse an, für die sie veröffentlicht wurde, oder bitte, sie zu öffnen.",
  signInAsSomebodyOfSchool:
    "Melde dich als jemand aus der Schule an, für die sie veröffentlicht wurde, oder bitte, sie zu öffnen.",
  signInAsOneOf: "Melde dich als jemand an, der daran arbeitet, oder bitte, sie zu öffnen.",
  signIn: "Anmelden",
  untitled: "Ohne Titel",

  title: "Für alle veröffentlicht",
  words: "Worte",
  wordsHint: "in Titeln, Ereignissen, Orten und Texten",
  period: "Zeitraum",
  periodHint: "etwa 1800-1900",
  periodUnread: (typed) =>
    `„${typed}“ ist kein Zeitraum, der sich lesen lässt, darum werden alle gezeigt. Schreib Jahre oder Daten, etwa 1800-1900 oder 19. Jahrhundert.`,
  subject: "Thema",
  anySubject: "Jedes Thema",
  withPictures: "Mit Bildern",
  order: "Reihenfolge",
  newest: "Neueste zuerst",
  mostRead: "Meistgelesene zuerst",
  best: "Passendste zuerst",
  look: "Suchen",
  found: (n, more) =>
    more ? `Mehr als ${number(n)} Zeitleisten` : n === 1 ? "1 Zeitleiste" : `${number(n)} Zeitleisten`,
  nothingFound:
    "Nichts, was für alle veröffentlicht ist, passt zu alldem. Nimm weniger Worte, eine andere Schreibweise oder einen weiteren Zeitraum.",
  nobodyYet: "Noch hat niemand eine Zeitleiste für alle veröffentlicht.",
  earlier: "Vorige Seite",
  later: "Nächste Seite",
  page: (n) => `Seite ${n}`,
  showAll: "Alle zeigen",
  by: (name) => `von ${name}`,
  events: (n) => (n === 1 ? "1 Ereignis" : `${number(n)} Ereignisse`),
  pictures: (n) => (n === 1 ? "1 Bild" : `${number(n)} Bilder`),

  about: "Über diese Zeitleiste",
  publishedOn: (when) => `Veröffentlicht am ${when}.`,
  basedOn: (title, by) => `Begonnen mit „${title}“${by ? ` von ${by}` : ""}.`,
  openPage: "Die Zeitleiste öffnen",
  copyHead: "Damit eine eigene Zeitleiste beginnen",
  copyMore:
    "Du bekommst alles, wie es veröffentlicht ist, mit den Bildern, als eigene Zeitleiste, die sonst niemand sieht. Für immer steht dabei, mit wessen Arbeit sie begonnen wurde.",
  copyNot: "Wer sie gemacht hat, lässt andere nicht damit beginnen. Frag dort, was du davon nutzen darfst.",
  copySignIn: "Anmelden, um damit zu beginnen",
  copyDo: "Als meine kopieren",
  embedHead: "Auf einer eigenen Seite zeigen",
  embedNot:
    "Sie wird in keiner anderen Site gezeigt. Verlinke sie stattdessen, oder bitte, deine Site zu erlauben: Das geht unter Teilen.",
  embedMore:
    "Setz diesen Code in deine Seite. Er zeigt die Zeitleiste, wie sie veröffentlicht ist, immer die neueste Fassung.",
  code: "Code für deine Seite",
  reportHead: "Diese Seite melden",
  reportMore:
    "Wer diese Site betreibt, sieht sie sich an und verbirgt, was hier nicht sein soll. Wer sie gemacht hat, erfährt nicht, wer sie gemeldet hat.",
  reason: "Was daran nicht stimmt",
  reasons: {
    harmful: "Sie verletzt oder bedroht jemanden",
    private: "Sie zeigt das Privatleben von jemandem",
    copied: "Sie nutzt die Arbeit von jemandem ohne Erlaubnis",
    advertising: "Sie ist Werbung",
    other: "Etwas anderes",
  },
  reportWords: "In wenigen Worten",
  reportDo: "Melden",
  reported: "Danke. Es wurde gemeldet, und jemand sieht es sich an.",

  mine: "Von mir veröffentlicht",
  mineNone: "Du hast noch nichts veröffentlicht. Öffne eine Zeitleiste und drück auf Teilen.",
  whoSees: {
    only_me: "Nur wer daran arbeitet",
    class: "Die Klasse",
    school: "Die Schule",
    password: "Alle mit Link und Passwort",
    link: "Alle mit dem Link",
    everybody: "Alle",
  },
  nobodySees: "Niemand: zurückgenommen",
  hiddenSees: "Niemand: verborgen von denen, die diese Site betreiben",
  fromOn: (when) => `ab ${when}`,
  untilOn: (when) => `bis ${when}`,
  wasUntil: (when) => `sie war bis ${when} offen`,
  openedTimes: (n) => (n === 0 ? "noch nicht geöffnet" : n === 1 ? "einmal geöffnet" : `${number(n)}-mal geöffnet`),
  openedLast: (n, days) => `davon ${number(n)} in den letzten ${days} Tagen`,
  openedDays: (n, days) =>
    `In den letzten ${days} Tagen ${n === 1 ? "einmal" : `${number(n)}-mal`} geöffnet, eine Säule pro Tag`,
  timeline: "Zeitleiste",
  whoSeesIt: "Wer sie sehen kann",
  howOften: "Wie oft sie geöffnet wurde",
  takeBack: "Zurücknehmen",
  laterChanges: (n) =>
    n === 1 ? "1 spätere Änderung wird nicht gezeigt" : `${number(n)} spätere Änderungen werden nicht gezeigt`,
  openEditor: "Zum Bearbeiten öffnen",
  shownIn: (sites) => `darf in Seiten von ${sites} stehen`,
  anySite: "jeder Site",
  mayBeCopied: "andere dürfen damit beginnen",

  reports: "Gemeldete Seiten",
  noReports: "Nichts Gemeldetes wartet auf dich.",
  reportedOn: (when) => `gemeldet am ${when}`,
  hide: "Verbergen",
  keep: "Lassen",
  show: "Wieder zeigen",
  hiddenOnes: "Verborgen",
  noneHidden: "Nichts ist verborgen.",

  mailbox: "Briefkasten",
  mailboxMore:
    "Kein Mailserver ist eingestellt, also verlässt nichts diese Maschine: Was gesendet worden wäre, steht hier. SMTP_URL sendet es wirklich.",
  mailboxReal: "Was in deinem Namen und von Fastigo selbst an dich gesendet wurde.",
  noMail: "Noch wurde nichts in deinem Namen gesendet.",
  mailTo: (who) => `An ${who}`,
  mailNotSent: "nicht gesendet:",
  mailWaiting: "wartet aufs Senden",
  mailSent: "gesendet",
};

export const LETTERS: Like<typeof En.LETTERS> = {
  title: "Briefe dieser Site",
  sent: "Sie gehen über den eingestellten Mailserver hinaus; was darin steht, ist für die, die sie bekommen.",
  notSent:
    "Kein Mailserver ist eingestellt, darum wurden diese nicht gesendet: Links zum Anmelden, und Fragen, ob eine Adresse stimmt. Gib jeden der Person, für die er ist, und niemandem sonst; sein Link ist ein Schlüssel.",
};
