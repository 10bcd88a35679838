interface Schema {
  type?: string;
  enum?: readonly unknown[];
  const?: unknown;
  anyOf?: readonly Schema[];
  pattern?: string;
  minLength?: number;
  maxLength?: number;
  minimum?: number;
  maximum?: number;
  minItems?: number;
  maxItems?: number;
  uniqueItems?: boolean;
  items?: Schema;
  properties?: Record<string, Schema>;
  required?: readonly string[];
  additionalProperties?: boolean | Schema;
  propertyNames?: Schema;
  maxProperties?: number;
}

/**
 * Whether a value is as a schema says (JSON Schema 2020-12, as much of it as the tables of fields use). Where scripts may not be
 * made at run time, as in browsers under our policy, compiled validators cannot be had.
 */
export function fitsSchema(given: object, value: unknown): boolean {
  const s = given as Schema;
  if (s.anyOf && !s.anyOf.some((a) => fitsSchema(a, value))) return false;
  if (s.enum && !s.enum.includes(value)) return false;
  if ("const" in s && s.const !== value) return false;
  if (s.type && !isOf(s.type, value)) return false;
  if (typeof value === "string") {
    const length = [...value].length;
    if (length < (s.minLength ?? 0) || length > (s.maxLength ?? Number.POSITIVE_INFINITY)) return false;
    if (s.pattern && !new RegExp(s.pattern, "u").test(value)) return false;
  }
  if (typeof value === "number" && (value < (s.minimum ?? -Infinity) || value > (s.maximum ?? Infinity))) return false;
  if (Array.isArray(value)) {
    if (value.length < (s.minItems ?? 0) || value.length > (s.maxItems ?? Number.POSITIVE_INFINITY)) return false;
    if (s.uniqueItems && new Set(value.map((v) => JSON.stringify(v))).size !== value.length) return false;
    return !s.items || value.every((v) => fitsSchema(s.items!, v));
  }
  if (typeof value !== "object" || value === null) return true;
  const entries = Object.entries(value);
  if (s.required?.some((k) => !Object.hasOwn(value, k))) return false;
  if (entries.length > (s.maxProperties ?? Number.POSITIVE_INFINITY)) return false;
  return entries.every(([k, v]) => {
    if (s.propertyNames && !fitsSchema(s.propertyNames, k)) return false;
    const own = s.properties && Object.hasOwn(s.properties, k) ? s.properties[k] : undefined;
    if (own) return fitsSchema(own, v);
    return typeof s.additionalProperties === "object"
      ? fitsSchema(s.additionalProperties, v)
      : s.additionalProperties !== false;
  });
}

function isOf(type: string, value: unknown): boolean {
  switch (type) {
    case "integer":
      return Number.isInteger(value);
    case "number":
      return typeof value === "number";
    case "null":
      return value === null;
    case "array":
      return Array.isArray(value);
    case "object":
      return typeof value === "object" && value !== null && !Array.isArray(value);
    default:
      return typeof value === type;
  }
}
