import type { Server } from 'node:http';
import { createServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { networkInterfaces } from 'node:os';
import type { DataSource } from 'typeorm';
import { createApp } from '../api/app.ts';
import type { Clock } from '../clock.ts';
import type { Parts } from '../api/parts.ts';
import { openAuthority } from './authority.ts';
import { Devices } from './devices.ts';
import { onlyPaired, pairingRoutes } from './gate.ts';
import { Pairing } from './pairing.ts';

export interface LanOptions {
  /** Where the authority is kept. */
  readonly folder: string;
  readonly addresses: readonly string[];
  readonly port: number;
}

/** What is open on the local network. */
export interface Network {
  readonly urls: readonly string[];
  readonly freshAuthority: boolean;
  readonly certificatePem: string;
  readonly pairing: Pairing;
  readonly servers: readonly Server[];
}

const PRIVATE = /^(10\.|192\.168\.|172\.(1[6-9]|2\d|3[01])\.|169\.254\.)/;

/**
 * This host’s private addresses: a public one is never served on.
 * @public for the start command
 */
export const privateAddresses = (): string[] =>
  Object.values(networkInterfaces()).flatMap((list) =>
    (list ?? []).flatMap((i) =>
      i.family === 'IPv4' && !i.internal && PRIVATE.test(i.address) ? [i.address] : [],
    ),
  );

/** One HTTPS server an address, each with a certificate for that address only. */
export async function openNetwork(
  { folder, addresses, port }: LanOptions,
  {
    database,
    parts,
    clock,
    webRoot,
    report,
  }: { database: DataSource; parts: Parts; clock: Clock; webRoot?: string; report: (error: unknown) => void },
): Promise<Network> {
  const authority = await openAuthority(folder, addresses, clock);
  const pairing = new Pairing(clock);
  const devices = new Devices(database, clock);
  const servers: Server[] = [];
  const urls: string[] = [];
  try {
    for (const address of addresses) {
      const { keyPem, certificatePem } = await authority.serverFor(address);
      const authorities = new Set<string>();
      const app = createApp({
        parts,
        authorities: () => authorities,
        webRoot,
        report,
        protocol: 'https',
        before: [pairingRoutes(pairing, devices, authority.certificatePem), onlyPaired(devices)],
      });
      const server = createServer(
        { key: keyPem, cert: certificatePem + authority.certificatePem, minVersion: 'TLSv1.2' },
        app,
      );
      await listen(server, port, address);
      servers.push(server);
      const taken = (server.address() as AddressInfo).port;
      authorities.add(`${address}:${taken}`);
      urls.push(`https://${address}:${taken}/`);
    }
  } catch (error) {
    await Promise.all(servers.map(closed));
    throw error;
  }
  return {
    urls,
    freshAuthority: authority.fresh,
    certificatePem: authority.certificatePem,
    pairing,
    servers,
  };
}

export const listen = (server: Server, port: number, address: string): Promise<void> =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, address, () => {
      server.off('error', reject);
      resolve();
    });
  });

export async function closed(server: Server | undefined): Promise<void> {
  if (!server?.listening) return;
  server.closeAllConnections();
  await new Promise<void>((resolve) => server.close(() => resolve()));
}
