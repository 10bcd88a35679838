import type { NextConfig } from "next";

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  typescript: { ignoreBuildErrors: true }, // `npm run check` and the tests look at the types
  serverExternalPackages: [
    "@node-rs/argon2",
    "sharp",
    "postgres",
    "yjs",
    "piscina",
    "graphile-worker",
    "@aws-sdk/client-s3",
  ],
  // A server that was just started, or comes back, answers two seconds sooner; each route is read when it is first asked for.
  experimental: { preloadEntriesOnStart: false },
  turbopack: {
    // What reads sources could look them up elsewhere; here nothing is fetched.
    resolveAlias: { "node-fetch": "./src/core/sources/no-fetch.ts", "sync-fetch": "./src/core/sources/no-fetch.ts" },
  },
  outputFileTracingRoot: import.meta.dirname,
};

export default config;
