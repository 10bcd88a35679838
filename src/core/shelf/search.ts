import type { Language } from "../language/spoken";
import { pictureIn, SHELF } from "./shelf";
import type { ShelfPicture } from "./shelf-picture";

/** Words that are looked for together: whoever writes one means the others too. */
const SAME: readonly string[] = [
  "boat ship vessel barge canoe",
  "train railway railroad locomotive",
  "plane aeroplane airplane aircraft aviation flight",
  "car automobile motor",
  "castle fortress fort stronghold",
  "knight lord nobility feudal",
  "church cathedral abbey chapel",
  "monk nun monastery convent",
  "war battle conflict army soldiers",
  "peace treaty armistice",
  "vote election ballot democracy suffrage",
  "revolution uprising revolt rebellion",
  "law constitution charter",
  "king queen crown monarch ruler",
  "school education lesson classroom",
  "teacher lecturer",
  "farm farming agriculture harvest field",
  "food bread cooking kitchen meal",
  "medicine health doctor disease illness sickness",
  "plague epidemic pandemic",
  "money coins finance bank currency",
  "trade commerce merchants market shop",
  "factory mill industry works",
  "mine mining coal pit",
  "storm weather flood disaster hurricane",
  "star stars astronomy sky comet",
  "space rocket astronaut moon planets universe",
  "dinosaur fossil palaeontology prehistoric prehistory",
  "climate environment nature energy",
  "computer internet digital technology",
  "telephone telegraph radio communication media",
  "book books writing manuscript reading",
  "painting painter art drawing artist",
  "music orchestra instrument song concert",
  "theatre theater drama play stage",
  "sport sports games athletics race",
  "map chart atlas geography",
  "voyage exploration discovery explorer navigation",
  "egypt egyptian nile pharaoh",
  "greece greek hellenic",
  "rome roman latin",
  "viking norse scandinavia",
  "islam muslim mosque",
  "buddhism buddhist stupa pagoda",
  "maya aztec inca mesoamerica",
  "africa african",
  "asia asian china japan",
  "women woman girl",
  "children child family",
  "archaeology excavation dig find",
  "bridge viaduct aqueduct",
  "mathematics maths math geometry numbers",
  "biology cell dna life",
  "chemistry laboratory experiment",
  "bicycle bike cycling",
  "medieval middle",
];

const plain = (word: string) =>
  word
    .toLowerCase()
    .normalize("NFD")
    .replaceAll(/\p{M}/gu, "")
    .replaceAll(/[^\p{L}\p{N}]+/gu, "");
/** Plurals and singulars are one word. */
const stem = (word: string) => word.replace(/ies$/, "y").replace(/(?<=[^s])s$/, "");
const wordsOf = (text: string): string[] =>
  text
    .split(/[\s,;.:'’()-]+/)
    .map(plain)
    .filter(Boolean);

const SYNONYMS = new Map<string, Set<string>>();
for (const group of SAME) {
  const stems = wordsOf(group).map(stem);
  for (const s of stems) SYNONYMS.set(s, new Set([...(SYNONYMS.get(s) ?? []), ...stems]));
}

/** Words that say nothing of a picture. */
const EMPTY = new Set(
  "a an the of in on at by with and or to from for is are its der die das ein eine einer eines von im mit und zu el la los las un una de del en con y".split(
    " ",
  ),
);

interface Indexed {
  picture: ShelfPicture;
  title: Set<string>;
  words: Set<string>;
  says: Set<string>;
}
const stems = (text: string) => new Set(wordsOf(text).map(stem));
const indexed = (language: Language): readonly Indexed[] =>
  SHELF.map((picture) => {
    const said = pictureIn(language, picture);
    return {
      picture: said,
      title: stems(said.title),
      words: stems(`${said.words} ${said.subject}`),
      says: stems(said.says),
    };
  });
const INDEX: Partial<Record<Language, readonly Indexed[]>> = {};
const indexOf = (language: Language): readonly Indexed[] => (INDEX[language] ??= indexed(language));

/** How well one word fits: in the title more than in the words it is found by, whole more than begun, itself more than a synonym. */
function fits(p: Indexed, word: string): number {
  const own = stem(word);
  if (p.title.has(own)) return 10;
  if (p.words.has(own)) return 8;
  if (p.says.has(own)) return 5;
  const begun = (set: Set<string>) => word.length >= 3 && [...set].some((w) => w.startsWith(word));
  if (begun(p.title)) return 6;
  if (begun(p.words)) return 4;
  for (const s of SYNONYMS.get(own) ?? []) if (p.title.has(s) || p.words.has(s)) return 3;
  return begun(p.says) ? 2 : 0;
}

/**
 * The pictures of the shelf that fit all words, best first, as a language says them; with no words all of them in their order. Where none
 * fits all, those that fit most. English words find them in every language.
 */
export function searchShelf(text: string, language: Language = "en"): ShelfPicture[] {
  const words = wordsOf(text).filter((w) => !EMPTY.has(w));
  const own = indexOf(language);
  if (words.length === 0) return own.map((p) => p.picture);
  const english = indexOf("en");
  const found = own
    .map((p, i) => {
      const scores = words.map((w) => Math.max(fits(p, w), fits(english[i]!, w)));
      return {
        picture: p.picture,
        hits: scores.filter((s) => s > 0).length,
        score: scores.reduce((sum, s) => sum + s, 0),
      };
    })
    .filter((f) => f.hits > 0);
  const most = Math.max(0, ...found.map((f) => f.hits));
  return found
    .filter((f) => f.hits === most)
    .toSorted((a, b) => b.score - a.score)
    .map((f) => f.picture);
}
