/** Who may see what was published, the fewest first. */
export const REACH = ["only_me", "class", "school", "password", "link", "everybody"] as const;
export type Visibility = (typeof REACH)[number];
