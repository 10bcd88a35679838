// What a thread runs: one deed at a time, in the language of whoever asked for it.
import { type Language, speakIn } from "@/core/language/spoken";
import { learnLanguages } from "@/server/language/speaking";
import * as deeds from "./deeds";

learnLanguages();

type Deed = (args: unknown) => Promise<unknown>;

export default ({ name, args, language }: { name: keyof typeof deeds; args: unknown; language: Language }) =>
  // biome-ignore lint/performance/noDynamicNamespaceImportAccess: a thread does any of them
  speakIn(language, () => (deeds[name] as Deed)(args));
