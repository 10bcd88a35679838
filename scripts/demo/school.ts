import type { Block, Mark } from "../../src/core/text/description";

const said = (text: string, ...marks: Mark[]): Block => ({
  kind: "paragraph",
  content: [{ kind: "text", text, marks }],
});

/** Hollin Bank School in the demo: the class, the Crossing project, and five groups at every stage. */
export const SCHOOL_NAME = "Hollin Bank School";
export const CLASS_NAME = "History 8B";

export const ASSIGNMENT = {
  title: "Crossing project",
  instructions: [
    said("How have people crossed the Ambrel, and what came of it?", { kind: "bold" }),
    {
      kind: "list",
      ordered: false,
      items: [
        [said("Work in twos or threes.")],
        [said("Write in your own words, and say where you know it from.")],
        [said("Go and look: the flood stone at the bridge names its years.")],
      ],
    },
  ] as Block[],
  period: "1600 - 1931",
  requirements: [{ kind: "events", count: 12 }, { kind: "media", count: 6 }, { kind: "sources" }] as const,
  given: [
    { title: "Spring flood takes two arches", when: "19 Mar 1783", locked: false },
    { title: "The viaduct carries its first train", when: "Jul 1889", locked: false },
  ],
  total: 20,
  options: {
    rubric: {
      name: "Crossing project",
      criteria: [
        {
          name: "Dates",
          weight: 1,
          levels: [
            {
              name: "Exact and argued",
              text: "Every date is as exact as its source, and what is uncertain is said.",
              points: 4,
            },
            { name: "Mostly right", text: "One or two are less exact than the source.", points: 3 },
            { name: "Partly", text: "Several are missing or wrong.", points: 1 },
            { name: "Not yet", text: "Hardly any date can be relied on.", points: 0 },
          ],
        },
        {
          name: "Explanation",
          weight: 2,
          levels: [
            { name: "What came of it", text: "Each event says what it led to.", points: 4 },
            { name: "What happened", text: "Each event is told in own words.", points: 3 },
            { name: "In part", text: "Some events have no text.", points: 1 },
            { name: "Not yet", text: "There are titles only.", points: 0 },
          ],
        },
        {
          name: "Sources",
          weight: 1,
          levels: [
            { name: "Weighed", text: "More than one kind of source, and what each is worth.", points: 4 },
            { name: "Named", text: "Every event with a source.", points: 3 },
            { name: "Some", text: "Half of the events.", points: 1 },
            { name: "None", text: "", points: 0 },
          ],
        },
      ],
    },
    texts: [
      {
        title: "Toll book of the ferry, 1702",
        text: "Received of the carters from the west bank, for eleven crossings with salt, four shillings; of the same for one drowned ox, nothing.",
      },
    ],
  },
};

export type Stage = "nothing" | "working" | "submitted" | "returned" | "again";

export interface DemoGroup {
  members: string[];
  stage: Stage;
  /** How many of the events below they have written, how many with a source, how many pictures. */
  events: number;
  sources: number;
  pictures: number;
  /** What they answered for the two given events; "" for nothing. */
  answers: [string, string];
}

export const GROUPS: readonly DemoGroup[] = [
  {
    members: ["Junia", "Petr", "Sol"],
    stage: "returned",
    events: 11,
    sources: 13,
    pictures: 6,
    answers: ["19 Mar 1783", "1889"],
  },
  {
    members: ["Rafe", "Odile"],
    stage: "again",
    events: 10,
    sources: 11,
    pictures: 4,
    answers: ["19 Mar 1783", "Jul 1889"],
  },
  {
    members: ["Tamsin", "Kit"],
    stage: "submitted",
    events: 9,
    sources: 8,
    pictures: 6,
    answers: ["spring 1783", "1890"],
  },
  { members: ["Wren", "Caspian"], stage: "working", events: 4, sources: 1, pictures: 2, answers: ["", ""] },
  { members: ["Ilse"], stage: "nothing", events: 0, sources: 0, pictures: 0, answers: ["", ""] },
  { members: ["Bram"], stage: "nothing", events: 0, sources: 0, pictures: 0, answers: ["", ""] },
];

export const EVENTS: readonly {
  line: [when: string, title: string];
  category: string;
  source: string;
  picture: string;
  text: string;
}[] = [
  {
    line: ["about 1604", "Rope ferry licensed"],
    category: "Crossing",
    source: "County roll 12",
    picture: "rope-ferry",
    text: "One boat, one rope, a farthing a head.",
  },
  {
    line: ["1631 - about 1702", "Tolls paid in salt"],
    category: "Trade",
    source: "Toll book, volume 1",
    picture: "salt-tolls",
    text: "There was not enough coin, so people paid in salt.",
  },
  {
    line: ["May 1688", "Market moves east"],
    category: "Trade",
    source: "Market charter",
    picture: "market",
    text: "The ferry landed there, so the stalls followed.",
  },
  {
    line: ["Jan 1719", "Carts cross on the ice"],
    category: "Weather",
    source: "Diary of the west mill",
    picture: "carts-on-ice",
    text: "The river was frozen for nineteen days.",
  },
  {
    line: ["1744 - 1783", "Timber bridge"],
    category: "Crossing",
    source: "Subscribers' list",
    picture: "timber-bridge",
    text: "Built of oak in one summer.",
  },
  {
    line: ["1766", "Bridge school opens"],
    category: "Town",
    source: "Parish letter book",
    picture: "bridge-school",
    text: "The school stood on the bridge because neither parish owned it.",
  },
  {
    line: ["1797", "First issue of the Post"],
    category: "Town",
    source: "Ambrel Post, no. 1",
    picture: "press",
    text: "Four pages every Saturday.",
  },
  {
    line: ["1811 - 1815", "Stone bridge is built"],
    category: "Crossing",
    source: "Bridge accounts",
    picture: "stone-bridge",
    text: "Four arches of grey stone.",
  },
  {
    line: ["about 1838 - 1905", "Barge trade"],
    category: "Trade",
    source: "Lock keeper's books",
    picture: "barge-trade",
    text: "Grain down, coal up.",
  },
  {
    line: ["14 Nov 1872", "The long night flood"],
    category: "Weather",
    source: "Ambrel Post, no. 3914",
    picture: "night-flood",
    text: "Nobody drowned; forty-one people were rescued by boat.",
  },
  {
    line: ["27 Sep 1931", "Last ferry crossing"],
    category: "Crossing",
    source: "Ambrel Post, no. 6982",
    picture: "last-ferry",
    text: "Ada Tolley took the last fare.",
  },
];

/** What a group wrote about an event: each in other words, but for one passage that two of them have alike. */
export function inOwnWords(group: DemoGroup, event: number): string {
  const { line, text, source } = EVENTS[event]!;
  const [when, title] = line;
  const number = GROUPS.indexOf(group);
  if (number === 0 || event === ALIKE) return text;
  return number % 2 === 1
    ? `${title}, ${when}. So says the ${source}; we have not seen it said elsewhere.`
    : `In ${source} we read of it: ${title.toLowerCase()}. The year is ${when}.`;
}

/** The event about which all who wrote of it say the same. */
const ALIKE = 0;
