import { execFileSync, spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, writeFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { DATA, say } from './project.mjs';

const ENV = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
const quiet = (command, args) => spawnSync(command, args, { stdio: 'ignore', env: ENV }).status === 0;

/** How commands can be run as root here: directly, by sudo without a password, or not at all. */
function rootPrefix() {
  if (process.getuid() === 0) return [];
  return quiet('sudo', ['-n', 'true']) ? ['sudo', '-n', 'env', 'DEBIAN_FRONTEND=noninteractive'] : undefined;
}

/**
 * Installs Debian packages; false when that is not allowed here or fails. `before` lists files to write
 * first, as root.
 */
export function installPackages(names, before = {}) {
  const prefix = rootPrefix();
  if (!prefix || !quiet('which', ['apt-get'])) return false;
  const run = (...args) => {
    const [command, ...rest] = [...prefix, ...args];
    return spawnSync(command, rest, { stdio: ['ignore', 'ignore', 'inherit'], env: ENV }).status === 0;
  };
  for (const [file, text] of Object.entries(before)) {
    run('mkdir', '-p', join(file, '..'));
    const [command, ...rest] = [...prefix, 'tee', file];
    spawnSync(command, rest, { input: text, stdio: ['pipe', 'ignore', 'inherit'] });
  }
  say(`Installing from Debian's packages: ${names.join(', ')} …`);
  const install = ['apt-get', 'install', '-y', '-q', '--no-install-recommends', ...names];
  return run(...install) || (run('apt-get', 'update', '-q') && run(...install));
}

/**
 * Without root: downloads packages with what they need and unpacks them into `folder`. The lists are
 * fetched into the data folder, since the system's belong to root. False when it fails.
 */
export function unpackPackages(names, folder) {
  const state = join(DATA, 'apt');
  const downloads = join(state, 'downloads');
  mkdirSync(join(state, 'lists', 'partial'), { recursive: true });
  mkdirSync(join(state, 'cache', 'archives', 'partial'), { recursive: true });
  mkdirSync(downloads, { recursive: true });
  const config = join(state, 'apt.conf');
  writeFileSync(
    config,
    [
      `Dir::State::lists "${state}/lists";`,
      `Dir::Cache "${state}/cache";`,
      'APT::Sandbox::User "";',
      'Debug::NoLocking "true";',
    ].join('\n'),
  );
  const apt = (args, cwd) =>
    execFileSync('apt-get', args, {
      cwd,
      env: { ...ENV, APT_CONFIG: config },
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'pipe'],
    });
  try {
    say(`Unpacking from Debian's packages, without installing: ${names.join(', ')} …`);
    apt(['update', '-q']);
    const plan = apt(['install', '-s', '-q', '--no-install-recommends', '--reinstall', ...names]);
    const wanted = [...plan.matchAll(/^Inst (\S+)/gm)].map((m) => m[1]);
    apt(['download', '-q', ...new Set([...names, ...wanted])], downloads);
    for (const file of readdirSync(downloads))
      execFileSync('dpkg-deb', ['-x', join(downloads, file), folder]);
    rmSync(state, { recursive: true, force: true });
    return true;
  } catch {
    return false;
  }
}
