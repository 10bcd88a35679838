import { WORDS } from "@/core/words/pages";
import { ownPath } from "@/server/http/own-path";
import { SignPage } from "../sign-page";

export const generateMetadata = () => ({ title: WORDS.signIn });

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ to?: string }> }) {
  return <SignPage mode="in" to={ownPath((await searchParams).to)} />;
}
