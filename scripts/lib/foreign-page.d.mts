export interface ForeignPart {
  id: string;
  heading: string;
  text: string;
  code: string;
}
export function startForeignPage(
  title: string,
  parts: readonly ForeignPart[],
  port?: number,
): Promise<{ url: string; stop: () => void }>;
