import type * as En from "../en/editor-local";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  opening: "Wird geöffnet",
  tryAgain: "Noch einmal versuchen",
  signUp: "Konto anlegen",
  thisBrowserKeepsNothing:
    "Dieser Browser lässt Fastigo nichts aufheben, darum ließe sich hier nichts schreiben. Leg ein Konto an, oder nimm einen anderen Browser.",
  openInAnotherTab:
    "Deine Zeitleiste ist in einem anderen Tab dieses Browsers offen. Mach dort weiter, oder schließ ihn und versuch es noch einmal.",
  keptHereOnly:
    "Diese Zeitleiste ist nur in diesem Browser aufgehoben. Wer ihn nach dir benutzt, kann sie sehen, bis du sie entfernst.",
  diskTakesNothing: "Nicht behalten – dieses Gerät nimmt nichts mehr",
  clearIt: "Entfernen",
  clearingRemovesIt: "Das entfernt die Zeitleiste endgültig aus diesem Browser: Es gibt keine andere Kopie von ihr.",
  leaveIt: "Lassen",
  signUpToKeepIt: "Konto anlegen, um sie zu behalten",
  timeline: "Zeitleiste",
  download: { svg: "Das Schaubild", csv: "Die Ereignisse, für eine Tabelle", json: "Alles davon" },
  needsAnAccount:
    "Veröffentlichen, Teilen und Abgeben brauchen ein Konto. Leg eins an, oder melde dich an: Was du geschrieben hast, kommt mit.",
  share: "Teilen",
  signIn: "Anmelden",
  joinAClass: "Einer Klasse beitreten",
  takingAlong: "Es wird mitgenommen, was du vorher geschrieben hast",
  takenAlong: (title) => `„${title}“ ist aus diesem Browser mitgekommen und gehört jetzt dir.`,
  notTakenAlong: (why) =>
    `Was du in diesem Browser geschrieben hast, ließ sich nicht mitnehmen: ${why} Es ist hier weiter aufgehoben.`,
  openIt: "Öffnen",
  mediaNeedAnAccount:
    "die werden auf dem Server aufgehoben, und das braucht ein Konto. Leg zuerst eins an; was du geschrieben hast, kommt mit.",
  youAreSignedIn: "Du bist schon angemeldet.",
  toYourTimelines: "Zu deinen Zeitleisten",
  begunHere:
    "Diese Zeitleiste wird auf diesem Gerät aufgehoben, bis das Netz wieder da ist; dann kommt sie von deiner ersten Seite aus zu deinen Zeitleisten.",
  networkIsBack: "Das Netz ist wieder da: zu deinen Zeitleisten nehmen",
  needsTheNetwork:
    "Veröffentlichen, teilen und abgeben brauchen das Netz. Sobald es wieder da ist, nimm diese Zeitleiste erst zu deinen Zeitleisten.",
  mediaNeedTheNetwork:
    "diese werden auf dem Server aufgehoben, was das Netz braucht. Füge sie hinzu, sobald dies eine deiner Zeitleisten ist.",
  withoutNetwork: {
    notConnected: "Nicht verbunden",
    kept: "Diese Zeitleisten werden auf diesem Gerät aufgehoben, und du kannst in ihnen schreiben; was du schreibst, wird gesendet, wenn das Netz wieder da ist.",
    none: "Auf diesem Gerät wird keine Zeitleiste aufgehoben.",
    untitled: "Ohne Titel",
    begin: "Eine neue Zeitleiste beginnen, oder mit der hier begonnenen weitermachen",
  },
  thisDevice: "Dieses Gerät",
  thisDeviceIsMine:
    "Dieses Gerät gehört mir: Hebe die Zeitleisten, die ich öffne, darauf auf, damit sie ohne Netz aufgehen",
  neverOnShared: "Lass das aus auf einem Gerät, das auch andere benutzen. Abmelden entfernt, was aufgehoben ist.",
  cannotKeep:
    "Dieser Browser kann die Anwendung nicht aufheben: Das braucht https, oder einen Browser, der Seiten aufheben lässt.",
  keptOnThisDevice:
    "Sie ist jetzt auf diesem Gerät aufgehoben. Zeitleisten, die du von jetzt an öffnest, werden auch aufgehoben.",
  nothingIsKeptNow: "Auf diesem Gerät ist nichts mehr aufgehoben.",
  notSentYet: "Noch ist nicht alles gesendet",
  unsentSaid: (n) =>
    n === 1
      ? "1 Änderung, die auf diesem Gerät geschrieben wurde, hat den Server noch nicht erreicht. Öffne ihre Zeitleiste mit Netz, um sie zu senden, oder speichere sie als Datei."
      : `${n} Änderungen, die auf diesem Gerät geschrieben wurden, haben den Server noch nicht erreicht. Öffne ihre Zeitleisten mit Netz, um sie zu senden, oder speichere sie als Datei.`,
  openToSend: "Öffnen und senden",
  saveAndSignOut: "Als Datei speichern und abmelden",
  stay: "Angemeldet bleiben",
  unsentFile: "fastigo-nicht-gesendet.json",
  unsentBack: "Arbeit, die als Datei gespeichert wurde",
  unsentBackHint:
    "Wo sich jemand abgemeldet hat, bevor alles gesendet war, wurde es als „fastigo-nicht-gesendet.json“ gespeichert: Bring es hier zurück.",
  openTheFile: "Die Datei öffnen",
  noUnsentFile: "Das ist keine Datei mit nicht gesendeter Arbeit. Nichts wurde geändert.",
  unsentSent: (n) => (n === 1 ? "1 Änderung ist jetzt auf dem Server." : `${n} Änderungen sind jetzt auf dem Server.`),
  unsentLeft: (n, why) =>
    `${n} ${n === 1 ? "ließ" : "ließen"} sich nicht annehmen: ${why} ${n === 1 ? "Sie ist" : "Sie sind"} weiter in der Datei.`,
  print: "Drucken",
  cannotPrint:
    "Was das Drucken braucht, ließ sich nicht holen. Nichts ist verloren; versuch es wieder, wenn das Netz da ist.",
  untitled: "Ohne Titel",
};
