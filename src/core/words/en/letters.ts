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
