/** What is written into a folder that works without a server. */
export const FOLDER = {
  untitled: "Untitled",
  readme: (title: string, day: string) => `${title}
${"=".repeat(Math.min(72, title.length))}

Made with Fastigo on ${day}.

Open index.html in any browser. Nothing else is needed: no network, no server, no account.

index.html     the timeline: beginning, chart, text, index, and a practice
data.json      everything in it, in Fastigo's open JSON format; Fastigo reads it again
data.csv       the same as a table, for spreadsheets (UTF-8, commas)
sources.bib    the sources, as BibTeX, where there are any
media/         pictures, videos and sounds, a folder each, in the sizes the page shows
reader/        what moves the chart
fonts/         the type, with its licences

Should no browser open index.html one day: data.json and data.csv are plain text, and say every date,
title, text, place, credit and source. Dates are written as they were typed, and beside it as ISO 8601-2.
Pictures are WebP or JPEG files; those in media/*/large are the largest.
`,
} as const;

/** What is written into an archive of everything of somebody. */
export const archiveReadme = (): string => `Everything of mine, from Fastigo

archive.json                  what this is, and how many timelines and classes follow
account.json                  the account, its classes, what was handed in with its marks, practice, looks
timelines/N/index.json        the files of a timeline, with the SHA-256 of each
timelines/N/timeline.json     the timeline, in Fastigo's open JSON format
timelines/N/history.json      every change that was ever made to it: when, by whom, the steps, what was there before
timelines/N/media/ID          its pictures, videos and sounds
classes/N/class.json          a class you teach: students, assignments, what was handed in to the letter, its marks
classes/N/works/M/            the timelines of its groups, with their media, as those above
classes/N/index.json          the SHA-256 of class.json

On any Fastigo: sign in, open your account, and choose this file under "Bring everything back".
`;
