/** What stands on the screen: controls. */
export const WORDS = {
  language: "Language",
  closeThisHintForGood: "Close this hint for good",
  close: "Close",
  guessedAtOnce: "Guessed at once",
  easyToGuess: "Easy to guess",
  couldBeBetterOneMore: "Could be better: one more word helps",
  good: "Good",
  veryGood: "Very good",
  atLeast8CharactersThree: "At least 8 characters. Three or four words that do not belong together are best.",
  theServerDoesNotAnswer:
    "The server does not answer. What you typed is kept in this browser; it is sent as soon as the server is back.",
  fastigo: "Fastigo",
} as const;
