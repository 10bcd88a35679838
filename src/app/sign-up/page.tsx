import { WORDS } from "@/core/words/pages";
import { ownPath } from "@/server/http/own-path";
import { SignPage } from "../sign-page";

export const generateMetadata = () => ({ title: WORDS.signUp });

export default async function SignUpPage({ searchParams }: { searchParams: Promise<{ to?: string }> }) {
  return <SignPage mode="up" to={ownPath((await searchParams).to)} />;
}
