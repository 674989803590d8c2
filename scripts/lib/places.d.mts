export function ownPlaces(extra?: string): { names: string[]; addresses: string[] };
export function networkAddresses(): string[];
