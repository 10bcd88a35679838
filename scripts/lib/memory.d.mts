/** What Node.js is told where requests are answered. */
export declare const YOUNG: readonly string[];
/** The environment of processes that re-encode pictures. */
export declare const MEMORY: Readonly<Record<string, string>>;
/** What Node.js is told where tests run. */
export declare const YOUNG_IN_TESTS: string[];
