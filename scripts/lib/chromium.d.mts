export const CHROMIUM: string;
export const CHROMIUM_ARGS: string[];
export const CHROMIUM_PACKAGE: string;
export function chromium(): string;
