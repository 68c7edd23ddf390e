// npm run bench:against -- REVISION: the heavy computations here and at another revision, by turns in one
// run, so that the machine's mood is the same for both. Bundled, since loading sources would be measured
// otherwise.
import { build } from 'esbuild';
import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const revision = process.argv[2] ?? 'HEAD~1';
const ROUNDS = 9;

/** The demo of 108 walks, by whichever rooms a revision has. */
const probe = (study) => `
import * as core from '@urvek/core';
import * as contract from '@urvek/contract';
${study ? "import * as study from '@urvek/study';" : 'const study = contract;'}
import { SLATE_WORKS as setup, slateWorksWalks } from './server/src/demo/slateWorks.ts';
const walks = slateWorksWalks();
const id = walks[0].header.comparisonId;
const file = JSON.parse(JSON.stringify(contract.writeInterchange({ id, title: 't', question: '', simulated: true }, setup, walks)));
const random = core.seeded('bench');
const nineSixty = Array.from({ length: 960 }, (_, i) => {
  const d = 100 * (1 + (i % 5) / 5) * Math.exp(0.25 * random.normal());
  const step = Math.floor(Math.log(d) / Math.log(1.1));
  return { product: 'P' + (i % 5), path: 'path ' + (Math.floor(i / 5) % 6), walk: String(i), heldM: 1.1 ** step, failedM: d > 200 ? undefined : 1.1 ** (step + 1) };
});
const timed = (work) => { const from = performance.now(); work(); return performance.now() - from; };
const now = study.Study
  ? () => {
      // A study of its own, with nothing remembered from the round before: a plan's spread changes nothing
      // of the walks.
      const cold = () => study.Study.ofLogs(setup, walks.map((w, i) => ({ ...w, log: w.log.map((e) => (e.kind === 'mark' && e.body.reading.travelledM > 0 ? { ...e, body: { ...e.body, reading: { ...e.body.reading, travelledM: e.body.reading.travelledM * (1 - 1e-9 * ++shift) } } } : e)) })));
      const [one, { entries }] = [cold(), cold()];
      new study.Study(setup, entries.slice(0, -1)).judgement();
      return { judgement: timed(() => one.judgement()), 'one walk more': timed(() => new study.Study(setup, entries).judgement()), curves: timed(() => one.curves()), 'audit of the plan': timed(() => one.under({ ...setup, plan: { ...setup.plan, sigma: 0.2 + 1e-6 * shift } }).planAudit()) };
    }
  : () => {
      const findings = study.findWalks(setup, walks);
      const judgement = timed(() => study.judgeComparison(setup, walks));
      return { judgement, 'one walk more': judgement, curves: timed(() => study.curvesOf(setup, walks, setup.plan.criterion)), 'audit of the plan': timed(() => study.auditPlan(setup, findings)) };
    };
let shift = 0;
const once = () => ({
  ...now(),
  'reading the interchange file': timed(() => contract.readInterchange(file)),
  '960 walks: the fit alone': timed(() => core.fitRanges(nineSixty)),
  '960 walks: all profile intervals': timed(() => core.summariseRanges(nineSixty)),
});
const cold = once();
process.send({ cold });
process.on('message', () => process.send({ warm: once() }));
`;

async function bundled(folder) {
  const entry = join(folder, 'probe.ts');
  writeFileSync(entry, probe(existsSync(join(folder, 'study'))));
  const outfile = join(folder, 'probe.mjs');
  await build({
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    logLevel: 'error',
    external: ['typeorm', 'pg'],
    banner: {
      js: `import { createRequire } from 'node:module'; const require = createRequire(${JSON.stringify(outfile)});`,
    },
  });
  return outfile;
}

/** A copy of a revision, with this checkout's packages but its own rooms. */
function copyOf(folder, rev) {
  mkdirSync(folder);
  const archive = execFileSync('git', ['archive', rev], { cwd: root, maxBuffer: 1 << 30 });
  execFileSync('tar', ['-x', '-C', folder], { input: archive });
  const modules = join(folder, 'node_modules');
  mkdirSync(join(modules, '@urvek'), { recursive: true });
  for (const name of execFileSync('ls', [join(root, 'node_modules')], { encoding: 'utf8' })
    .trim()
    .split('\n'))
    if (name !== '@urvek') symlinkSync(join(root, 'node_modules', name), join(modules, name));
  for (const room of ['core', 'contract', 'study', 'draw', 'server'])
    if (existsSync(join(folder, room))) symlinkSync(join(folder, room), join(modules, '@urvek', room));
}

const folder = mkdtempSync(join(tmpdir(), 'urvek-against-'));
try {
  const sides = [];
  for (const [name, rev] of [
    ['here', 'HEAD'],
    ['there', revision],
  ]) {
    const at = join(folder, name);
    copyOf(at, rev);
    sides.push({ name, file: await bundled(at) });
  }
  const { fork } = await import('node:child_process');
  const next = (child) => new Promise((resolve) => child.once('message', resolve));
  const results = {};
  const children = [];
  for (const side of sides) {
    const child = fork(side.file);
    results[side.name] = { cold: (await next(child)).cold, warm: [] };
    children.push([side.name, child]);
  }
  for (let round = 0; round < ROUNDS; round++)
    for (const [name, child] of children) {
      child.send('again');
      results[name].warm.push((await next(child)).warm);
    }
  for (const [, child] of children) child.kill();
  const least = (name, what) => Math.min(...results[name].warm.map((w) => w[what]));
  console.log(`here against ${revision}, demo of 108 walks; ms, cold and the least of ${ROUNDS}`);
  for (const what of Object.keys(results.here.cold)) {
    const row = ['here', 'there'].map(
      (n) => `${results[n].cold[what].toFixed(1)} / ${least(n, what).toFixed(1)}`,
    );
    const ratio = (a, b) => (b / a).toFixed(1);
    console.log(
      `${what.padEnd(34)} ${row[0].padStart(16)} ${row[1].padStart(18)}   ${ratio(results.here.cold[what], results.there.cold[what])} and ${ratio(least('here', what), least('there', what))} times as fast`,
    );
  }
} finally {
  rmSync(folder, { recursive: true, force: true });
}
