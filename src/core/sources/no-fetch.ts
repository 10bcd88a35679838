/** Stands where a library would ask other servers: nothing is fetched. */
export default function refuse(): never {
  throw new Error("Nothing is fetched from elsewhere.");
}
export class Headers {}
refuse.Headers = Headers;
