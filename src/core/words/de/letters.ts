import type { InvitedAs } from "../../timeline/roles";
import type * as En from "../en/letters";
import { WORDS as TOGETHER } from "./together";

interface Text {
  subject: string;
  body: string;
}

export function letterAbout({
  title,
  link,
  from,
  email,
  words,
  password,
}: {
  title: string;
  link: string;
  from: string;
  email: string;
  words: string;
  password: boolean;
}): Text {
  return {
    subject: `${title || "Eine Zeitleiste"} – eine Zeitleiste von ${from}`,
    body: [
      ...(words ? [words] : []),
      `${from} möchte, dass du diese Zeitleiste siehst:`,
      `${title || "Ohne Titel"}\n${link}`,
      ...(password ? [`Sie hat ein Passwort, das dir ${from} getrennt von diesem Brief sagt.`] : []),
      `Dieser Brief ging durch Fastigo im Namen von ${from} (${email}) hinaus. Eine Antwort geht dorthin.`,
    ].join("\n\n"),
  };
}

export function invitationLetter(title: string, by: string, role: InvitedAs, link: string): Text {
  return {
    subject: `${by} lädt dich zu „${title || "Ohne Titel"}“ ein`,
    body: [
      `${by} lädt dich zu einer Zeitleiste auf Fastigo ein: „${title || "Ohne Titel"}“. Du darfst ${TOGETHER.may[role]}.`,
      `Öffne diesen Link, melde dich an oder leg ein Konto an, und du bist drin. Er gilt einmal:\n${link}`,
      "Wenn du nicht weißt, worum es geht, tu nichts.",
    ].join("\n\n"),
  };
}

export const WORDS: typeof En.WORDS = {
  schoolInvitation: (by, school, link) => ({
    subject: `${by} lädt dich zu ${school} ein`,
    body: `${by} lädt dich ein, mit Fastigo an ${school} zu unterrichten.\n\nÖffne diesen Link, melde dich an oder leg ein Konto an, und du bist dabei:\n${link}\n\nWenn du nicht weißt, worum es geht, tu nichts.`,
  }),
  signInLink: (name, link) => ({
    subject: "Dein Link zum Anmelden",
    body: `Öffne diesen Link, um dich bei Fastigo als ${name} anzumelden. Er gilt einmal, eine Viertelstunde:\n${link}\n\nHast du nicht darum gebeten, tu nichts: Angemeldet wird nur, wer ihn öffnet.`,
  }),
  addressLink: (name, link) => ({
    subject: "Ist das deine Adresse?",
    body: `Das Konto ${name} auf Fastigo hat diese Adresse. Bist du das, öffne diesen Link, während du angemeldet bist; er gilt drei Tage:\n${link}\n\nBist du es nicht, tu nichts: Wer das Konto anlegte, hat sich bei der Adresse vertippt.`,
  }),
  digest: (name, texts, all, home) => ({
    subject: all === 1 ? "1 Hinweis für dich" : `${all} Hinweise für dich`,
    body: [
      `Für ${name} auf Fastigo, seit du zuletzt da warst:`,
      texts.map((t) => `- ${t}`).join("\n"),
      ...(all > texts.length ? [`Und ${all - texts.length} weitere.`] : []),
      home ? `Öffnen: ${home}` : "Öffne Fastigo, um mehr zu sehen.",
      `Was davon per Mail kommt, und ob überhaupt, wählst du unter ${home ? `${home}account` : "Dein Konto"}.`,
    ].join("\n\n"),
  }),
  addressChanged: (name, to) => ({
    subject: "Deine Adresse wurde geändert",
    body: `Das Konto ${name} auf Fastigo, das diese Adresse hatte, hat von jetzt an eine andere: ${to}.\n\nWarst du das nicht, sag es gleich der Betreuung deines Fastigo: Jemand anderes kennt dein Passwort.`,
  }),
};
