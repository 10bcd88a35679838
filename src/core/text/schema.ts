/** The few shapes of JSON Schema that Fastigo's data is described with. */

export const maybe = (schema: object) => ({ anyOf: [schema, { type: "null" }] });

/** An object of these properties and no others; all of them required but the `optional`. */
export const object = (properties: Record<string, object>, optional: readonly string[] = []) => ({
  type: "object",
  properties,
  required: Object.keys(properties).filter((k) => !optional.includes(k)),
  additionalProperties: false,
});
