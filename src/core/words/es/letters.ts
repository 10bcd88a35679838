import type * as En from "../en/letters";
import type { InvitedAs } from "../../timeline/roles";
import type { Like } from "../like";
import { WORDS as TOGETHER } from "./together";

export function letterAbout({
  title,
  link,
  from,
  email,
  words,
  password,
}: Parameters<typeof En.letterAbout>[0]): ReturnType<typeof En.letterAbout> {
  return {
    subject: `${title || "Una línea de tiempo"} – una línea de tiempo de ${from}`,
    body: [
      ...(words ? [words] : []),
      `${from} querría que vieras esta línea de tiempo:`,
      `${title || "Sin título"}\n${link}`,
      ...(password ? [`Tiene una contraseña, que ${from} te dice aparte de esta carta.`] : []),
      `Esta carta se envió por Fastigo en nombre de ${from} (${email}). Responderla es responderle.`,
    ].join("\n\n"),
  };
}

export function invitationLetter(
  title: string,
  by: string,
  role: InvitedAs,
  link: string,
): { subject: string; body: string } {
  return {
    subject: `${by} te invita a «${title || "Sin título"}»`,
    body: [
      `${by} te invita a una línea de tiempo en Fastigo: «${title || "Sin título"}». Puedes ${TOGETHER.may[role]}.`,
      `Abre este enlace, entra o crea una cuenta, y ya estás dentro. Vale una vez:\n${link}`,
      "Si no sabes de qué se trata, no hagas nada.",
    ].join("\n\n"),
  };
}

export const WORDS: Like<typeof En.WORDS> = {
  schoolInvitation: (by, school, link) => ({
    subject: `${by} te invita a ${school}`,
    body: `${by} te invita a enseñar con Fastigo en ${school}.\n\nAbre este enlace, entra o crea una cuenta, y ya estás dentro:\n${link}\n\nSi no sabes de qué se trata, no hagas nada.`,
  }),
  signInLink: (name, link) => ({
    subject: "Tu enlace para entrar",
    body: `Abre este enlace para entrar en Fastigo como ${name}. Vale una vez, durante un cuarto de hora:\n${link}\n\nSi no lo has pedido, no hagas nada: no deja entrar a nadie más que a quien lo abre.`,
  }),
  addressLink: (name, link) => ({
    subject: "¿Es esta tu dirección?",
    body: `La cuenta ${name} de Fastigo tiene esta dirección. Si eres tú, abre este enlace habiendo entrado; vale tres días:\n${link}\n\nSi no eres tú, no hagas nada: quien creó la cuenta escribió mal su dirección.`,
  }),
  digest: (name, texts, all, home) => ({
    subject: all === 1 ? "1 aviso para ti" : `${all} avisos para ti`,
    body: [
      `Para ${name} en Fastigo, desde la última vez que estuviste:`,
      texts.map((t) => `- ${t}`).join("\n"),
      ...(all > texts.length ? [`Y ${all - texts.length} más.`] : []),
      home ? `Ábrelo: ${home}` : "Abre Fastigo para ver más.",
      `Cuáles vienen por correo, y si viene alguno, lo eliges en ${home ? `${home}account` : "Tu cuenta"}.`,
    ].join("\n\n"),
  }),
  addressChanged: (name, to) => ({
    subject: "Tu dirección se ha cambiado",
    body: `La cuenta ${name} de Fastigo, que tenía esta dirección, tiene otra desde ahora: ${to}.\n\nSi no has sido tú, avisa ahora a quien lleva tu Fastigo: alguien más conoce tu contraseña.`,
  }),
};
