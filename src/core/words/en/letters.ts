import type { InvitedAs } from "../../timeline/roles";
import { WORDS as TOGETHER } from "./together";

/** The letter that brings somebody the link to a published timeline. */
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
}): { subject: string; body: string } {
  return {
    subject: `${title || "A timeline"} – a timeline by ${from}`,
    body: [
      ...(words ? [words] : []),
      `${from} would like you to see this timeline:`,
      `${title || "Untitled"}\n${link}`,
      ...(password ? [`It has a password, which ${from} tells you apart from this letter.`] : []),
      `This letter was sent through Fastigo in the name of ${from} (${email}). Answering it answers them.`,
    ].join("\n\n"),
  };
}

/** The letter that invites somebody to a timeline. */
export function invitationLetter(
  title: string,
  by: string,
  role: InvitedAs,
  link: string,
): { subject: string; body: string } {
  return {
    subject: `${by} invites you to “${title || "Untitled"}”`,
    body: [
      `${by} invites you to a timeline on Fastigo: “${title || "Untitled"}”. You may ${TOGETHER.may[role]}.`,
      `Open this link, sign in or sign up, and you are in. It is good once:\n${link}`,
      "If you do not know what this is about, do nothing.",
    ].join("\n\n"),
  };
}

interface Text {
  subject: string;
  body: string;
}

/** The letters of Fastigo itself. */
export const WORDS = {
  schoolInvitation: (by: string, school: string, link: string): Text => ({
    subject: `${by} invites you to ${school}`,
    body: `${by} invites you to teach with Fastigo at ${school}.\n\nOpen this link, sign in or sign up, and you are in:\n${link}\n\nIf you do not know what this is about, do nothing.`,
  }),
  signInLink: (name: string, link: string): Text => ({
    subject: "Your link to sign in",
    body: `Open this link to sign in to Fastigo as ${name}. It is good once, for a quarter of an hour:\n${link}\n\nIf you have not asked for it, do nothing: nobody is signed in by it but whoever opens it.`,
  }),
  addressLink: (name: string, link: string): Text => ({
    subject: "Is this your address?",
    body: `The account ${name} on Fastigo has this address. If that is you, open this link while you are signed in; it is good for three days:\n${link}\n\nIf it is not you, do nothing: whoever made the account has mistyped their address.`,
  }),
  digest: (name: string, texts: readonly string[], all: number, home: string | null): Text => ({
    subject: all === 1 ? "1 notice for you" : `${all} notices for you`,
    body: [
      `For ${name} on Fastigo, since you were last there:`,
      texts.map((t) => `- ${t}`).join("\n"),
      ...(all > texts.length ? [`And ${all - texts.length} more.`] : []),
      home ? `Open it: ${home}` : "Open Fastigo to see more.",
      `Which of these come by mail, and whether any do, you choose under ${home ? `${home}account` : "Your account"}.`,
    ].join("\n\n"),
  }),
  addressChanged: (name: string, to: string): Text => ({
    subject: "Your address was changed",
    body: `The account ${name} on Fastigo, which had this address, has another from now on: ${to}.\n\nIf it was not you, tell whoever runs your Fastigo now: somebody else knows your password.`,
  }),
} as const;
