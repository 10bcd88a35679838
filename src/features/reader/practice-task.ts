/** The id of the element that holds what is to be practised for a class. */
export const TASK = "practice-task";

/** A practice a class was given: cards without dates, which the server keeps until it is asked to check. */
export interface Task {
  title: string;
  cards: { id: string; title: string }[];
  /** Where an order is sent to be checked. */
  post: string;
  /** The class it is of. */
  back: string;
}
