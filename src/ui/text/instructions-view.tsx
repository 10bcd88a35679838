import type { Instructions } from "@/core/classes/instructions";
import { FormattedText } from "./formatted-text";

/** What is to be done, as its students read it. `assignment`: whose pictures stand in it. */
export function InstructionsView({
  assignment,
  of,
  className = "mt-2",
}: {
  assignment: string;
  of: Instructions;
  className?: string;
}) {
  const pictures = of.pictures.map((p) => ({ ...p, src: `/api/assignments/${assignment}/pictures/${p.id}` }));
  return <FormattedText blocks={of.blocks} pictures={pictures} className={className} />;
}
