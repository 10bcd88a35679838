export function freePort(): Promise<number>;
export function startCluster(options?: {
  temporary?: boolean;
}): Promise<{ url: string; urlOf(database: string): string; stop(): void; started: boolean }>;
