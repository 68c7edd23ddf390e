export const SERVER: string;
export function ensureServer(): Promise<void>;
