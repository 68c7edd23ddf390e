export function commandOf(pid: number | string): string;
/** 0 when it is gone. */
export function parentOf(pid: number): number;
