/** What somebody can be invited to a timeline to do: look at it, comment on it too, add events of their own, or edit all of it. */
export type InvitedAs = "reader" | "commenter" | "adder" | "editor";
export const INVITED_AS: readonly InvitedAs[] = ["reader", "commenter", "adder", "editor"];
