import { isLanguage, language } from "@/core/language/spoken";

/** Has a worker speak the language of the page that asks it; English where that cannot be loaded. */
export async function speak(wanted: string): Promise<void> {
  if (!isLanguage(wanted) || wanted === language()) return;
  const script = `/words/${wanted}.js`;
  await import(/* webpackIgnore: true */ /* turbopackIgnore: true */ script).catch(() => {});
}
