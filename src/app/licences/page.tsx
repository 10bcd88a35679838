import { FAMILIES, HEADINGS } from "@/core/text/families";
import { WORDS } from "@/core/words/pages";
import { packages } from "@/server/licences";
import { UserBar } from "../user-bar";

export const generateMetadata = () => ({ title: WORDS.licences });
export const dynamic = "force-dynamic";

/** Under which licences what Fastigo is made with may be used. */
export default function LicencesPage() {
  const list = packages();
  const processor = list.find((p) => p.name === "citeproc");
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[880px] px-5 pb-12">
        <h1 className="mt-10 text-[26px]">{WORDS.licences}</h1>
        {processor ? (
          <section className="mt-4 rounded-lg border border-line bg-panel px-4 py-3">
            <h2 className="text-[18px]">{WORDS.citationProcessor}</h2>
            <p className="mt-1">{WORDS.citationProcessorLicence(processor.version)}</p>
          </section>
        ) : null}
        <p className="mt-4">{WORDS.gazetteerLicence}</p>
        <p className="mt-4">{WORDS.fontsLicence}</p>
        <p className="mt-2">
          {Object.values({ ...FAMILIES, ...HEADINGS }).map(({ file: font }) => (
            <a key={font} className="me-4 text-verdigris underline" href={`/fonts/LICENSE-${font}.txt`}>
              {font}
            </a>
          ))}
        </p>
        <h2 className="mt-8 text-[20px]">{WORDS.packagesUsed(list.length)}</h2>
        <table className="mt-3 w-full text-start text-[14px]">
          <thead>
            <tr className="border-b border-line text-quiet">
              <th className="py-1.5 font-normal">{WORDS.packageName}</th>
              <th className="font-normal">{WORDS.packageVersion}</th>
              <th className="font-normal">{WORDS.packageLicence}</th>
            </tr>
          </thead>
          <tbody className="divide-y divide-line">
            {list.map((p) => (
              <tr key={`${p.name} ${p.version}`}>
                <td className="py-1 break-all">{p.name}</td>
                <td>{p.version}</td>
                <td>{p.licence}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </main>
    </>
  );
}
