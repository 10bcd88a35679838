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
  outputFileTracingRoot: import.meta.dirname,
};

export default config;
