/**
 * Who is named in a text with "@". `named`: names of `people` that stand after an "@", the longest first where one begins another,
 * whatever the case of their letters; `unknown`: words after an "@" that no name begins with. An address of mail names nobody.
 */
export function mentionsIn(text: string, people: readonly string[]): { named: string[]; unknown: string[] } {
  const byLength = [...new Set(people)].filter(Boolean).sort((a, b) => b.length - a.length);
  const named = new Set<string>();
  const unknown = new Set<string>();
  for (const at of text.matchAll(/(?<![\p{L}\p{N}._-])@(?=[\p{L}\p{N}])/gu)) {
    const rest = text.slice(at.index + 1);
    const found = byLength.find((name) => {
      if (rest.slice(0, name.length).toLocaleLowerCase("en") !== name.toLocaleLowerCase("en")) return false;
      return !/^[\p{L}\p{N}]/u.test(rest.slice(name.length));
    });
    if (found) named.add(found);
    else unknown.add(rest.match(/^[\p{L}\p{N}_-]+/u)![0]);
  }
  return { named: [...named], unknown: [...unknown] };
}
