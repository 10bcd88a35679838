import type * as En from "../en/licences";
import type { Like } from "../like";

export const ASKS: Like<typeof En.ASKS> = {
  CC0: "verlangt nichts; zu sagen, wer es gemacht hat, gehört sich",
  "Public domain": "niemand hat mehr Rechte daran; sag, woher es ist",
  "CC BY 4.0": "sag, wer es gemacht hat, verlinke die Lizenz, und sag, was du geändert hast",
  "CC BY-SA 4.0": "sag, wer es gemacht hat; was du daraus machst, bekommt dieselbe Lizenz",
  "CC BY-NC 4.0": "sag, wer es gemacht hat; nichts, was verkauft wird",
  "CC BY-NC-SA 4.0": "sag, wer es gemacht hat; nichts, was verkauft wird; dieselbe Lizenz",
  "CC BY-ND 4.0": "sag, wer es gemacht hat; es wird gezeigt, wie es ist, nicht beschnitten oder gedreht",
  "CC BY-NC-ND 4.0": "sag, wer es gemacht hat; nichts, was verkauft wird; nicht beschnitten oder gedreht",
  "My own work": "du entscheidest; nenn dich, wie du genannt werden willst",
  "Used with permission": "bewahr die Erlaubnis auf, und sag, wer sie gegeben hat",
  "All rights reserved": "darf ohne Erlaubnis nicht gezeigt werden: frag, oder nimm ein anderes",
};

export const NAMES: Like<typeof En.NAMES> = {
  "Public domain": "Gemeinfrei",
  "My own work": "Meine eigene Arbeit",
  "Used with permission": "Mit Erlaubnis verwendet",
  "All rights reserved": "Alle Rechte vorbehalten",
};
