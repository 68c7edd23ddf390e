/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const atLeast = 'at least';
export const atMost = 'at most';
export const invalidBytes = (bytes: number): string => `invalid bytes: ${bytes}`;
export const invalidDistancem = (distanceM: number): string => `invalid distanceM: ${distanceM}`;
export const invalidFigure = (stringify: string): string => `invalid figure: ${stringify}`;
export const invalidMbps = (mbps: number): string => `invalid mbps: ${mbps}`;
export const invalidNeedmbps = (needMbps: number): string => `invalid needMbps: ${needMbps}`;
export const invalidSeconds = (seconds: number): string => `invalid seconds: ${seconds}`;
export const invalidSize = (stringify: string): string => `invalid size: ${stringify}`;
