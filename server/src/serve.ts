import { createServer, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createApp } from './api/app.ts';
import { systemClock, type Clock } from './clock.ts';
import { loadDemo, type DemoSize } from './demo/load.ts';
import { Devices } from './lan/devices.ts';
import { closed, listen, openNetwork, type LanOptions, type Network } from './lan/network.ts';
import { lanRouter } from './lan/router.ts';
import { Answers } from './findings/answers.ts';
import { Heavy } from './heavy.ts';
import { isFromHere } from './api/guard.ts';
import { holderOf } from './api/key.ts';
import { openGearSockets } from './gear/sockets.ts';
import { shutOthers } from './sockets.ts';
import { ProbeDesk } from './probe/desk.ts';
import { openProbeSockets } from './probe/sockets.ts';
import { JobQueue } from './jobs/queue.ts';
import { openDatabase } from './storage/postgres/database.ts';
import { Store } from './storage/postgres/store.ts';
import { openThreads } from './threads/pool.ts';

export interface ServeOptions {
  readonly databaseUrl: string;
  /** 0: any free port. */
  readonly port: number;
  readonly webRoot?: string;
  readonly demo: DemoSize;
  readonly report: (error: unknown) => void;
  readonly clock?: Clock;
  /** Takes part in long work from the start; otherwise from the first job that is asked of it. */
  readonly work?: boolean;
  /** False: it asks for long work and leaves it to workers. */
  readonly works?: boolean;
  /** After so many seconds a job is taken from a worker that was killed. */
  readonly jobExpiresS?: number;
  /** Serves on these addresses of the local network too, over HTTPS, to paired devices. */
  readonly lan?: LanOptions;
  /** What a browser on this machine must know to be answered; absent where none is asked for. */
  readonly key?: string;
  /** Makes a backup, named after what it is made before; without it nothing is removed for good. */
  readonly backupBefore?: (what: string) => Promise<string>;
}

export interface Serving {
  readonly port: number;
  readonly url: string;
  /** Addresses on the local network, for paired devices; empty on loopback only. */
  readonly lanUrls: readonly string[];
  close(): Promise<void>;
}

/** Opens the database, loads the demo once, and serves on loopback. */
export async function serve({
  databaseUrl,
  port,
  webRoot,
  demo,
  report,
  clock = systemClock,
  jobExpiresS,
  works,
  work = false,
  lan,
  key,
  backupBefore,
}: ServeOptions): Promise<Serving> {
  const database = await openDatabase(databaseUrl);
  const store = new Store(database, clock);
  await loadDemo(store, demo);
  const threads = openThreads();
  const jobs = new JobQueue({ databaseUrl, storage: store, threads, report, expiresS: jobExpiresS, works });
  const desk = new ProbeDesk(clock);
  const heavy = new Heavy(store, threads, databaseUrl);
  const answers = new Answers(store, threads, databaseUrl, report);
  const parts = { storage: store, heavy, answers, jobs, desk, backupBefore };
  const authorities = new Set<string>();
  const devices = new Devices(database, clock);
  let network: Network | undefined;
  let server: Server | undefined;
  let endSockets = (): void => undefined;
  const close = async (): Promise<void> => {
    endSockets();
    await closed(server);
    await network?.close();
    await jobs.close();
    answers.close();
    await threads.close();
    await database.destroy();
  };
  try {
    network = lan && (await openNetwork(lan, { database, parts, clock, webRoot, report }));
    server = createServer(
      createApp({
        parts,
        authorities: () => authorities,
        webRoot,
        report,
        lan: lanRouter(devices, store, network),
        key,
        programOf: (given) => devices.known(given),
      }),
    );
    const fits = (request: IncomingMessage): boolean => isFromHere(request, authorities, 'http');
    const holder = holderOf(key, (given) => devices.known(given));
    const ends = [
      openProbeSockets(server, desk, fits),
      openGearSockets(server, store, async (request) => (fits(request) ? holder(request) : undefined)),
    ];
    shutOthers(server);
    endSockets = () => {
      for (const end of ends) end();
    };
    await listen(server, port, '127.0.0.1');
  } catch (error) {
    await close();
    throw error;
  }
  if (work) await jobs.work();
  void answers.begin();
  const taken = (server.address() as AddressInfo).port;
  for (const name of ['127.0.0.1', 'localhost', '[::1]']) authorities.add(`${name}:${taken}`);
  return { port: taken, url: `http://127.0.0.1:${taken}/`, lanUrls: network?.urls ?? [], close };
}
