import { serve, type Serving } from '../../server/src/serve.ts';
import { scratchDatabase } from '../../server/src/test/scratchDatabase.ts';

export interface App {
  readonly url: string;
  /** Stops the server; the database stays. */
  stopServer(): Promise<void>;
  close(): Promise<void>;
}

/** The real application on a database and a port of its own. */
export async function startApp({ demo }: { demo: boolean }): Promise<App> {
  const webRoot = process.env.URVEK_TEST_WEB;
  if (!webRoot) throw new Error('URVEK_TEST_WEB is not set: run the tests by npm test');
  const scratch = await scratchDatabase();
  const serving: Serving = await serve({ databaseUrl: scratch.url, port: 0, webRoot, demo, report: (error) => console.error(error) });
  return {
    url: serving.url,
    stopServer: () => serving.close(),
    close: async () => {
      await serving.close().catch(() => undefined);
      await scratch.drop();
    },
  };
}
