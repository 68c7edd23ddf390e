import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** One file of the build, as its manifest has it. */
interface Part {
  readonly file: string;
  readonly isEntry?: boolean;
  readonly imports?: readonly string[];
}
type Manifest = Readonly<Record<string, Part>>;

/** The stage that an address opens on; Bench where it names none. */
const STAGE = /^\/(?:c\/[0-9a-f-]{36}\/([a-z]+)(?:\/[^/]*)?)?$/i;

/**
 * The files that a page is made of, as values of a Link header: the program's own first, then those of the stage's
 * view, so that a browser fetches these beside the program and not after it. Views stand at
 * `src/views/<stage>/<Stage>.tsx`; an address that is no stage's has none.
 * @param webRoot where the build is; without a manifest nothing is told
 */
export function stageParts(webRoot: string): (path: string) => readonly string[] {
  const manifest = manifestOf(webRoot);
  const kept = new Map<string, readonly string[]>();
  return (path) => {
    const found = STAGE.exec(path);
    if (!found) return [];
    const stage = (found[1] ?? 'bench').toLowerCase();
    const known = kept.get(stage);
    if (known) return known;
    const view = `src/views/${stage}/${stage.charAt(0).toUpperCase()}${stage.slice(1)}.tsx`;
    if (!manifest[view]) return [];
    const entries = Object.keys(manifest).filter((key) => manifest[key]?.isEntry);
    const links = filesOf(manifest, [...entries, view]).map((file) => `</${file}>; rel=modulepreload`);
    kept.set(stage, links);
    return links;
  };
}

function manifestOf(webRoot: string): Manifest {
  try {
    return JSON.parse(readFileSync(join(webRoot, '.vite/manifest.json'), 'utf8')) as Manifest;
  } catch {
    return {};
  }
}

/** Parts with all that they import, in the order in which they are met. */
function filesOf(manifest: Manifest, keys: readonly string[]): string[] {
  const seen = new Set<string>();
  const open = [...keys];
  for (let next = open.shift(); next !== undefined; next = open.shift()) {
    if (seen.has(next)) continue;
    seen.add(next);
    open.push(...(manifest[next]?.imports ?? []).filter((key) => !seen.has(key)));
  }
  return [...seen].flatMap((key) => manifest[key]?.file ?? []);
}
