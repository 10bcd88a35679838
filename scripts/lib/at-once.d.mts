export function atOnce(source: string): string;
export function readAtOnce(folder: string): void;
