import type * as En from "../en/controls";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  language: "Idioma",
  closeThisHintForGood: "Cerrar este consejo para siempre",
  close: "Cerrar",
  guessedAtOnce: "Se adivina al momento",
  easyToGuess: "Fácil de adivinar",
  couldBeBetterOneMore: "Podría ser mejor: ayuda una palabra más",
  good: "Buena",
  veryGood: "Muy buena",
  atLeast8CharactersThree: "Al menos 8 caracteres. Lo mejor son tres o cuatro palabras que no tengan que ver entre sí.",
  theServerDoesNotAnswer:
    "El servidor no responde. Lo que escribiste se guarda en este navegador; se envía en cuanto vuelva el servidor.",
  fastigo: "Fastigo",
};
