/** What is kept of the students of a class and who sees it, in plain words. */
export const WORDS = {
  title: "What is kept of you, and who sees it",
  link: "What is kept, and who sees it",
  intro: (klass: string, teachers: string) => `This is the class ${klass}. Its teachers are ${teachers}.`,
  points: (months: number, publish: string, noNames: boolean, outside: boolean, recording: boolean) => [
    "Your class sees the name you chose, and nothing else of you. Your teachers see your sign-in name too, and may have noted your whole name; nobody else sees that.",
    "Your teachers see the timelines you make for an assignment of this class, while you work on them and as you handed them in. They do not see your other timelines unless you invite them.",
    "Others of your class see what you hand in only where the assignment says so, or where your teachers show it to the class.",
    "Who has a timeline open sees who else has it open, and where; nothing of that is kept. Comments and suggestions stay with the timeline until they, or it, are deleted.",
    "For such a timeline it is counted who wrote which words and events, and when. Your teachers see it of the group, you see it of yourself: under “The task”, “What is counted of your work”.",
    "Wording of your work is compared with the works of the class and the texts you were given. You see passages of your own; your teachers see both sides. No machine decides what that means.",
    `What you hand in, its marks and comments are kept for ${months} months, and then destroyed. Your timeline stays yours.`,
    "Your teachers can take the class with its works and marks away as a file, to keep it or to bring it to another Fastigo; there it is kept no longer.",
    publish,
    noNames
      ? "On what is published of it stands nobody’s name: the by-line is empty or a pseudonym."
      : "On what is published of it stands the by-line you choose. It need not be your name.",
    outside
      ? "Videos of other sites are only asked for when you press them; those sites then learn that you watch."
      : "Videos of other sites are not played here.",
    recording
      ? "Camera and microphone are used only when you press record."
      : "Camera and microphone are not used here.",
    "Under your account you can take everything of yours away as a file, and delete the account with all that is yours alone.",
  ],
  publish: {
    only_me: "What you make for this class cannot be published.",
    class: "What you make for this class can be published to the class, not beyond it.",
    school: "What you make for this class can be published to the school, not beyond it.",
    password: "What you make for this class can be published behind a password, not for everybody.",
    link: "What you make for this class can be published to whoever has the link; search engines are asked to leave it out.",
    everybody: "What you make for this class can be published for everybody.",
  } as Record<string, string>,
  fromSchool: "What your school adds",
  edit: "What your school adds to this, in its own words",
  editHelp: "Students and their parents read it beneath what Fastigo says itself. Up to 5,000 characters.",
  save: "Save it",
  saved: "Saved.",
  print: "It can be printed for parents.",
  back: "Back to the class",
} as const;
