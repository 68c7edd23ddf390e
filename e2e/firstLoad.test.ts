import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { get } from 'node:http';
import { join } from 'node:path';
import { startApp, type App } from './support/app.ts';

// What a phone fetches before it shows a stage, as the server sends it.

interface Chunk {
  readonly file: string;
  readonly isEntry?: boolean;
  readonly imports?: readonly string[];
  readonly css?: readonly string[];
}

const manifest = JSON.parse(
  readFileSync(join(process.env.URVEK_TEST_WEB ?? '', '.vite/manifest.json'), 'utf8'),
) as Readonly<Record<string, Chunk>>;

/** Files that the entry and a view need before anything of it is shown. */
function filesOf(view: string): Set<string> {
  const files = new Set<string>();
  const seen = new Set<string>();
  const add = (name: string): void => {
    const chunk = manifest[name];
    if (seen.has(name) || !chunk) return;
    seen.add(name);
    for (const file of [chunk.file, ...(chunk.css ?? [])]) files.add(file);
    chunk.imports?.forEach(add);
  };
  for (const [name, { isEntry }] of Object.entries(manifest)) if (isEntry || name === view) add(name);
  return files;
}

let app: App;
beforeAll(async () => {
  app = await startApp({ demo: false });
}, 120_000);
afterAll(() => app.close());

const sent = (file: string): Promise<{ bytes: number; encoding: string | undefined }> =>
  new Promise((resolve, reject) => {
    get(new URL(file, app.url), { headers: { 'accept-encoding': 'gzip, deflate, br' } }, (response) => {
      let bytes = 0;
      response.on('data', (part: Buffer) => (bytes += part.length));
      response.on('end', () => resolve({ bytes, encoding: response.headers['content-encoding'] }));
    }).on('error', reject);
  });

test('the first load of Walk is at most 200 kB, compressed as the build compressed it', async () => {
  expect(Object.keys(manifest)).toContain('src/views/walk/Walk.tsx');
  const files = [...filesOf('src/views/walk/Walk.tsx')];
  const all = await Promise.all(files.map(sent));
  // A file that would only grow is sent as it is.
  expect(all.filter((f) => f.encoding !== 'br' && f.bytes > 500)).toEqual([]);
  const bytes = all.reduce((sum, f) => sum + f.bytes, 0);
  console.log(`first load of Walk: ${bytes} bytes`);
  expect(bytes).toBeLessThan(200_000);
  // The walk under way is not among them, and is there to be fetched beside.
  const later = Object.keys(manifest).find((name) => name.endsWith('LiveWalk.tsx')) as string;
  expect(files).not.toContain(manifest[later]?.file);
});

test('each stage comes in few files: a browser asks for six at a time', () => {
  const stages = ['bench', 'kit', 'paths', 'plan', 'walk', 'trace', 'ranges', 'verdict', 'report'];
  const counts = stages.map((stage) => {
    const view = `src/views/${stage}/${stage.charAt(0).toUpperCase()}${stage.slice(1)}.tsx`;
    expect(Object.keys(manifest)).toContain(view);
    return filesOf(view).size;
  });
  expect(Math.max(...counts)).toBeLessThanOrEqual(12);
});
