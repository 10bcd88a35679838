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
