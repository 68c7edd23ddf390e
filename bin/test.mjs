// npm test: type check, lint, Jest, then the browser tests. Ends with one line "N passed, N failed".
import { spawn, spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium } from './lib/chromium.mjs';
import { installPackages } from './lib/debian.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { startCluster } from './lib/postgres.mjs';
import { complain, ROOT, say, Unable } from './lib/project.mjs';
import { ensureWeb, WEB_ROOT } from './lib/web.mjs';

/** What links and recordings are held against, beside Urvek: Debian's packages, and a file of each. */
const TOOLS = [
  ['iperf3', '/usr/bin/iperf3'],
  ['iproute2', '/usr/sbin/tc'],
  ['iputils-ping', '/usr/bin/ping'],
  ['nftables', '/usr/sbin/nft'],
  ['ffmpeg', '/usr/bin/ffmpeg'],
];

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
 * Runs some of Jest's projects and adds up their tests. A suite that does not even load counts as a failed
 * test.
 */
function jest(title, projects, folder, env, workers) {
  say(`\n── ${title}`);
  const results = join(folder, `${projects.join('-')}.json`);
  const args = [
    join(ROOT, 'node_modules/jest/bin/jest.js'),
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
    const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
      readFileSync(results, 'utf8'),
    );
    tally.passed += numPassedTests;
    tally.failed += numFailedTests + numRuntimeErrorTestSuites;
  } catch {
    tally.failed++;
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
    const env = { URVEK_TEST_DATABASE: cluster.url('postgres'), URVEK_TEST_WEB: WEB_ROOT };
    jest('units and server', ['units', 'server'], folder, env, 2);
    // A browser test mostly waits.
    jest('browser', ['browser'], folder, env, 3);
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
