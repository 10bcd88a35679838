import type * as En from "../en/licences";
import type { Like } from "../like";

export const ASKS: Like<typeof En.ASKS> = {
  CC0: "no pide nada; decir quién lo hizo es de buena educación",
  "Public domain": "nadie tiene ya derechos; di de dónde es",
  "CC BY 4.0": "di quién lo hizo, enlaza la licencia, y di qué cambiaste",
  "CC BY-SA 4.0": "di quién lo hizo; lo que hagas con ello lleva la misma licencia",
  "CC BY-NC 4.0": "di quién lo hizo; nada que se venda",
  "CC BY-NC-SA 4.0": "di quién lo hizo; nada que se venda; la misma licencia",
  "CC BY-ND 4.0": "di quién lo hizo; se muestra como es, sin recortar ni girar",
  "CC BY-NC-ND 4.0": "di quién lo hizo; nada que se venda; sin recortar ni girar",
  "My own work": "tú decides; nómbrate como quieras que te nombren",
  "Used with permission": "guarda el permiso, y di quién lo dio",
  "All rights reserved": "no se puede mostrar sin permiso: pídelo, o toma otra",
};

export const NAMES: Like<typeof En.NAMES> = {
  "Public domain": "Dominio público",
  "My own work": "Obra propia",
  "Used with permission": "Usado con permiso",
  "All rights reserved": "Todos los derechos reservados",
};
