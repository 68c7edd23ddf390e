import { randomBytes } from 'node:crypto';
import { DataSource } from 'typeorm';

/** A database of a test file's own, in the cluster that the test command started. */
export async function scratchDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const cluster = process.env.URVEK_TEST_DATABASE;
  if (!cluster) throw new Error('URVEK_TEST_DATABASE is not set: run the tests by npm test');
  const name = `test_${randomBytes(6).toString('hex')}`;
  const run = async (sql: string): Promise<void> => {
    const admin = await new DataSource({
      type: 'postgres',
      url: cluster,
      installExtensions: false,
    }).initialize();
    try {
      await admin.query(sql);
    } finally {
      await admin.destroy();
    }
  };
  await run(`CREATE DATABASE ${name}`);
  const url = new URL(cluster);
  url.pathname = `/${name}`;
  return { url: url.href, drop: () => run(`DROP DATABASE ${name} WITH (FORCE)`) };
}
