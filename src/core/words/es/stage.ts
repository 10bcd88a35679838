import type * as En from "../en/stage";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  itWasGivenWithIts: "Tu docente lo dio con su fecha, así que la fecha se queda.",
  theEvenScaleHasNo:
    "La escala uniforme no tiene tiempo entre los eventos. Elige la escala real o la equilibrada para mover una fecha.",
  itCannotBeginAfterIts: "No puede empezar después de su fin.",
  itCannotEndBeforeIts: "No puede acabar antes de su comienzo.",
  noDateCanBeTold: "Aquí no se puede decir una fecha. La suya queda como estaba.",
  theLabelIsWhereThere: "La etiqueta está donde hay sitio para ella.",
  isRowOf: (x, x2, count) => `${x} es la fila ${x2} de ${count}.`,
  above: "por encima de",
  below: "por debajo de",
  labelMovedPixelsTheRidge: (abs, x) => `Etiqueta movida, ${abs} píxeles ${x} la cumbrera.`,
  itsLabelIsNotShown: "Su etiqueta no se muestra aquí. Acerca la vista hasta que se vea.",
  untitled: "Sin título",
  now: (side, x) => `Ahora ${side === "before" ? "antes de" : "después de"} ${x}.`,
};
