import { WORDS } from "@/core/words/en/pages";
import { ownPath, SignPage } from "../sign-page";

export const metadata = { title: WORDS.signUp };

export default async function SignUpPage({ searchParams }: { searchParams: Promise<{ to?: string }> }) {
  return <SignPage mode="up" to={ownPath((await searchParams).to)} />;
}
