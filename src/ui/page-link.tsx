import Link from "next/link";
import type { ComponentProps } from "react";

/**
 * A link to another page of Fastigo. Nothing is asked of the server before somebody follows it: each page is made for whoever asks,
 * so what were fetched in advance is the frame around it alone, and a page with thirty links would ask thirty times for that.
 */
export function PageLink(props: Omit<ComponentProps<typeof Link>, "prefetch">) {
  return <Link {...props} prefetch={false} />;
}
