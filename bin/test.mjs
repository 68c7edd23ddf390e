// npm test: type check, lint, Jest, then the browser tests. Ends with one line "N passed, N failed".
import { spawn, spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { ensureChromium } from './lib/chromium.mjs';
import { installPackages } from './lib/debian.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { startCluster } from './lib/postgres.mjs';
import { complain, ROOT, say, Unable } from './lib/project.mjs';
import { ensureServer, SERVER } from './lib/server.mjs';
import { ensureWeb, WEB_ROOT } from './lib/web.mjs';

/** What links and recordings are held against, beside Urvek: Debian's packages, and a file of each. */
const TOOLS = [
  ['iperf3', '/usr/bin/iperf3'],
  ['iproute2', '/usr/sbin/tc'],
  ['iputils-ping', '/usr/bin/ping'],
  ['nftables', '/usr/sbin/nft'],
  ['ffmpeg', '/usr/bin/ffmpeg'],
];

/** More than so many files that fail are no mood of the machine. */
const MOST_AGAIN = 3;

const tally = { passed: 0, failed: 0 };

/** Runs tools of the project's side by side; each exit code counts as one test. */
async function check(title, scripts) {
  say(`\n── ${title}`);
  await Promise.all(
    scripts.map(async (script) => {
      const status = await new Promise((done) =>
        spawn('npm', ['run', '--silent', script], { cwd: ROOT, stdio: 'inherit' }).once('exit', done),
      );
      tally[status === 0 ? 'passed' : 'failed']++;
    }),
  );
}

/**
 * Runs some of Jest's projects, or of their files.
 * @returns what passed, what failed (a suite that does not even load counts as one), and the files of the latter
 */
function jest(title, projects, folder, env, workers, files = []) {
  say(`\n── ${title}`);
  const results = join(folder, 'results.json');
  rmSync(results, { force: true });
  const args = [
    join(ROOT, 'node_modules/jest/bin/jest.js'),
    ...files,
    '--selectProjects',
    ...projects,
    '--testTimeout=60000',
    '--json',
    `--outputFile=${results}`,
    `--maxWorkers=${workers}`,
  ];
  spawnSync(process.execPath, args, {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, ...env, NODE_OPTIONS: '--experimental-vm-modules --no-warnings' },
  });
  try {
    const { testResults } = JSON.parse(readFileSync(results, 'utf8'));
    const count = (suite, status) => suite.assertionResults.filter((a) => a.status === status).length;
    const sum = (status) => testResults.reduce((n, suite) => n + count(suite, status), 0);
    const broken = testResults.filter((suite) => suite.status === 'failed');
    return {
      passed: sum('passed'),
      failed: sum('failed') + broken.filter((suite) => count(suite, 'failed') === 0).length,
      broken: broken.map((suite) => ({ file: suite.name, passed: count(suite, 'passed') })),
    };
  } catch {
    return { passed: 0, failed: 1, broken: [] };
  }
}

function add({ passed, failed }) {
  tally.passed += passed;
  tally.failed += failed;
}

/**
 * Tests share a machine that may be slow: a file that failed beside others is asked once more, alone, and told of either
 * way. What is wrong fails twice.
 */
function jestTwice(title, projects, folder, env, workers) {
  const first = jest(title, projects, folder, env, workers);
  if (first.broken.length === 0 || first.broken.length > MOST_AGAIN) return add(first);
  add({ passed: first.passed - first.broken.reduce((n, { passed }) => n + passed, 0), failed: 0 });
  for (const { file } of first.broken) {
    const name = relative(ROOT, file);
    const alone = jest(`${name} failed beside others; once more, alone`, projects, folder, env, 1, [file]);
    say(`${name}: failed beside others, ${alone.failed === 0 ? 'passed' : 'failed again'} alone`);
    add(alone);
  }
}

async function main() {
  ensurePackages();
  ensureChromium();
  // Tests that need one of them say so where they cannot run.
  if (TOOLS.some(([, file]) => !existsSync(file))) installPackages(TOOLS.map(([name]) => name));
  const folder = mkdtempSync(join(tmpdir(), 'urvek-test-'));
  chmodSync(folder, 0o711);
  const cluster = await startCluster(join(folder, 'database'), { fast: true });
  try {
    await check('types, format, rules and arrows', ['format', 'typecheck', 'rules']);
    ensureWeb();
    await ensureServer();
    const env = {
      URVEK_TEST_DATABASE: cluster.url('postgres'),
      URVEK_TEST_WEB: WEB_ROOT,
      URVEK_TEST_SERVER: SERVER,
    };
    jestTwice('units and server', ['units', 'server'], folder, env, 2);
    // A browser test mostly waits.
    jestTwice('browser', ['browser'], folder, env, 3);
  } finally {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
  say(`\n${tally.passed} passed, ${tally.failed} failed`);
  process.exitCode = tally.failed === 0 ? 0 : 1;
}

main().catch((error) => {
  complain(error instanceof Unable ? error.message : String(error?.stack ?? error));
  say('0 passed, 1 failed');
  process.exitCode = 1;
});
