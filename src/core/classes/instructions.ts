import type { Block } from "../text/description";

/** A picture in what is to be done, as its text names it. */
export interface InstructionPicture {
  id: string;
  /** What is to be seen on it, for those who do not see it. */
  text: string;
  /** Pixels. */
  width: number;
  height: number;
}

/** What is to be done: a formatted text with pictures of the assignment's own. */
export interface Instructions {
  blocks: readonly Block[];
  pictures: readonly InstructionPicture[];
}

/** A picture as it comes: a new one with its file, in base64; one that is there already by its id alone. */
export interface GivenPicture {
  id: string;
  text: string;
  data?: string;
}

/** So many letters, pictures, and letters of a picture's file in base64, at most. */
export const MOST_LETTERS = 10_000;
export const MOST_INSTRUCTION_PICTURES = 12;
export const MOST_PICTURE_DATA = 1_400_000;
