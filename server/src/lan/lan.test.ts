import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { joinCode, type DeviceRole, type LanState, type PairingOffer } from '@urvek/contract';
import { randomUUID, X509Certificate } from 'node:crypto';
import { mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer, request } from 'node:https';
import type { AddressInfo } from 'node:net';
import { networkInterfaces, tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve, type Serving } from '../serve.ts';
import { openDatabase } from '../storage/postgres/database.ts';
import { scratchDatabase } from '../test/scratchDatabase.ts';
import { openAuthority, SERVER_DAYS } from './authority.ts';
import { ATTEMPTS, OFFER_MS, Pairing } from './pairing.ts';

const folder = mkdtempSync(join(tmpdir(), 'urvek-lan-'));
let nowMs = Date.now();
const clock = { now: () => new Date(nowMs) };
let scratch: Awaited<ReturnType<typeof scratchDatabase>>;
let serving: Serving;
let ca = '';

beforeAll(async () => {
  scratch = await scratchDatabase();
  serving = await serve({
    databaseUrl: scratch.url,
    port: 0,
    demo: 'small',
    clock,
    report: (e) => {
      throw e;
    },
    lan: { folder, addresses: ['127.0.0.1'], port: 0 },
  });
  ca = (await openAuthority(folder, ['127.0.0.1'], clock)).certificatePem;
}, 60_000);
afterAll(async () => {
  await serving.close();
  await scratch.drop();
  rmSync(folder, { recursive: true });
});

interface Answer {
  readonly status: number;
  readonly headers: Record<string, string | string[] | undefined>;
  readonly body: string;
}

/** A request over the local network, trusting the authority and nothing else. */
function lan(
  method: string,
  path: string,
  { body, cookie, headers = {} }: { body?: unknown; cookie?: string; headers?: Record<string, string> } = {},
  url = serving.lanUrls[0] as string,
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const sent = request(
      new URL(path, url),
      {
        method,
        ca,
        ...(headers.host === undefined ? {} : { checkServerIdentity: () => undefined }),
        headers: {
          'content-type': 'application/json',
          ...(cookie === undefined ? {} : { cookie }),
          ...headers,
        },
      },
      (response) => {
        let text = '';
        response
          .on('data', (part) => {
            text += String(part);
          })
          .on('end', () =>
            resolve({ status: response.statusCode ?? 0, headers: response.headers, body: text }),
          );
      },
    );
    sent.once('error', reject);
    sent.end(body === undefined ? undefined : JSON.stringify(body));
  });
}
const own = async <T>(path: string, method = 'GET', body?: unknown): Promise<T> => {
  const answer = await fetch(new URL(`api/lan${path}`, serving.url), {
    method,
    headers: { 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  return (answer.status === 204 ? undefined : await answer.json()) as T;
};
const offer = (role: DeviceRole = 'editor'): Promise<PairingOffer> => own('/offers', 'POST', { role });
const cookieIn = ({ headers }: Answer): string => String(headers['set-cookie']).split(';')[0] as string;
async function pair(name = 'Phone', role?: DeviceRole): Promise<string> {
  const { code } = await offer(role);
  return cookieIn(await lan('POST', '/pair', { body: { code, name } }));
}

describe('before pairing', () => {
  test.each([
    ['GET', '/api/comparisons'],
    ['GET', '/api/health'],
    ['POST', '/api/comparisons'],
    ['GET', '/api/lan'],
    ['POST', '/api/lan/offers'],
    ['GET', '/assets/x.js'],
  ])('%s %s is not open', async (method, path) => {
    const { status } = await lan(method, path, { headers: { accept: 'application/json' } });
    expect([401, 303]).toContain(status);
  });

  test(
    'a page is led to the pairing page, which carries no script of its own, and the authority may be ' +
      'had',
    async () => {
      const led = await lan('GET', '/', { headers: { accept: 'text/html' } });
      expect([led.status, led.headers.location]).toEqual([303, '/pair']);
      const page = await lan('GET', '/pair');
      expect(page.status).toBe(200);
      expect(page.body).not.toMatch(/<script>|\son\w+=/);
      expect(String(page.headers['content-security-policy'])).toContain("default-src 'self'");
      expect(String(page.headers['content-security-policy'])).not.toContain("script-src 'unsafe-inline'");
      expect((await lan('GET', '/authority.crt')).body).toBe(ca);
    },
  );
});

describe('pairing', () => {
  test(
    'by the code, once; the cookie is for this host, over HTTPS, out of a script’s reach, and never ' +
      'sent from elsewhere',
    async () => {
      const { code } = await offer();
      const paired = await lan('POST', '/pair', { body: { code: code.toLowerCase(), name: 'Phone' } });
      expect(paired.status).toBe(204);
      expect(String(paired.headers['set-cookie'])).toMatch(
        /^__Host-urvek-device=[\w-]{43}; Max-Age=\d+; Path=\/; Expires=.*; HttpOnly; Secure; SameSite=Strict$/,
      );
      const cookie = cookieIn(paired);
      expect((await lan('GET', '/api/comparisons', { cookie })).status).toBe(200);
      expect((await lan('POST', '/pair', { body: { code, name: 'Another' } })).status).toBe(403);
    },
  );

  test('by the secret in the fragment: 128 bits, once', async () => {
    const {
      links: [link = ''],
    } = await offer();
    const secret = new URL(link).hash.slice(1);
    expect(Buffer.from(secret, 'base64url')).toHaveLength(16);
    expect((await lan('POST', '/pair', { body: { secret, name: 'Phone' } })).status).toBe(204);
    expect((await lan('POST', '/pair', { body: { secret, name: 'Phone' } })).status).toBe(403);
    nowMs += OFFER_MS + 1;
  });

  test('expired: refused; five guesses of one address shut out that address alone, and never the secret', async () => {
    const expired = await offer();
    nowMs += OFFER_MS + 1;
    expect((await lan('POST', '/pair', { body: { code: expired.code, name: 'Phone' } })).status).toBe(403);
    // Where no offer stands, a wrong code is no guess.
    for (let i = 0; i < 2 * ATTEMPTS; i++)
      expect((await lan('POST', '/pair', { body: { code: 'WRNGWRNG', name: 'Phone' } })).status).toBe(403);
    const { code, links } = await offer();
    for (let i = 0; i < ATTEMPTS; i++)
      expect(
        (await lan('POST', '/pair', { body: { code: `WRNG${i}${i}${i}${i}`, name: 'Phone' } })).status,
      ).toBe(403);
    expect((await lan('POST', '/pair', { body: { code, name: 'Phone' } })).status).toBe(429);
    const secret = new URL(links[0] ?? '').hash.slice(1);
    expect((await lan('POST', '/pair', { body: { secret, name: 'Phone' } })).status).toBe(204);
    // A new offer is a new chance.
    const next = await offer();
    expect((await lan('POST', '/pair', { body: { code: next.code, name: 'Phone' } })).status).toBe(204);
    expect((await own<LanState>('')).trail.map((t) => t.what)).toEqual(
      expect.arrayContaining([
        'tried too many wrong codes',
        'paired “Phone”, editor',
        'made a code to pair, editor',
      ]),
    );
  });

  test('an offer holds over a restart, and for a second server on the same database', async () => {
    const database = await openDatabase(scratch.url, { migrate: false });
    const [one, two] = [new Pairing(database, clock), new Pairing(database, clock)];
    const codes: string[] = [];
    for (let i = 0; i < 50; i++) codes.push((await one.offer('logger')).code);
    expect(new Set(codes).size).toBe(50);
    // The newest alone stands, and once.
    expect(await two.redeem('10.0.0.1', { code: codes[0] })).toBe('unknown');
    for (let i = 1; i < ATTEMPTS; i++) await two.redeem('10.0.0.1', { code: 'WRNGWRNG' });
    expect(await one.redeem('10.0.0.1', { code: codes.at(-1) })).toBe('too many attempts');
    expect(await two.redeem('10.0.0.2', { code: codes.at(-1) })).toEqual({ role: 'logger' });
    expect(await one.redeem('10.0.0.2', { code: codes.at(-1) })).toBe('unknown');
    expect(await one.redeem('10.0.0.2', {})).toBe('unknown');
    await database.destroy();
  });

  test('a logger logs and reads; an editor changes comparisons; private parts are the owner’s', async () => {
    const [logs, edits] = [await pair('Logs', 'logger'), await pair('Edits', 'editor')];
    const status = async (cookie: string, method: string, path: string, body?: unknown): Promise<number> =>
      (await lan(method, path, { cookie, ...(body === undefined ? {} : { body }) })).status;
    const made = { id: randomUUID(), title: 'From afar', question: '' };
    expect(await status(logs, 'POST', '/api/comparisons', made)).toBe(403);
    expect(await status(edits, 'POST', '/api/comparisons', made)).toBe(201);
    const at = `/api/comparisons/${made.id}`;
    for (const cookie of [logs, edits]) {
      expect(await status(cookie, 'GET', at)).toBe(200);
      expect(await status(cookie, 'GET', `${at}/comparison.json`)).toBe(cookie === edits ? 200 : 403);
      expect(await status(cookie, 'GET', `${at}/comparison.json?private=kept`)).toBe(403);
      expect(await status(cookie, 'DELETE', at)).toBe(403);
    }
    expect(
      await status(edits, 'POST', '/api/jobs', {
        comparisonId: made.id,
        name: 'comparison.json',
        withPrivate: true,
      }),
    ).toBe(403);
    expect(await status(logs, 'PUT', `${at}/aside`, { reason: 'no' })).toBe(403);
    expect(await status(edits, 'PUT', `${at}/aside`, { reason: 'made by mistake' })).toBe(204);
    const walk = {
      id: randomUUID(),
      comparisonId: made.id,
      productId: 'p',
      rigId: 'r',
      pathId: 'q',
      startedMs: 1,
    };
    expect(await status(logs, 'PUT', `/api/walks/${walk.id}`, walk)).toBe(204);
    expect(await status(logs, 'POST', `/api/walks/${walk.id}/events`, { events: [] })).toBe(200);
    expect((await own<LanState>('')).trail[0]).toMatchObject({
      who: 'Edits',
      what: 'set aside the comparison “From afar”: made by mistake',
    });
  });

  test('a logger reads the walks that it logged or joined; of others it knows that they were made', async () => {
    const [mine, other, edits] = [
      await pair('Mine', 'logger'),
      await pair('Other', 'logger'),
      await pair('Edits', 'editor'),
    ];
    const ask = async (
      cookie: string,
      method: string,
      path: string,
      body?: unknown,
    ): Promise<{ status: number; said: unknown }> => {
      const { status, body: text } = await lan(method, `/api${path}`, {
        cookie,
        ...(body === undefined ? {} : { body }),
      });
      return { status, said: text === '' ? undefined : JSON.parse(text) };
    };
    const comparisonId = randomUUID();
    await ask(edits, 'POST', '/comparisons', { id: comparisonId, title: 'Two walkers', question: '' });
    const header = {
      id: randomUUID(),
      comparisonId,
      productId: 'p',
      rigId: 'r',
      pathId: 'q',
      startedMs: nowMs,
    };
    const at = `/walks/${header.id}`;
    const time = { walkS: 0, rate: 1, inputMs: 0, originMs: 0, wallMs: 0 };
    const deviceId = randomUUID();
    const note = {
      walkId: header.id,
      deviceId,
      seq: 1,
      version: 1,
      kind: 'note',
      time,
      body: { text: 'heard' },
    };
    expect((await ask(mine, 'PUT', at, header)).status).toBe(204);
    expect((await ask(mine, 'POST', `${at}/events`, { events: [note] })).status).toBe(200);
    const findings = async (cookie: string) =>
      (await ask(cookie, 'GET', `/comparisons/${comparisonId}/findings`)).said as {
        walks: { header: { id: string; rigId: string }; entries: number; withheld?: true }[];
      };
    for (const cookie of [mine, edits])
      expect((await findings(cookie)).walks).toMatchObject([{ header, entries: 1 }]);
    // What is not finished is nobody else's matter.
    expect((await findings(other)).walks).toEqual([]);
    const end = { ...note, seq: 2, kind: 'end', body: { reason: 'time' } };
    await ask(mine, 'POST', `${at}/events`, { events: [end] });
    const [seen] = (await findings(other)).walks;
    expect(seen).toMatchObject({ header: { rigId: 'r' }, entries: 0, derived: null, withheld: true });
    expect(seen?.header.id).not.toBe(header.id);
    expect((await ask(other, 'GET', `/walks/${seen?.header.id}/events`)).status).toBe(404);
    for (const [method, body] of [
      ['GET', undefined],
      ['POST', { events: [{ ...note, seq: 3 }] }],
    ] as const)
      expect((await ask(other, method, `${at}/events`, body)).status).toBe(404);
    const held = { logs: [{ walkId: header.id, deviceId }] };
    expect((await ask(other, 'POST', '/walks/held', held)).said).toEqual([]);
    expect((await ask(mine, 'POST', '/walks/held', held)).said).toMatchObject([{ highest: 2, count: 2 }]);
    expect((await ask(other, 'GET', `/comparisons/${comparisonId}/files/events.csv`)).status).toBe(403);
    expect((await ask(other, 'POST', '/jobs', { comparisonId, name: 'events.csv' })).status).toBe(403);
    expect((await ask(other, 'DELETE', at)).status).toBe(403);
    // Joined by the code that stands on the walker's screen.
    expect((await ask(other, 'GET', `/join/${joinCode(header.id)}`)).said).toEqual(header);
    expect((await ask(other, 'GET', `${at}/events`)).said).toEqual([note, end]);
    // The same phone paired anew has its header still, and its own walk again.
    const anew = await pair('Mine again', 'logger');
    expect((await ask(anew, 'GET', `${at}/events`)).status).toBe(404);
    await ask(anew, 'PUT', at, header);
    expect((await ask(anew, 'GET', `${at}/events`)).status).toBe(200);
  });

  test('an address that nobody knows is heard so often a minute, and no more', async () => {
    const other = await serve({
      databaseUrl: scratch.url,
      port: 0,
      demo: 'none',
      clock,
      report: () => undefined,
      lan: { folder, addresses: ['127.0.0.1'], port: 0, current: () => ['127.0.0.1', '10.9.8.7'] },
    });
    const statuses: number[] = [];
    for (let i = 0; i < 130; i++)
      statuses.push((await lan('GET', '/api/comparisons', {}, other.lanUrls[0] as string)).status);
    expect([...new Set(statuses)]).toEqual([401, 429]);
    // One that is paired is not meant.
    const cookie = await pair();
    expect((await lan('GET', '/api/comparisons', { cookie }, other.lanUrls[0] as string)).status).toBe(200);
    const state = (await (await fetch(new URL('api/lan', other.url))).json()) as LanState;
    expect(state.changed).toEqual({ got: ['10.9.8.7'], lost: [] });
    await other.close();
  });

  test('a revoked device is shut out at once; a paired one cannot pair or revoke others', async () => {
    const [keeps, goes] = [await pair('Stays'), await pair('Goes')];
    expect((await lan('POST', '/api/lan/offers', { cookie: keeps })).status).toBe(404);
    expect((await lan('GET', '/api/lan', { cookie: keeps })).status).toBe(404);
    const { devices } = await own<LanState>('');
    const id = devices.find((d) => d.name === 'Goes' && !d.revoked)?.id as string;
    expect((await fetch(new URL(`api/lan/devices/${id}`, serving.url), { method: 'DELETE' })).status).toBe(
      204,
    );
    expect((await lan('GET', '/api/comparisons', { cookie: goes })).status).toBe(401);
    expect((await lan('GET', '/api/comparisons', { cookie: keeps })).status).toBe(200);
    expect((await own<LanState>('')).devices.find((d) => d.id === id)?.revoked).toBe(true);
    expect((await fetch(new URL('api/lan/devices/none', serving.url), { method: 'DELETE' })).status).toBe(
      404,
    );
  });

  test(
    'a page of another origin can do nothing, even with the cookie; nor can another name for this ' + 'host',
    async () => {
      const cookie = await pair();
      expect(
        (await lan('GET', '/api/comparisons', { cookie, headers: { origin: 'https://elsewhere.example' } }))
          .status,
      ).toBe(403);
      expect(
        (
          await lan('POST', '/pair', {
            body: { code: 'X', name: 'x' },
            headers: { origin: 'https://elsewhere.example' },
          })
        ).status,
      ).toBe(403);
      expect(
        (await lan('GET', '/api/comparisons', { cookie, headers: { host: 'rebound.example' } })).status,
      ).toBe(403);
    },
  );
});

describe('the authority', () => {
  test(
    'its key is its owner’s only; the server’s certificate names the address and lasts 397 days at ' + 'most',
    async () => {
      for (const name of readdirSync(folder)) expect(statSync(join(folder, name)).mode & 0o077).toBe(0);
      const { certificatePem } = await (
        await openAuthority(folder, ['127.0.0.1'], clock)
      ).serverFor('127.0.0.1');
      const certificate = new X509Certificate(certificatePem);
      expect(certificate.subjectAltName).toBe('IP Address:127.0.0.1');
      expect(
        (Date.parse(certificate.validTo) - Date.parse(certificate.validFrom)) / 86_400_000,
      ).toBeLessThanOrEqual(SERVER_DAYS);
      expect(new X509Certificate(ca).ca).toBe(true);
    },
  );

  test('is made once, and anew for another address', async () => {
    expect((await openAuthority(folder, ['127.0.0.1'], clock)).fresh).toBe(false);
    const other = mkdtempSync(join(tmpdir(), 'urvek-lan-'));
    const [first, again, moved] = [
      await openAuthority(other, ['10.0.0.4'], clock),
      await openAuthority(other, ['10.0.0.4'], clock),
      await openAuthority(other, ['10.0.0.9'], clock),
    ];
    const back = await openAuthority(other, ['10.0.0.4'], clock);
    expect([first.fresh, again.fresh, moved.fresh, back.fresh]).toEqual([true, false, true, false]);
    expect(back.certificatePem).toBe(first.certificatePem);
    // One that is torn vouches for nothing, and another takes its place.
    for (const name of readdirSync(other)) writeFileSync(join(other, name), '{');
    expect((await openAuthority(other, ['10.0.0.4'], clock)).fresh).toBe(true);
    await expect(openAuthority(other, [], clock)).rejects.toThrow('invalid addresses: none');
    await expect(first.serverFor('elsewhere')).rejects.toThrow('invalid address: elsewhere');
    rmSync(other, { recursive: true });
  });

  const six = Object.values(networkInterfaces()).some((l) => l?.some((i) => i.address === '::1'));
  (six ? test : test.skip)(six ? 'serves an address of IPv6' : 'not run: needs IPv6', async () => {
    const other = mkdtempSync(join(tmpdir(), 'urvek-lan-'));
    const authority = await openAuthority(other, ['::1'], clock);
    const reach = async (): Promise<string> => {
      const { keyPem, certificatePem } = await authority.serverFor('::1');
      const host = createServer(
        { key: keyPem, cert: certificatePem + authority.certificatePem },
        (_, response) => response.end('trusted'),
      );
      await new Promise<void>((resolve) => host.listen(0, '::1', resolve));
      const { port } = host.address() as AddressInfo;
      const said = await new Promise<string>((resolve, reject) =>
        request({ host: '::1', port, ca: authority.certificatePem }, (answer) =>
          answer.on('data', (data) => resolve(String(data))),
        )
          .once('error', reject)
          .end(),
      );
      await new Promise((resolve) => host.close(resolve));
      return said;
    };
    expect(await reach()).toBe('trusted');
    const { certificatePem } = await authority.serverFor('fd00::1');
    expect(new X509Certificate(certificatePem).subjectAltName).toBe('IP Address:FD00:0:0:0:0:0:0:1');
    rmSync(other, { recursive: true });
  });

  test('cannot vouch for an address that it was not made for: OpenSSL refuses what it signs', async () => {
    const { keyPem, certificatePem } = await (
      await openAuthority(folder, ['127.0.0.1'], clock)
    ).serverFor('127.0.0.2');
    const impostor = createServer(
      { key: keyPem, cert: certificatePem + ca },
      (_request, response) => void response.end('trusted'),
    );
    await new Promise<void>((resolve) => impostor.listen(0, '127.0.0.2', resolve));
    await expect(
      lan('GET', '/', {}, `https://127.0.0.2:${(impostor.address() as AddressInfo).port}/`),
    ).rejects.toThrow(/permitted subtree violation/i);
    await new Promise((resolve) => impostor.close(resolve));
  });
});
