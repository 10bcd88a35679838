import type { Scene } from "@/core/chart/draw/scene";
import type { Frozen } from "@/core/formats/frozen";
import { WORDS } from "@/core/words/paper";
import type { Doc, Picture } from "./paint-pdf";

/** A picture as bytes that PDF can hold: JPEG or PNG. */
export type PictureOf = (media: string, widthPx: number) => Promise<Uint8Array | null>;

interface Opens {
  openImage(bytes: Buffer): Picture & { width: number; height: number };
}

/** Sharp enough for a printer, and no more: pixels to an inch. */
const SHARP_DPI = 300;
const MOST_PX = 4_000;

/** The pictures of a document: each fetched once, as large as it is needed. */
export class Pictures {
  readonly notThere = new Set<string>();
  private readonly opened = new Map<string, { image: Picture; proportion: number } | null>();
  private readonly items: Map<string, Frozen["items"][number]>;
  private readonly titles: Map<string, string>;
  private readonly doc: Doc;
  private readonly picture: PictureOf;

  constructor(doc: Doc, frozen: Frozen, picture: PictureOf) {
    this.doc = doc;
    this.picture = picture;
    this.items = new Map(frozen.items.map((i) => [i.id, i]));
    this.titles = new Map([...frozen.events.map((e) => [e.id, e.title] as const), ["timeline", frozen.title]]);
  }

  /** Fetches what a scene shows. */
  async load(scene: Scene, ptPerPx: number): Promise<void> {
    for (const s of scene.shapes)
      if (s.kind === "picture")
        await this.fetch(s.item, s.w * ptPerPx * (s.proportion ? Math.max(1, s.proportion / (s.w / s.h)) : 1));
    const back = scene.backdrop.picture;
    if (back) await this.fetch(back.item, scene.width * ptPerPx);
  }

  /** Fetches one that will be so wide, pt. */
  async fetch(item: string, widthPt: number): Promise<{ image: Picture; proportion: number } | null> {
    const known = this.opened.get(item);
    if (known !== undefined) return known;
    const i = this.items.get(item);
    let found: { image: Picture; proportion: number } | null = null;
    if (i?.media) {
      const bytes = await this.picture(i.media, Math.min(MOST_PX, Math.ceil((widthPt / 72) * SHARP_DPI))).catch(
        () => null,
      );
      if (bytes) {
        const image = (this.doc as unknown as Opens).openImage(Buffer.from(bytes));
        found = { image, proportion: image.width / image.height };
      }
    }
    if (!found && i) this.notThere.add(this.titles.get(i.of) || WORDS.untitled);
    this.opened.set(item, found);
    return found;
  }

  find(item: string): { image: Picture; proportion: number } | null {
    return this.opened.get(item) ?? null;
  }
}
