export function commandOf(pid: number | string): string;
