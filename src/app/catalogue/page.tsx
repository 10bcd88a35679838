import { notFound } from "next/navigation";
import { WORDS } from "@/core/words/catalogue";
import { Catalogue } from "@/features/catalogue/catalogue";

export const generateMetadata = () => ({ title: WORDS.title });
export const dynamic = "force-dynamic";

/** For those who work on Fastigo: in development, and where a test asks for it. */
export default function CataloguePage() {
  if (process.env.NODE_ENV !== "development" && process.env.CATALOGUE !== "1") notFound();
  return <Catalogue />;
}
