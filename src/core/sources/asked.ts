import type { ReadOptions } from "../time/read/options";
import type { SourceManner } from "../timeline/fields";
import type { SourceValues, Work } from "./cited";
import { readSources, type ReadSources, type SourceFormat } from "./read-sources";
import { type ListEntry, writeList } from "./write-list";
import { writeSources } from "./write-sources";

/** What a worker or thread is asked about sources. */
export type SourcesAsked =
  | { list: ListAsked }
  | { read: { text: string; options: ReadOptions } }
  | { write: { sources: SourceValues[]; format: SourceFormat } };
export interface ListAsked {
  works: Pick<Work, "id" | "source">[];
  manner: SourceManner;
  language: string;
  /** Where events name works: the work, and the page. */
  cited: { work: string; page: string }[];
}
export interface ListAnswer {
  entries: ListEntry[];
  /** For each of `cited` how it is named; null: by its whole line. */
  cited: (string | null)[];
}

export interface SourcesAnswers {
  list: ListAnswer;
  read: ReadSources;
  write: string;
}

export async function answerSources(asked: SourcesAsked): Promise<SourcesAnswers[keyof SourcesAnswers]> {
  if ("read" in asked) return readSources(asked.read.text, asked.read.options);
  if ("write" in asked) return writeSources(asked.write.sources, asked.write.format);
  return answerList(asked.list);
}

export async function answerList({ works, manner, language, cited }: ListAsked): Promise<ListAnswer> {
  const list = await writeList(works, manner, language);
  return { entries: list.entries, cited: cited.map((c) => list.cite(c.work, c.page)) };
}
