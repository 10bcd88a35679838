/** What says the same in another language: texts for texts, and for what is told something the same is told. */
export type Like<T> = T extends string
  ? string
  : T extends (...args: infer A) => infer R
    ? (...args: A) => Like<R>
    : { readonly [K in keyof T]: Like<T[K]> };
