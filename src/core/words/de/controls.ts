import type * as En from "../en/controls";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  language: "Sprache",
  closeThisHintForGood: "Diesen Hinweis für immer schließen",
  close: "Schließen",
  guessedAtOnce: "Sofort erraten",
  easyToGuess: "Leicht zu erraten",
  couldBeBetterOneMore: "Könnte besser sein: ein Wort mehr hilft",
  good: "Gut",
  veryGood: "Sehr gut",
  atLeast8CharactersThree: "Mindestens 8 Zeichen. Am besten sind drei oder vier Wörter, die nicht zusammengehören.",
  theServerDoesNotAnswer:
    "Der Server antwortet nicht. Was du geschrieben hast, bleibt in diesem Browser; es wird gesendet, sobald der Server wieder da ist.",
  fastigo: "Fastigo",
};
