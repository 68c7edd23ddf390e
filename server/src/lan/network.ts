import ipaddr from 'ipaddr.js';
import type { Server } from 'node:http';
import { createServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { networkInterfaces } from 'node:os';
import type { DataSource } from 'typeorm';
import { createApp } from '../api/app.ts';
import { isFromHere } from '../api/guard.ts';
import { openGearSockets } from '../gear/sockets.ts';
import { shutOthers } from '../sockets.ts';
import { openProbeSockets } from '../probe/sockets.ts';
import type { Clock } from '../clock.ts';
import type { Parts } from '../api/parts.ts';
import { openAuthority } from './authority.ts';
import { Devices } from './devices.ts';
import { onlyPaired, pairedOf, pairingRoutes } from './gate.ts';
import { Pairing } from './pairing.ts';

export interface LanOptions {
  /** Where the authority is kept. */
  readonly folder: string;
  readonly addresses: readonly string[];
  readonly port: number;
  /** The addresses that this host has now. */
  readonly current?: () => readonly string[];
}

/** What is open on the local network. */
export interface Network {
  readonly urls: readonly string[];
  readonly freshAuthority: boolean;
  /** What has changed of this host's addresses since. */
  changed(): { readonly got: readonly string[]; readonly lost: readonly string[] };
  readonly certificatePem: string;
  readonly pairing: Pairing;
  close(): Promise<void>;
}

/**
 * This host’s private addresses: a public one is never served on, and one that holds on a single link only (IPv6
 * fe80) cannot be typed into a browser.
 * @public for the start command
 */
export const privateAddresses = (): string[] =>
  Object.values(networkInterfaces()).flatMap((list) =>
    (list ?? []).flatMap((i) => (!i.internal && isPrivate(i.address) ? [i.address] : [])),
  );

function isPrivate(address: string): boolean {
  const at = ipaddr.parse(address);
  const range = at.range();
  return range === 'private' || range === 'uniqueLocal' || (range === 'linkLocal' && at.kind() === 'ipv4');
}

/** As it stands in an address of the web. */
const inUrl = (address: string): string => (address.includes(':') ? `[${address}]` : address);

/** One HTTPS server an address, each with a certificate for that address only. */
export async function openNetwork(
  { folder, addresses, port, current = () => addresses }: LanOptions,
  {
    database,
    parts,
    clock,
    webRoot,
    report,
  }: { database: DataSource; parts: Parts; clock: Clock; webRoot?: string; report: (error: unknown) => void },
): Promise<Network> {
  const authority = await openAuthority(folder, addresses, clock);
  const pairing = new Pairing(database, clock);
  const devices = new Devices(database, clock);
  const servers: Server[] = [];
  const sockets: (() => void)[] = [];
  const close = async (): Promise<void> => {
    for (const end of sockets) end();
    await Promise.all(servers.map(closed));
  };
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
        before: [
          pairingRoutes(pairing, devices, parts.storage, authority.certificatePem),
          onlyPaired(devices),
        ],
      });
      const server = createServer(
        { key: keyPem, cert: certificatePem + authority.certificatePem, minVersion: 'TLSv1.2' },
        app,
      );
      sockets.push(
        openProbeSockets(server, parts.desk, (request) => isFromHere(request, authorities, 'https')),
        openGearSockets(server, parts.storage, async (request) =>
          isFromHere(request, authorities, 'https') ? pairedOf(devices, request) : undefined,
        ),
      );
      shutOthers(server);
      await listen(server, port, address);
      servers.push(server);
      const taken = (server.address() as AddressInfo).port;
      authorities.add(`${inUrl(address)}:${taken}`);
      urls.push(`https://${inUrl(address)}:${taken}/`);
    }
  } catch (error) {
    await close();
    throw error;
  }
  return {
    urls,
    freshAuthority: authority.fresh,
    changed: () => {
      const now = current();
      return {
        got: now.filter((a) => !addresses.includes(a)),
        lost: addresses.filter((a) => !now.includes(a)),
      };
    },
    certificatePem: authority.certificatePem,
    pairing,
    close,
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
