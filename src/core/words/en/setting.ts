import type { RubricSum, rubricProblem } from "../../classes/rubric";

/** Why a rubric cannot be used. */
export function rubricProblemText(p: NonNullable<ReturnType<typeof rubricProblem>>): string {
  return p.code === "no_name"
    ? "A criterion of the rubric has no name. Name it, or take it away; nothing was saved."
    : `All levels of “${p.criterion}” give the same points, so it tells nobody apart. Give them different points; nothing was saved.`;
}

/** How a mark by rubric came about, in one sentence. */
export function rubricSumText(sum: RubricSum, total: number): string {
  const parts = sum.parts.map(
    (p) => `${p.name} ${p.points} of ${p.best}${p.weight === 1 ? "" : `, counted ${p.weight} times`}`,
  );
  const said = parts.length === 0 ? "" : `${parts.join("; ")}. `;
  if (sum.points === null) return `${said}Still open: ${sum.open.join(", ")}.`;
  return sum.of === total
    ? `${said}Together ${sum.have} of ${sum.of}.`
    : `${said}Together ${sum.have} of ${sum.of}, which is ${sum.points} of ${total}.`;
}

/** What stands on the screen where an assignment is made. */
export const WORDS = {
  requirementsHelp:
    "Each is checked while students work, and said beside their timeline. What is wished is checked too, and nothing is missing without it.",
  addRequirement: "Add a requirement",
  chooseOne: "Choose one",
  asked: "asked",
  wished: "wished",
  askedOrWished: (name: string) => `${name}: asked or wished`,
  takeAway: (name: string) => `Take away: ${name}`,
  takeAwayShort: "Take away",
  noRequirements: "Nothing is required yet.",
  eventsAtLeast: "Events, at least",
  spansAtLeast: "Time spans, at least",
  mediaAtLeast: "Pictures or videos, at least",
  mediaCounts: "What counts",
  sourcesEach: "Sources an event, at least",
  wordsAtLeast: "Words in a description, at least",
  wordsAtMost: "Words in a description, at most",
  wordsInAll: "Words in all, at least",
  wordsInAllMost: "Words in all, at most",
  before: "Events before it",
  after: "Events after it",
  whichEvent: "Which event, by its title",
  categories: "Categories, commas between",
  crossingTrade: "Crossing, Trade",
  pageWords: (name: string) => `${name}: words, at least`,
  countOf: (name: string) => `${name}, at least`,
  howItIsDone: "How it is done",
  late: "Handed in late",
  lateAccepted: "it is taken, and said to be late",
  lateRefused: "nothing is taken; single students can be given more time",
  groups: "Groups",
  groupsPupils: "students make them as they begin",
  groupsSingle: "everybody works alone",
  groupsTeacher: "I make them, by hand or by lot",
  blind: "Names are hidden while it is marked",
  blindHelp: "You see “Work 1”, “Work 2” until you give it back.",
  worksShown: "Students see what others handed in",
  worksChosen: "what I choose for the gallery",
  worksHandedIn: "all of it, once their own is in (it cannot be taken back then)",
  worksDue: "all of it, once the due time has passed",
  model: "A timeline that shows how it may be done",
  noModel: "none",
  modelShown: "Students see it",
  shownBefore: "from the beginning",
  shownAfter: "once their work came back",
  shownNever: "never",
  untitled: "Untitled",
  texts: "Texts to read beside it",
  textsHelp: "Source texts, extracts, questions: students read them beside their chart.",
  textTitle: (n: number) => `Text ${n}: title`,
  textWords: (n: number) => `Text ${n}`,
  addText: "Add a text",
  takeTextAway: (n: number) => `Take away text ${n}`,
  rubric: "What it is marked by",
  rubricEditor: "Rubric",
  rubricHelp: "Criteria in levels, each with points. Without a rubric you give points as you see fit.",
  noRubric: "Points alone",
  makeRubric: "Make a rubric",
  keptRubrics: "One I have kept",
  chooseRubric: "Choose a rubric",
  rubricName: "Name of the rubric",
  rubricNameExample: "Crossing project",
  criterion: (n: number) => `Criterion ${n}`,
  criterionExample: "Accuracy of the dates",
  counts: (n: number) => `Criterion ${n}: counts so many times`,
  countsShort: "counts",
  times: "times",
  levelName: (c: number, l: number) => `Criterion ${c}, level ${l}: name`,
  levelText: (c: number, l: number) => `Criterion ${c}, level ${l}: what it takes`,
  levelPoints: (c: number, l: number) => `Criterion ${c}, level ${l}: points`,
  points: "points",
  addCriterion: "Add a criterion",
  addLevel: "Add a level",
  takeLevelAway: (c: number, l: number) => `Take away level ${l} of criterion ${c}`,
  takeCriterionAway: (c: number) => `Take away criterion ${c}`,
  keepRubric: "Keep it to use again",
  rubricKept: "Kept.",
  rubricOut: "As a file",
  rubricIn: "From a file",
  rubricFile: "File of a rubric",
  assignmentFile: "File of an assignment",
  withoutRubric: "Mark without a rubric",
  noRubricFile: "This file holds no rubric of Fastigo. Nothing was changed; choose one that was taken out here.",
  levelNames: ["Beyond what was asked", "As asked", "Partly", "Not yet"],
  criteriaNames: ["Accuracy", "Explanation", "Sources"],
  assignmentOut: "As a file, for a colleague",
  assignmentIn: "From a file",
  noAssignmentFile:
    "This file holds no assignment of Fastigo. Nothing was changed; choose one that was taken out here.",
  fromFile: "Filled in from the file. Set when it is due, look it over, and set it.",
  useAgain: "Set it again",
  useAgainIn: "In which class",
  useAgainHelp: "Everything is copied but what students did. Look it over and set when it is due.",
  useIt: "Set it there",
  handout: "A page to print",
} as const;
