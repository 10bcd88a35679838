// Values out of files and messages that anybody may have written: what is not of the kind is the empty one.

export const recordOf = (value: unknown): Record<string, unknown> =>
  typeof value === "object" && value !== null ? (value as Record<string, unknown>) : {};

export const textOf = (value: unknown, most: number): string => (typeof value === "string" ? value.slice(0, most) : "");

export const listOf = (value: unknown): unknown[] => (Array.isArray(value) ? (value as unknown[]) : []);
