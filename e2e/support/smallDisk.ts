import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, rmdirSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A disk of its own, small enough to be filled. */
export interface SmallDisk {
  readonly folder: string;
  /** Takes all that is left, to the last block, and at once whatever is given free, until it is emptied. */
  keepFull(): void;
  empty(): void;
  freeBytes(): number;
  close(): void;
}

/** Undefined where it cannot be mounted: that needs root. */
export function smallDisk(sizeMB: number): SmallDisk | undefined {
  const folder = mkdtempSync(join(tmpdir(), 'urvek-disk-'));
  const mounted =
    process.getuid?.() === 0 &&
    spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${sizeMB}m`, 'tmpfs', folder]).status === 0;
  if (!mounted) {
    rmdirSync(folder);
    return undefined;
  }
  chmodSync(folder, 0o711);
  const filler = join(folder, 'filler');
  const freeBytes = (): number => {
    const { bavail, bsize } = statfsSync(folder);
    return bavail * bsize;
  };
  const fill = (): void => {
    try {
      const free = freeBytes();
      if (free > 0) writeFileSync(filler, Buffer.alloc(free), { flag: 'a' });
    } catch {
      // What could be taken was taken.
    }
  };
  let filling: NodeJS.Timeout | undefined;
  const empty = (): void => {
    clearInterval(filling);
    rmSync(filler, { force: true });
  };
  return {
    folder,
    // A browser whose disk is full gives up what it can spare, some megabytes at a time.
    keepFull: () => {
      fill();
      filling = setInterval(fill, 20);
    },
    empty,
    freeBytes,
    close: () => {
      empty();
      spawnSync('umount', ['-l', folder]);
      rmdirSync(folder);
    },
  };
}
