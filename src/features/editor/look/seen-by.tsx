/** How others see colours: as they are, without any, or by two kinds of cones. */
export type SeenBy = "all" | "grey" | "protan" | "deutan" | "tritan";

/**
 * What two kinds of cones, or none, make of red, green and blue (G. M. Machado, M. M. Oliveira, L. A. F. Fernandes, "A
 * Physiologically-based Model for Simulation of Color Vision Deficiency", 2009, severity 1.0); grey by luminance.
 */
const MATRICES: Record<Exclude<SeenBy, "all">, readonly number[]> = {
  grey: [0.2126, 0.7152, 0.0722, 0.2126, 0.7152, 0.0722, 0.2126, 0.7152, 0.0722],
  protan: [0.152286, 1.052583, -0.204868, 0.114503, 0.786281, 0.099216, -0.003882, -0.048116, 1.051998],
  deutan: [0.367322, 0.860646, -0.227968, 0.280085, 0.672501, 0.047413, -0.01182, 0.04294, 0.968881],
  tritan: [1.255528, -0.076749, -0.178779, -0.078411, 0.930809, 0.147602, 0.004733, 0.691367, 0.3039],
};

const idOf = (by: SeenBy) => `seen-by-${by}`;
/** The filter of what is seen so, for a style. */
export const filterFor = (by: SeenBy): string | undefined => (by === "all" ? undefined : `url(#${idOf(by)})`);

/** The filters, to stand once in a page. */
export function SeenByFilters() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true">
      {(Object.keys(MATRICES) as (keyof typeof MATRICES)[]).map((by) => {
        const m = MATRICES[by];
        const rows = [0, 3, 6].map((r) => `${m[r]} ${m[r + 1]} ${m[r + 2]} 0 0`);
        return (
          <filter key={by} id={idOf(by)} colorInterpolationFilters="linearRGB">
            <feColorMatrix type="matrix" values={`${rows.join(" ")} 0 0 0 1 0`} />
          </filter>
        );
      })}
    </svg>
  );
}
