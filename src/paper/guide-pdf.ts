import { GUIDE, WORDS } from "@/core/words/guide";
import type { Picture } from "./paint-pdf";
import { TextDocument } from "./text-document";

/** The guide on A4. `picture` gives the bytes of one by its name; null leaves it out. */
export async function makeGuidePdf(picture: (name: string) => Uint8Array | null): Promise<Uint8Array> {
  const title = `Fastigo – ${WORDS.help}`;
  const made = new TextDocument(title);
  made.say({ kind: "title", text: title });
  made.say({ kind: "text", text: WORDS.intro });
  for (const task of GUIDE) {
    made.say({ kind: "heading", text: task.title });
    for (const [i, step] of task.steps.entries()) made.say({ kind: "item", text: step, bullet: `${i + 1}.` });
    const bytes = task.picture && picture(task.picture.file);
    if (task.picture && bytes) {
      const image = (
        made.doc as unknown as { openImage(b: Buffer): Picture & { width: number; height: number } }
      ).openImage(Buffer.from(bytes));
      made.flow.space(6);
      made.flow.picture(image, image.width / image.height, 220, task.picture.alt);
      made.flow.space(6);
    }
  }
  return made.end();
}
