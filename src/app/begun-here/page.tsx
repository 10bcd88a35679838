import { WORDS } from "@/core/words/pages";
import { findPageUser } from "@/server/http/page-user";
import { TryHere } from "../try/try-page";

export const generateMetadata = () => ({ title: WORDS.editor });

/**
 * A timeline that is begun without a network, kept on a device of one's own with this page: it is on no server until the network is
 * back. For whoever has no account it is the editor without one.
 */
export default async function BegunHerePage() {
  return <TryHere waits={(await findPageUser()) !== null} />;
}
