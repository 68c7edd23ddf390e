import { mkdirSync, readdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { isStale, ROOT } from './project.mjs';

/** What a bundle no longer has is kept so long: a process that began with the one before may still ask for it. */
const KEPT_MS = 3_600_000;

/** Whether a source of these rooms is newer than what was put together from them. */
export const bundleIsStale = (outdir, entry, rooms) =>
  isStale(join(outdir, `${entry}.mjs`), [...rooms.map((room) => `${room}/src`), 'package-lock.json']);

/**
 * Puts the project's own sources together in a few files: read one by one they take most of a start. What is not of this
 * project stays where it is installed. Each file is there whole or not at all, entries last and in their order, so that
 * two processes may do it at once: the last entry tells that all is there.
 * @param apart entries share no files, and ask for each other when one is imported later: each reads only what is its
 * own, where a shared file would hold what any of them needs
 */
export async function bundle(outdir, entryPoints, { apart = false } = {}) {
  const { build } = await import('esbuild');
  const { outputFiles } = await build({
    absWorkingDir: ROOT,
    entryPoints,
    outdir,
    outExtension: { '.js': '.mjs' },
    write: false,
    bundle: true,
    splitting: !apart,
    sourcemap: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    logLevel: 'warning',
    plugins: [
      {
        name: 'packages stay outside',
        setup: ({ onResolve }) => {
          onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
            kind === 'entry-point' || path.startsWith('@urvek/') ? undefined : { path, external: true },
          );
          onResolve({ filter: /^\.\/\w+\.ts$/ }, ({ path, kind }) =>
            apart && kind === 'dynamic-import' && basename(path, '.ts') in entryPoints
              ? { path: path.replace(/ts$/, 'mjs'), external: true }
              : undefined,
          );
        },
      },
    ],
  });
  mkdirSync(outdir, { recursive: true });
  const entries = new Set(Object.keys(entryPoints).map((name) => `${name}.mjs`));
  const isEntry = ({ path }) => entries.has(basename(path));
  for (const file of outputFiles.toSorted((a, b) => Number(isEntry(a)) - Number(isEntry(b)))) {
    const whole = `${file.path}.${process.pid}`;
    writeFileSync(whole, file.contents);
    renameSync(whole, file.path);
  }
  const made = new Set(outputFiles.map(({ path }) => basename(path)));
  for (const entry of readdirSync(outdir, { withFileTypes: true })) {
    const path = join(outdir, entry.name);
    if (entry.isFile() && !made.has(entry.name) && Date.now() - statSync(path).mtimeMs > KEPT_MS)
      rmSync(path, { force: true });
  }
}
