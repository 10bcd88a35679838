import { ACCESS } from "../access-table";

/** Every route and page with its method: a test of the access table says that none is missing. */
export const ROUTES: [method: string, path: string][] = Object.keys(ACCESS).map((name) => {
  const [method, path] = name.split(" ") as [string, string];
  return [method === "PAGE" ? "GET" : method, path];
});
