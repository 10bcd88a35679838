/** What licences ask for, as their own short texts say it (creativecommons.org, version 4.0), by their name. */
export const ASKS: Readonly<Record<string, string>> = {
  CC0: "asks for nothing; naming who made it is good manners",
  "Public domain": "nobody holds rights any more; say where it is from",
  "CC BY 4.0": "name who made it, link the licence, and say what you changed",
  "CC BY-SA 4.0": "name who made it; what you make of it goes under the same licence",
  "CC BY-NC 4.0": "name who made it; nothing that is sold",
  "CC BY-NC-SA 4.0": "name who made it; nothing that is sold; the same licence",
  "CC BY-ND 4.0": "name who made it; it is shown as it is, not cut or turned",
  "CC BY-NC-ND 4.0": "name who made it; nothing that is sold; not cut or turned",
  "My own work": "you decide; name yourself as you want to be named",
  "Used with permission": "keep the permission, and name who gave it",
  "All rights reserved": "may not be shown without permission: ask, or take another",
};

/** The names that are words and not signs, as people read them. What is kept with a picture is the English one. */
export const NAMES: Readonly<Record<string, string>> = {
  "Public domain": "Public domain",
  "My own work": "My own work",
  "Used with permission": "Used with permission",
  "All rights reserved": "All rights reserved",
};
