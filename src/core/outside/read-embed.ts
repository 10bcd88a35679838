import { urlOf } from "./players";
import { elementsOf } from "./read-html";

/** Elements that name what they show, the surest first. */
const NAMES_IT: [string, string][] = [
  ["iframe", "src"],
  ["video", "src"],
  ["audio", "src"],
  ["source", "src"],
  ["embed", "src"],
  ["object", "data"],
  ["img", "src"],
  ["a", "href"],
];

/**
 * The address that is meant by what was pasted: an address, or code to be put into a page, which is read for the address of its
 * player and never run. Null where there is none.
 */
export function addressIn(pasted: string): string | null {
  const text = pasted.trim();
  if (!text.startsWith("<"))
    return (
      (/^[a-z][a-z\d+.-]*:/i.test(text) && !/^[\w.-]+:\d/.test(text)
        ? urlOf(text)
        : urlOf(`https://${text.replace(/\s.*$/s, "")}`)
      )?.href ?? null
    );
  const elements = elementsOf(text, false);
  for (const [name, attribute] of NAMES_IT)
    for (const e of elements) {
      const value = e.name === name ? e.attributes[attribute] : undefined;
      // "//host/path" is how such code names an address without its scheme.
      const url = value === undefined ? null : urlOf(value.startsWith("//") ? `https:${value}` : value);
      if (url) return url.href;
    }
  return null;
}
