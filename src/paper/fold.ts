// A booklet that is folded: its pages two by two on sheets that are printed on both sides, laid into each other and folded in the middle.
import { PDFDocument } from "pdf-lib";
import { foldOrder } from "@/core/paper/fold";

/**
 * Lays the pages of a PDF on sheets of `w` by `h` pt, which are wider than high, in the order a folded booklet needs: front and back of the
 * outermost sheet first. Printed on both sides, turned over the short edge. Gives the PDF and how many of its pages (sides) there are.
 */
export async function folded(
  bytes: Uint8Array,
  { w, h }: { w: number; h: number },
  about: { title: string; author: string; language: string },
): Promise<{ bytes: Uint8Array; sides: number }> {
  const from = await PDFDocument.load(bytes);
  const doc = await PDFDocument.create();
  doc.setTitle(about.title, { showInWindowTitleBar: true });
  doc.setAuthor(about.author);
  doc.setLanguage(about.language);
  doc.setCreator("Fastigo");
  doc.setProducer("Fastigo");
  const pages = await doc.embedPages(from.getPages());
  const order = foldOrder(pages.length);
  for (const side of order) {
    const sheet = doc.addPage([w, h]);
    for (const [n, page] of side.entries())
      if (page !== null) sheet.drawPage(pages[page]!, { x: (n * w) / 2, y: 0, width: w / 2, height: h });
  }
  return { bytes: await doc.save(), sides: order.length };
}
