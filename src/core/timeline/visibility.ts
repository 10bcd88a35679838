/** Who may see what was published, the fewest first. */
export const REACH = ["only_me", "class", "password", "link", "everybody"] as const;
export type Visibility = (typeof REACH)[number];

/** How far a class can let its work be published. */
export const CLASS_LIMITS = ["only_me", "class", "link", "everybody"] as const;
