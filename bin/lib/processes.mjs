import { readFileSync } from 'node:fs';

/** The command line of a process, its words apart by spaces; empty when it is gone. */
export function commandOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ');
  } catch {
    return '';
  }
}

/** Whether a process is a command of Urvek's that holds a data folder (numbers of dead processes are given out again). */
export const holdsFolder = (pid) => /\b(start|backup|restore)\.mjs\b/.test(commandOf(pid));

/** The process that started another; 0 when that is gone. */
export function parentOf(pid) {
  try {
    return Number(/^PPid:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0);
  } catch {
    return 0;
  }
}
