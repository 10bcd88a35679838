export function bundleForReaders(): Promise<void>;
