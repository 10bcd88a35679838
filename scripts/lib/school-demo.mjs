/** Where `npm run school-demo` serves, which `npm start` on this machine alone knows. */
export const SCHOOL_DEMO_PORT = 3600;

/** What Fastigo has to know of a provider at this address, and how its groups are read. */
export const signOnAt = (url) => ({
  name: "Hollin Bank sign-on",
  issuer: url,
  clientId: "fastigo-demo",
  clientSecret: "a secret for the demo alone",
  teachers: { claim: "role", value: "teacher" },
  classes: { claim: "groups", pattern: "^class (.+)$" },
  school: "Hollin Bank School",
});

/** The stand-in of a school's own accounts; its button is shown only while it is there. */
export const demoSignOn = () =>
  JSON.stringify([{ ...signOnAt(`http://127.0.0.1:${SCHOOL_DEMO_PORT}`), onlyWhileThere: true }]);
