/** What Node.js is told where requests are answered. */
export declare const YOUNG: readonly string[];
/** The environment of processes that re-encode pictures. */
export declare const MEMORY: Readonly<Record<string, string>>;
/** What V8 is told where many processes share few processors. */
export declare const ONE_THREAD: string;
/** What Node.js is told where tests run. */
export declare const IN_TESTS: string[];
