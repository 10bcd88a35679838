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
  experimental: {
    preloadEntriesOnStart: false,
    // Maps from what is built to its sources, which nothing here reads, are a quarter of a build's time and 80 MB.
    turbopackSourceMaps: false,
    // What a build keeps for the next one costs it a quarter of its time and 300 MB: only where somebody builds again.
    turbopackFileSystemCacheForBuild: process.env.FASTIGO_BUILDS_AGAIN === "1",
    // Few large scripts instead of many small ones: the editor asks for 14 instead of 32. Who comes to it by sign-in and home loads as
    // many bytes; other pages load some again that they would have had.
    turbopackChunking: {
      requestCost: 1_000_000,
      minChunkSize: 200_000,
      maxMergeChunkSize: 2_000_000,
      maxChunkCountPerGroup: 10,
    },
  },
  turbopack: {
    // What reads sources could look them up elsewhere; here nothing is fetched.
    resolveAlias: { "node-fetch": "./src/core/sources/no-fetch.ts", "sync-fetch": "./src/core/sources/no-fetch.ts" },
  },
  outputFileTracingRoot: import.meta.dirname,
};

export default config;
