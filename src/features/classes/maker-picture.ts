import { nanoid } from "nanoid";
import { MOST_PICTURE_DATA } from "@/core/classes/instructions";
import { toBase64 } from "@/core/text/base64";

/** A picture of the maker's text. `data`: of a new one, or one that came out of a file, in base64. */
export interface MakerPicture {
  id: string;
  text: string;
  src: string;
  width: number;
  height: number;
  data?: string;
}

/** The longest edge of what is sent, px: more than a page shows of it. */
const EDGE = 1_400;

/** Makes a file small enough to be sent; null where it is no picture this browser reads. */
export async function pictureFrom(file: File): Promise<MakerPicture | null> {
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap) return null;
  for (let edge = EDGE; edge > 200; edge /= 1.6) {
    const scale = Math.min(1, edge / Math.max(bitmap.width, bitmap.height));
    const canvas = document.createElement("canvas");
    canvas.width = Math.max(1, Math.round(bitmap.width * scale));
    canvas.height = Math.max(1, Math.round(bitmap.height * scale));
    canvas.getContext("2d")!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, "image/webp", 0.85));
    if (!blob) return null;
    const data = toBase64(new Uint8Array(await blob.arrayBuffer()));
    if (data.length <= MOST_PICTURE_DATA)
      return {
        id: nanoid(10),
        text: "",
        src: `data:${blob.type};base64,${data}`,
        width: canvas.width,
        height: canvas.height,
        data,
      };
  }
  return null;
}

/** The file of a picture that is there already, for an assignment that is taken out. */
export async function withData(p: MakerPicture): Promise<MakerPicture> {
  if (p.data !== undefined) return p;
  const response = await fetch(p.src);
  return response.ok ? { ...p, data: toBase64(new Uint8Array(await response.arrayBuffer())) } : p;
}
