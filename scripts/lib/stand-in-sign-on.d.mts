export interface SchoolPerson {
  id: string;
  given: string;
  family: string;
  role: string;
  groups: string[];
  email: string;
}
export interface StandInSignOn {
  url: string;
  config: Record<string, unknown>;
  setTool: (address: string) => void;
  setPeople: (people: SchoolPerson[]) => void;
  stop: () => void;
}
export function startStandInSignOn(options?: {
  port?: number;
  tool?: string;
  people?: SchoolPerson[];
}): Promise<StandInSignOn>;
export const PEOPLE: SchoolPerson[];
