import { expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { stageParts } from './stageParts.ts';

test(
  'a page names the parts of its stage behind those of the program, each once, and none for what ' +
    'is no stage',
  () => {
    const webRoot = mkdtempSync(join(tmpdir(), 'urvek-parts-'));
    try {
      mkdirSync(join(webRoot, '.vite'));
      const manifest = {
        'index.html': { file: 'assets/index.js', isEntry: true, imports: ['_shared.js'] },
        '_shared.js': { file: 'assets/shared.js' },
        '_table.js': { file: 'assets/table.js', imports: ['_shared.js'] },
        'src/views/kit/Kit.tsx': { file: 'assets/Kit.js', imports: ['index.html', '_table.js'] },
        'src/views/bench/Bench.tsx': { file: 'assets/Bench.js', imports: ['_shared.js'] },
      };
      writeFileSync(join(webRoot, '.vite/manifest.json'), JSON.stringify(manifest));
      const partsOf = stageParts(webRoot);
      const named = (path: string): string[] =>
        partsOf(path).map((link) => /^<\/assets\/(\w+)\.js>; rel=modulepreload$/.exec(link)?.[1] ?? link);
      const id = '0c1d0000-0000-4000-8000-000000000001';
      for (const path of [`/c/${id}/kit`, `/c/${id}/kit/x`])
        expect(named(path).toSorted()).toEqual(['Kit', 'index', 'shared', 'table']);
      expect(named(`/c/${id}/kit`)[0]).toBe('index');
      expect(named('/').toSorted()).toEqual(['Bench', 'index', 'shared']);
      for (const path of ['/devices', `/c/${id}`, `/c/${id}/nothing`, '/c/x/kit', '/kit'])
        expect(named(path)).toEqual([]);
      expect(stageParts(join(webRoot, 'assets'))('/')).toEqual([]);
    } finally {
      rmSync(webRoot, { recursive: true });
    }
  },
);
