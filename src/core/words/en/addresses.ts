/** What a web address came to when it was asked, in a sentence; "" where all is well. `on`: the day, in words. */
export function addressText(state: string, status: number | null, on: string): string {
  switch (state) {
    case "gone":
      return `Nothing is there any more (${on}, status ${status}). Look for where it moved, or take another source.`;
    case "refuses":
      return status === null
        ? `It leads from one address to the next and never to a page (${on}). Open it and see whether it still shows what you mean.`
        : `It answered, but showed nothing to Fastigo (${on}, status ${status}). Open it and see whether it still shows what you mean.`;
    case "silent":
      return `It gave no answer on ${on}. It may be gone, or out of reach for a while; open it, or ask again later.`;
    case "private":
      return "It leads into a private network, so readers elsewhere cannot open it.";
    default:
      return "";
  }
}
