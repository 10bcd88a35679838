export interface StandInPlatform {
  url: string;
  config: Record<string, unknown>;
  scores: { item: string; userId: string; scoreGiven: number; scoreMaximum: number }[];
  sign: (claims: Record<string, unknown>, how?: Record<string, unknown>) => Promise<string>;
  claimsFor: (who: string, link: string, nonce: string) => Record<string, unknown>;
  setTool: (address: string) => void;
  stop: () => void;
}
export function startStandInPlatform(options?: { port?: number; tool?: string }): Promise<StandInPlatform>;
export const PEOPLE: { id: string; given: string; family: string; role: string }[];
