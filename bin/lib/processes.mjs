import { readFileSync } from 'node:fs';

/** The command line of a process, its words apart by spaces; empty when it is gone. */
export function commandOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ');
  } catch {
    return '';
  }
}
