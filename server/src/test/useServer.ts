import { afterAll, beforeAll, expect } from '@jest/globals';
import { serve, type ServeOptions, type Serving } from '../serve.ts';
import { scratchDatabase } from './scratchDatabase.ts';

export interface TestServer {
  readonly serving: Serving;
  readonly databaseUrl: string;
}

/** A server for the tests of one file, on a database of its own; what it reports as a fault of its own fails them. */
export function useServer(options: Partial<ServeOptions> = {}): TestServer {
  let open: TestServer | undefined;
  let drop = async (): Promise<void> => {};
  const failures: unknown[] = [];
  beforeAll(async () => {
    const scratch = await scratchDatabase();
    drop = scratch.drop;
    const serving = await serve({
      databaseUrl: scratch.url,
      port: 0,
      demo: 'none',
      report: (error) => failures.push(error),
      ...options,
    });
    open = { serving, databaseUrl: scratch.url };
  }, 60_000);
  afterAll(async () => {
    await open?.serving.close();
    await drop();
    expect(failures).toEqual([]);
  });
  const now = (): TestServer => {
    if (!open) throw new Error('the server is not open yet');
    return open;
  };
  return {
    get serving() {
      return now().serving;
    },
    get databaseUrl() {
      return now().databaseUrl;
    },
  };
}
