/** What stands on the screen where a learning platform leads to. */
export const WORDS = {
  choose: "What the link leads to",
  chooseHelp: (platform: string, klass: string) =>
    `Choose an assignment of ${klass}. ${platform} puts a link to it into your course, and takes the points you give back.`,
  none: "This class has no assignment yet. Make one, and come back here from the platform.",
  newAssignment: "New assignment",
  link: (title: string) => `Link “${title}”`,
  chosen: "Chosen",
  back: (platform: string) => `Back to ${platform}`,
  bring: (platform: string) => `Bring in the students of ${platform}`,
  brought: (added: number, there: number) =>
    `${added} added, ${there === 1 ? "1 was" : `${there} were`} there already.`,
} as const;
