import type * as En from "../en/editor-store";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  isItselfPartOfSo: (name, name2) =>
    `${name} es a su vez parte de ${name2}, así que ${name2} no puede ser parte suya. No se ha cambiado nada.`,
  itStandsWhereItsDate: "Está donde lo pone su fecha. Solo se mueven los eventos sin fecha.",
  thereIsNoLongerEvent: "No hay un evento más largo del que pueda ser parte.",
  someoneElseHasChangedThis: "Otra persona lo ha cambiado entretanto; se dejó como está lo suyo.",
  thisBrowserDoesNotLet:
    "Este navegador no deja que Fastigo guarde en el dispositivo el trabajo sin guardar. Aun así todo se envía al momento; no cierres la página mientras diga que se está guardando.",
  theDiskTakesNothing:
    "Este dispositivo ya no admite nada: quizá esté lleno o este navegador no guarde nada. Lo que escribes está solo en esta pestaña hasta que se envíe: déjala abierta o haz sitio.",
  thisFileIsEmptyChoose: "Este archivo está vacío. Elige otro.",
  aPictureMayHaveAt: "Una imagen puede tener como mucho 20 MB. Guárdala más pequeña y añádela de nuevo.",
  aVideoOrSoundMay:
    "Un vídeo o sonido puede tener como mucho 200 MB. Guárdalo más corto o más pequeño y añádelo de nuevo.",
  stoppedNothingWasAdded: "Detenido. No se ha añadido nada.",
  aChapterIsPartOfNothing: "Un capítulo no es parte de nada: está entre los eventos.",
};
