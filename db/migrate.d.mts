export function migrate(url: string, folder?: string): Promise<string[]>;
