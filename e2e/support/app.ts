import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { serve, Serving } from '../../server/src/serve.ts';
import type { LanOptions } from '../../server/src/lan/network.ts';
import { scratchDatabase } from '../../server/src/test/scratchDatabase.ts';

export interface App {
  readonly url: string;
  /** On the local network. */
  readonly lanUrls: readonly string[];
  /** Stops the server; the database stays. */
  stopServer(): Promise<void>;
  /** Starts it again, at the same address. */
  startServer(): Promise<void>;
  close(): Promise<void>;
}

/** The real application on a database and a port of its own. */
export async function startApp({
  demo,
  lan,
  key,
  webRoot = process.env.URVEK_TEST_WEB,
}: {
  /** Whole: nine products on four paths beside the small one. */
  demo: boolean | 'whole';
  lan?: LanOptions;
  key?: string;
  /** Another build than the one under test. */
  webRoot?: string;
}): Promise<App> {
  const server = process.env.URVEK_TEST_SERVER;
  if (!webRoot || !server) throw new Error('URVEK_TEST_WEB is not set: run the tests by npm test');
  // As npm start runs it: put together, its threads too.
  const built = (await import(pathToFileURL(join(server, 'serve.mjs')).href)) as { serve: typeof serve };
  const scratch = await scratchDatabase();
  const start = (port: number): Promise<Serving> =>
    built.serve({
      databaseUrl: scratch.url,
      port,
      webRoot,
      demo: demo === 'whole' ? 'whole' : demo ? 'small' : 'none',
      lan,
      key,
      report: (error) => console.error(error),
    });
  let serving: Serving | undefined = await start(0);
  const { url, port, lanUrls } = serving;
  const stopServer = async (): Promise<void> => {
    await serving?.close();
    serving = undefined;
  };
  return {
    url,
    lanUrls,
    stopServer,
    startServer: async () => {
      serving ??= await start(port);
    },
    close: async () => {
      await stopServer();
      await scratch.drop();
    },
  };
}
