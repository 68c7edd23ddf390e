import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { LanState, PairingOffer } from '@urvek/contract';
import { X509Certificate } from 'node:crypto';
import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { createServer, request } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve, type Serving } from '../serve.ts';
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
const own = async <T>(path: string, method = 'GET'): Promise<T> => {
  const answer = await fetch(new URL(`api/lan${path}`, serving.url), { method });
  return (answer.status === 204 ? undefined : await answer.json()) as T;
};
const offer = (): Promise<PairingOffer> => own('/offers', 'POST');
const cookieIn = ({ headers }: Answer): string => String(headers['set-cookie']).split(';')[0] as string;
async function pair(name = 'Phone'): Promise<string> {
  const { code } = await offer();
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

  test('a page is led to the pairing page, which carries no script of its own, and the authority may be had', async () => {
    const led = await lan('GET', '/', { headers: { accept: 'text/html' } });
    expect([led.status, led.headers.location]).toEqual([303, '/pair']);
    const page = await lan('GET', '/pair');
    expect(page.status).toBe(200);
    expect(page.body).not.toMatch(/<script>|\son\w+=/);
    expect(String(page.headers['content-security-policy'])).toContain("default-src 'self'");
    expect(String(page.headers['content-security-policy'])).not.toContain("script-src 'unsafe-inline'");
    expect((await lan('GET', '/authority.crt')).body).toBe(ca);
  });
});

describe('pairing', () => {
  test('by the code, once; the cookie is for this host, over HTTPS, out of a script’s reach, and never sent from elsewhere', async () => {
    const { code } = await offer();
    const paired = await lan('POST', '/pair', { body: { code: code.toLowerCase(), name: 'Phone' } });
    expect(paired.status).toBe(204);
    expect(String(paired.headers['set-cookie'])).toMatch(
      /^__Host-urvek-device=[\w-]{43}; Max-Age=\d+; Path=\/; Expires=.*; HttpOnly; Secure; SameSite=Strict$/,
    );
    const cookie = cookieIn(paired);
    expect((await lan('GET', '/api/comparisons', { cookie })).status).toBe(200);
    expect((await lan('POST', '/pair', { body: { code, name: 'Another' } })).status).toBe(403);
  });

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

  test('expired, or guessed: refused, and after five guesses even the right one, for five minutes', async () => {
    const expired = await offer();
    nowMs += OFFER_MS + 1;
    expect((await lan('POST', '/pair', { body: { code: expired.code, name: 'Phone' } })).status).toBe(403);
    const { code } = await offer();
    for (let i = 1; i < ATTEMPTS; i++)
      expect(
        (await lan('POST', '/pair', { body: { code: `WRNG${i}${i}${i}${i}`, name: 'Phone' } })).status,
      ).toBe(403);
    expect((await lan('POST', '/pair', { body: { code, name: 'Phone' } })).status).toBe(429);
    nowMs += OFFER_MS + 1;
    expect((await lan('POST', '/pair', { body: { code, name: 'Phone' } })).status).toBe(403);
    nowMs += OFFER_MS + 1;
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

  test('a page of another origin can do nothing, even with the cookie; nor can another name for this host', async () => {
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
  });

  test('offers are random, and the newest alone stands', () => {
    const pairing = new Pairing(clock);
    const codes = Array.from({ length: 200 }, () => pairing.offer().code);
    expect(new Set(codes).size).toBe(200);
    expect(pairing.redeem({ code: codes[0] })).toBe('unknown');
    expect(pairing.redeem({ code: codes.at(-1) })).toBe('paired');
    expect(pairing.redeem({})).toBe('unknown');
  });
});

describe('the authority', () => {
  test('its key is its owner’s only; the server’s certificate names the address and lasts 397 days at most', async () => {
    expect(statSync(join(folder, 'authority.json')).mode & 0o077).toBe(0);
    const { certificatePem } = await (
      await openAuthority(folder, ['127.0.0.1'], clock)
    ).serverFor('127.0.0.1');
    const certificate = new X509Certificate(certificatePem);
    expect(certificate.subjectAltName).toBe('IP Address:127.0.0.1');
    expect(
      (Date.parse(certificate.validTo) - Date.parse(certificate.validFrom)) / 86_400_000,
    ).toBeLessThanOrEqual(SERVER_DAYS);
    expect(new X509Certificate(ca).ca).toBe(true);
  });

  test('is made once, and anew for another address', async () => {
    expect((await openAuthority(folder, ['127.0.0.1'], clock)).fresh).toBe(false);
    const other = mkdtempSync(join(tmpdir(), 'urvek-lan-'));
    const [first, again, moved] = [
      await openAuthority(other, ['10.0.0.4'], clock),
      await openAuthority(other, ['10.0.0.4'], clock),
      await openAuthority(other, ['10.0.0.9'], clock),
    ];
    expect([first.fresh, again.fresh, moved.fresh]).toEqual([true, false, true]);
    await expect(openAuthority(other, [], clock)).rejects.toThrow('invalid addresses: none');
    await expect(first.serverFor('elsewhere')).rejects.toThrow('invalid address: elsewhere');
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
