import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createApp } from './api/app.ts';
import { systemClock } from './clock.ts';
import { loadDemo, type DemoSize } from './demo/load.ts';
import { openDatabase } from './storage/database.ts';
import { Store } from './storage/store.ts';

export interface ServeOptions {
  readonly databaseUrl: string;
  /** 0: any free port. */
  readonly port: number;
  readonly webRoot?: string;
  readonly demo: DemoSize;
  readonly report: (error: unknown) => void;
}

export interface Serving {
  readonly port: number;
  readonly url: string;
  close(): Promise<void>;
}

/** Opens the database, loads the demo once, and serves on loopback. */
export async function serve({ databaseUrl, port, webRoot, demo, report }: ServeOptions): Promise<Serving> {
  const database = await openDatabase(databaseUrl);
  const store = new Store(database, systemClock);
  await loadDemo(store, demo);
  const authorities = new Set<string>();
  const server = createServer(createApp({ store, authorities: () => authorities, webRoot, report }));
  try {
    await listen(server, port);
  } catch (error) {
    await database.destroy();
    throw error;
  }
  const taken = (server.address() as AddressInfo).port;
  for (const name of ['127.0.0.1', 'localhost', '[::1]']) authorities.add(`${name}:${taken}`);
  return {
    port: taken,
    url: `http://127.0.0.1:${taken}/`,
    close: async () => {
      server.closeAllConnections();
      await new Promise<void>((resolve) => server.close(() => resolve()));
      await database.destroy();
    },
  };
}

const listen = (server: Server, port: number): Promise<void> =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => {
      server.off('error', reject);
      resolve();
    });
  });
