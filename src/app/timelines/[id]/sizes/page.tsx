import { notFound } from "next/navigation";
import { WORDS } from "@/core/words/looks";
import { Sizes } from "@/features/editor/look/sizes";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { hasRight } from "@/server/timelines/access";
import { readFields } from "@/server/timelines/queries";

export const generateMetadata = () => ({ title: WORDS.sizes });

/** The draft as readers see it, on a laptop, a tablet and a phone. */
export default async function SizesPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const user = await requirePageUser(`/timelines/${id}/sizes`);
  const read = (await hasRight(db(), id, user.id, "edit")) ? await readFields(db(), id) : null;
  if (!read) notFound();
  return <Sizes timeline={id} title={read.fields.title} look={read.fields.look} />;
}
