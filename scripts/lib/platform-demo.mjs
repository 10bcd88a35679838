/** Where `npm run platform-demo` serves, which `npm start` on this machine alone knows. */
export const PLATFORM_DEMO_PORT = 3500;

/** What Fastigo has to know of the stand-in of a learning platform. */
export function demoPlatforms() {
  const url = `http://127.0.0.1:${PLATFORM_DEMO_PORT}`;
  return JSON.stringify([
    {
      name: "the school's platform",
      issuer: url,
      clientId: "fastigo-demo",
      deployments: ["1"],
      auth: `${url}/auth`,
      token: `${url}/token`,
      jwks: `${url}/jwks`,
    },
  ]);
}
