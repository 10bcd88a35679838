/** Serves a site of films in small on loopback; its address, or null where the port is taken. */
export function startStandInPlayer(port?: number): Promise<string | null>;
