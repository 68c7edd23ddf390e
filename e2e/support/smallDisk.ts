import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, rmdirSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A disk of its own, small enough to be filled. */
export interface SmallDisk {
  readonly folder: string;
  /** Takes all that is left, to the last block. */
  fill(): void;
  empty(): void;
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
  return {
    folder,
    fill: () => {
      try {
        const { bavail, bsize } = statfsSync(folder);
        writeFileSync(filler, Buffer.alloc(bavail * bsize), { flag: 'a' });
      } catch {
        // What could be taken was taken.
      }
    },
    empty: () => rmSync(filler, { force: true }),
    close: () => {
      spawnSync('umount', ['-l', folder]);
      rmdirSync(folder);
    },
  };
}
