import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { installPackages, unpackPackages } from './debian.mjs';
import { DATA, Unable } from './project.mjs';

const UNPACKED = join(DATA, 'postgresql');
const UNPACKED_VERSION = '15';
/** The Debian package makes a cluster of its own at installation, unless told not to. */
const NO_MAIN_CLUSTER = {
  '/etc/postgresql-common/createcluster.d/urvek.conf': 'create_main_cluster = false\n',
};

function binariesUnder(root, wanted) {
  const base = join(root, 'usr/lib/postgresql');
  if (!existsSync(base)) return undefined;
  const versions = readdirSync(base).filter(
    (v) => existsSync(join(base, v, 'bin/initdb')) && existsSync(join(base, v, 'bin/postgres')),
  );
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
  // A cluster is opened by the version that made it, whatever else was installed since.
  const version = wanted === undefined ? newest : versions.find((v) => v === wanted);
  return version && { bin: join(base, version, 'bin'), root };
}

/**
 * The server's binaries: the system's, or installed, or unpacked; of the version that made a cluster, where there is
 * one. @throws Unable with the one command to run.
 */
export function findOrInstallPostgres(version) {
  const there = () =>
    binariesUnder(process.env.URVEK_SYSTEM_ROOT ?? '/', version) ?? binariesUnder(UNPACKED, version);
  let found = there();
  if (!found && version === undefined && installPackages(['postgresql'], NO_MAIN_CLUSTER)) found = there();
  if (!found && (version ?? UNPACKED_VERSION) === UNPACKED_VERSION) {
    const packages = [`postgresql-${UNPACKED_VERSION}`, `postgresql-client-${UNPACKED_VERSION}`, 'libpq5'];
    if (unpackPackages(packages, UNPACKED)) found = there();
  }
  if (!found && version !== undefined)
    throw new Unable(
      `The database was made by PostgreSQL ${version}, which is not here. Nothing was changed. Run this, then start again:\n\n  sudo apt-get install -y postgresql-${version}\n\nor put a backup into a database of the PostgreSQL that is here:\n\n  npm run restore -- --fresh FILE`,
    );
  if (!found)
    throw new Unable(
      'PostgreSQL is not here and could not be installed. Run this, then start again:\n\n  sudo apt-get install -y postgresql\n\nor point DATABASE_URL to a database server.',
    );
  return found;
}

/** Unpacked binaries find their libraries beside them. */
export function environment({ root }) {
  if (root === '/') return process.env;
  const libraries = [
    'usr/lib/x86_64-linux-gnu',
    'usr/lib/aarch64-linux-gnu',
    'lib/x86_64-linux-gnu',
    'lib/aarch64-linux-gnu',
  ].map((d) => join(root, d));
  return { ...process.env, LD_LIBRARY_PATH: [...libraries, process.env.LD_LIBRARY_PATH ?? ''].join(':') };
}
