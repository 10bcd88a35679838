/** One task of the guide, as people name it. */
export interface GuideTask {
  /** Its address: /help/ID. */
  id: string;
  title: string;
  /** Other words it is found by. */
  also: string;
  steps: readonly string[];
  /** A picture made from the demo data (docs/screenshots), and what is seen on it. */
  picture: { file: string; alt: string } | null;
  /** Where the task is begun, and other tasks that go on from it. */
  links: readonly { to: string; text: string }[];
}

/** The guide: what people want to do, in the order they come to it. */
export const GUIDE: readonly GuideTask[] = [
  {
    id: "begin",
    title: "Begin a timeline",
    also: "new start first event write sign up without account",
    steps: [
      "On your home page press New timeline, give it a title and press Make it. Without an account, press Begin now on the front page: what you write is kept in that browser.",
      "Write one event a line at the foot of the page, the date first: 14 Nov 1872 The long night flood. Press Enter.",
      "Write dates the way you know them: about 1604, 1840s, 310 BC, spring 1783, 1631 to about 1702. What was understood is shown; what you typed is kept.",
      "An event without a date is fine too: it keeps its place in the order until you know more.",
    ],
    picture: {
      file: "editor",
      alt: "The editor: the chart above, the ledger of its events below, and the line for the next event",
    },
    links: [
      { to: "/new", text: "New timeline" },
      { to: "/help/bring-in", text: "Bring in a table" },
    ],
  },
  {
    id: "bring-in",
    title: "Bring in a table",
    also: "import csv excel xlsx ods spreadsheet calendar family gedcom paste list web page file",
    steps: [
      "In the editor press Bring in, or drop a file anywhere on the page: a spreadsheet, a table or list copied from a page or document, a calendar, a family file, or a timeline of Fastigo's.",
      "Look at the guessed columns on top and change those that are wrong. Every date is shown as it was typed and as it was understood; those not understood stand first and are mended in place.",
      "Press Bring them in. It is one change: one undo takes all of it back.",
    ],
    picture: { file: "bring-in", alt: "Rows of a table before they come in, with the columns that were guessed" },
    links: [{ to: "/help/take-out", text: "Take a table out" }],
  },
  {
    id: "pictures",
    title: "Add pictures, videos and sounds",
    also: "image photo upload credit licence record voice cover film",
    steps: [
      "Open an event and choose files under Pictures, video, sound, paste a picture, or drop it on the event in the chart.",
      "Write what is to be seen, who made it and under which licence. The ready check names those that are missing.",
      "Drag the cross on a picture to what must be seen: charts and cards crop around it.",
      "A voice can be recorded into an event, or for the whole timeline under About.",
    ],
    picture: { file: "event-sheet", alt: "The sheet of an event with its date, text and pictures" },
    links: [{ to: "/shelf", text: "Pictures that ship with Fastigo" }],
  },
  {
    id: "sources",
    title: "Name sources",
    also: "citation bibliography bibtex ris reference quote footnote",
    steps: [
      "In an event's sheet write a source as a line. Press Take it apart to give it authors, title, date and place; one source serves many events.",
      "Open Sources to bring in BibTeX, RIS or CSL-JSON, and to choose how the list is written.",
      "The list stands at the end of the published page, in the frozen copy and on paper.",
    ],
    picture: { file: "sources", alt: "The list of sources of a timeline" },
    links: [],
  },
  {
    id: "look",
    title: "Give it a look",
    also: "theme colours design font paper texture background category",
    steps: [
      "Press Look and point at a card: the chart wears it. Press it to keep it.",
      "Below, choose paper, texture, a picture behind the chart, the lines, and what labels say. Contrast is worked out, so that words stay readable.",
      "Colours and patterns of categories are set under About.",
    ],
    picture: { file: "looks", alt: "One timeline in nine looks" },
    links: [],
  },
  {
    id: "publish",
    title: "Publish it",
    also: "share public link who may see password link private take back until date",
    steps: [
      "Press Share and choose who may see it: only its editors, a class, anyone with the link and a password, anyone with the link, or everybody.",
      "If it is only for a while, set from when and until when. Then press Publish.",
      "What is published stays as it was. After changes, look at What has changed since and press Publish the changes.",
      "Take it back closes the page at once, in every site that shows it too. All I have published lists every page, who sees it and how often it was opened.",
    ],
    picture: { file: "reader-open", alt: "A published timeline with an event opened in it" },
    links: [
      { to: "/published/mine", text: "All I have published" },
      { to: "/help/link", text: "Hand on the link" },
    ],
  },
  {
    id: "link",
    title: "Hand on the link",
    also: "short link qr code mail email address word",
    steps: [
      "Under Share, copy the link, or give it a word of your choice: over-the-ambrel instead of letters and digits. Earlier words go on leading to the page.",
      "QR code shows it as a picture to put on a wall or a worksheet.",
      "Send it by mail writes to up to 20 addresses in your name.",
    ],
    picture: { file: "share", alt: "Sharing: the link, its QR code, and the code for other pages" },
    links: [{ to: "/mailbox", text: "Letters sent in your name" }],
  },
  {
    id: "embed",
    title: "Show it in another site",
    also: "embed iframe course page website blog moodle code",
    steps: [
      "Publish it for anyone with the link, or for everybody: inside another site nobody can be told apart.",
      "Under Share, Show it in another page, choose in which sites it may stand.",
      "Choose what shows first and how high it is, copy the code and put it into the other page.",
      "The page always shows the newest published version. When you take it back, a short notice stands there instead.",
    ],
    picture: null,
    links: [{ to: "/help/publish", text: "Publish it" }],
  },
  {
    id: "poster",
    title: "Make a poster or a printout",
    also: "print pdf paper a4 a3 a0 banner wall png svg picture booklet",
    steps: [
      "In the editor press the printer in the bar. Choose the paper, from A5 to A0, or a size of its own up to five metres.",
      "For a wall of ordinary sheets choose how many lie side by side and one under the other: they overlap and carry marks to cut along.",
      "What does not fit, and pictures too coarse for the size, is said before. Press Make the PDF and look at the preview: it is the file itself.",
      "The text with its pictures, or the index as a list, are printed the same way. Picture of the chart gives a PNG or SVG.",
    ],
    picture: { file: "paper", alt: "Putting a timeline on paper, with a preview of the file" },
    links: [{ to: "/help/folder", text: "Take it away on a stick" }],
  },
  {
    id: "folder",
    title: "Take it away on a stick",
    also: "download zip offline scorm learning platform usb without internet archive",
    steps: [
      "In the editor press the printer in the bar, then Make the folder.",
      "Unpack the zip and open index.html in any browser: it needs no network and no server.",
      "As a learning package (SCORM 1.2) it goes into a learning platform and reports that it was read, and the score of a practice.",
    ],
    picture: null,
    links: [{ to: "/account", text: "Everything of yours as one archive" }],
  },
  {
    id: "take-out",
    title: "Take a table out",
    also: "export csv xlsx ods json calendar markdown download data",
    steps: [
      "In the ledger press Take out. Choose all events, those you look at, or those you have chosen, and the form: spreadsheet, table, calendar, document, JSON.",
      "Spreadsheets and JSON carry every field and come back without loss.",
    ],
    picture: null,
    links: [{ to: "/help/bring-in", text: "Bring in a table" }],
  },
  {
    id: "present",
    title: "Show it to a class",
    also: "present board projector whiteboard beamer speaker",
    steps: [
      "Press Present. The chart fills the wall; arrow keys lead from event to event.",
      "Speaker opens a second window with your notes and what comes next.",
      "Board is the editor in large, for a whiteboard one writes on with a finger.",
    ],
    picture: { file: "present", alt: "A timeline presented, with an event opened" },
    links: [],
  },
  {
    id: "practise",
    title: "Practise with it",
    also: "quiz exercise put in order game learn dates test",
    steps: [
      "On a published page press Practise: put events in order, write dates, or find what fell within a span. It can be printed with its answers.",
      "As a teacher, give a practice to a class on the class's page; you see how each did.",
    ],
    picture: { file: "practice", alt: "A practice: events to be put in order" },
    links: [{ to: "/published", text: "Timelines published for everybody" }],
  },
  {
    id: "hand-in",
    title: "Hand in work",
    also: "submit assignment homework ready check teacher frozen copy deadline",
    steps: [
      "Open the assignment from your home page. The ready check at the foot of the editor says what is asked and what is missing; each line leads to the spot.",
      "Stuck? “I am stuck” in an event's sheet asks your teacher, who answers there. Under The task stands what is worth a look before you hand in; what you have looked at you can set aside with a reason.",
      "Press Submit. What you handed in stays as it is; until it is due you can take it back and hand in again.",
      "Is your teacher not on Fastigo? Under Share make a frozen copy: a link, or a file with its pictures, with a fingerprint that proves it was not changed.",
    ],
    picture: { file: "ready-check", alt: "The ready check under a chart: what is asked, and what is there" },
    links: [],
  },
  {
    id: "class",
    title: "Set up a class and an assignment",
    also: "teacher students join code group requirement rubric",
    steps: [
      "Open Classes, name the class and press Make the class. Students join with the code; they need a name and a password, no e-mail address.",
      "Or press Add students from a list: paste names, or choose a school's OneRoster export. Each student gets a slip to print, with a sign-in name and a code for the first time.",
      "Under Who teaches here take in colleagues by their e-mail: as teachers, or as assistants who see and comment.",
      "Press New assignment: instructions, due time, what is asked or only wished, texts to read, a rubric, events you give. Let students make the groups, or make them by lot.",
      "A practice is given on the class's page, with a due time if you like: whoever has not done it then stands among those who are late.",
      "What the class keeps of a student goes out as a file, or is destroyed, under Remove beside their name.",
      "When the year is over, begin the next one with the same set-up.",
    ],
    picture: { file: "class", alt: "A class with its assignments, students and practices" },
    links: [
      { to: "/classes", text: "Classes" },
      { to: "/help/mark", text: "Mark a class" },
    ],
  },
  {
    id: "school",
    title: "Keep classes together as a school",
    also: "organisation administrator teachers colleagues publish limit",
    steps: [
      "Press Make a school under My classes today. Whoever makes it is its first administrator.",
      "Take in colleagues by e-mail, as teachers or administrators. Whoever has no account gets a letter with a link.",
      "On the page of a class choose the school it belongs to. Its page lists the classes, and what is published to the school.",
      "Under Share, in a timeline, the school is one of those who may see it: its teachers and the students of its classes.",
      "Administrators say how far pupils may publish at most. It holds at once, for what is published already too.",
    ],
    picture: null,
    links: [
      { to: "/teaching", text: "My classes today" },
      { to: "/help/class", text: "Set up a class and an assignment" },
    ],
  },
  {
    id: "mark",
    title: "Mark a class",
    also: "grade points comment return feedback teacher",
    steps: [
      "My classes today, on your home page, says who waits to be marked, who handed in again, who is late, stuck, or has asked.",
      "Open a work: it is drawn as it was handed in, beside what was asked. Choose levels of the rubric with the keys 1, 2, 3, comment on events, insert comments you have kept, or speak one.",
      "Close wording and Who did what stand beside the work; what they mean is for you to say.",
      "Return it, or give it back to improve. Hold marks keeps all of them back until a day. A mark that was given back is changed with a reason.",
      "Take the marks away as a table, a workbook, OneRoster results or marking sheets; Figures shows how the class did.",
    ],
    picture: { file: "marking", alt: "Marking: the work of a group with requirements and points" },
    links: [
      { to: "/teaching", text: "My classes today" },
      { to: "/help/class", text: "Set up a class and an assignment" },
      { to: "/help/peers", text: "Let students read each other's work" },
    ],
  },
  {
    id: "peers",
    title: "Let students read each other's work",
    also: "peer review gallery show class exhibition feedback",
    steps: [
      "On the assignment press Peer reading: everybody who has handed in is given work of others, by lot and, if you want, without names.",
      "They read it, choose levels of the rubric and write what is good and what would make it better. You see what was said and how far they agree, and decide yourself.",
      "Chosen work that you have given back can be shown in the class gallery, all together or one after another.",
    ],
    picture: null,
    links: [{ to: "/help/mark", text: "Mark a class" }],
  },
  {
    id: "together",
    title: "Work on it together",
    also: "collaborate invite share edit history undo restore deleted",
    steps: [
      "Under Share invite people by their e-mail addresses, by the name of somebody in your class, or by a link: to read, to comment, or to edit with you. All who edit can write at once.",
      "History says who did what; any moment can be looked at, compared and put back.",
      "What was deleted lies in the bin for 30 days.",
    ],
    picture: null,
    links: [{ to: "/bin", text: "Bin" }],
  },
  {
    id: "talk",
    title: "Talk about it, and suggest changes",
    also: "comment suggestion mention name notice report rude answer mail",
    steps: [
      "Press Comments in the editor, or on the page of a timeline you may comment on. Choose what it is about: the whole, an event, a field of it, or words you have marked. “@” and a name tells somebody.",
      "Who may comment can suggest what an event should be; those who edit take it in or leave it out, all at once or one by one.",
      "What somebody said can be reported where it stands. In a class the teachers are told; anywhere else whoever keeps the site looks at it.",
      "What you are told of, on your first page or by mail, you choose under Your account.",
    ],
    picture: null,
    links: [
      { to: "/account", text: "Your account" },
      { to: "/help/together", text: "Work on it together" },
    ],
  },
  {
    id: "sign-in",
    title: "Sign in, and keep others out",
    also: "password forgotten lost link mail two-step code device phone school account address",
    steps: [
      "Sign in with your e-mail address, or the name your class gave you, and your password; or through your school, where the page to sign in has a button for it.",
      "Without the password have a link sent by mail. Who has no address asks the teacher of the class for a code.",
      "Under Your account show that your address is yours: invitations that are sent to it then stand on your first page.",
      "Two-step codes ask for your device as well as your password. Write the spare codes down: each lets you in once when the device is lost.",
    ],
    picture: null,
    links: [{ to: "/account", text: "Your account" }],
  },
];

/** What stands around the guide. */
export const WORDS = {
  help: "Help",
  guideTo: "The guide: how things are done",
  intro: "How things are done, in a few sentences each.",
  find: "Find",
  findDo: "Search",
  none: (typed: string) => `Nothing in the guide names “${typed}”. Here is all of it.`,
  asPdf: "The guide as a PDF",
  all: "All of the guide",
  goOn: "From here",
  howItGoes: "How it goes",
} as const;
