import * as yup from 'yup';
import { Router, type Request, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import type { IncomingMessage } from 'node:http';
import { join } from 'node:path';
import { jsonBody } from '../api/body.ts';
import { cookieOf } from '../api/cookie.ts';
import { HEADER } from '../api/key.ts';
import { isWho, refuse, type Who } from '../api/who.ts';
import type { Storage } from '../storage/port.ts';
import type { Devices } from './devices.ts';
import type { Pairing } from './pairing.ts';

/** `__Host-`: over HTTPS only, for this very host, for all of it. */
export const COOKIE = '__Host-urvek-device';
const YEAR_MS = 365 * 86_400_000;
const PAGE = join(import.meta.dirname, 'page');

/** So many requests a minute an address may make that nobody knows. */
const STRANGER_LIMIT = 120;

const unauthenticated = (): RequestHandler =>
  rateLimit({
    windowMs: 60_000,
    limit: STRANGER_LIMIT,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_request, response) =>
      refuse(response, 429, {
        what: 'Too many requests from an address that is not paired.',
        kept: 'Nothing was changed.',
        todo: 'Wait a minute, then pair this device.',
      }),
  });

const addressOf = (request: Request): string => request.socket.remoteAddress ?? 'nowhere';

const redeemSchema = yup
  .object({
    secret: yup.string().max(64),
    code: yup.string().max(32),
    name: yup.string().trim().required().max(60),
  })
  .noUnknown();

/**
 * On the local network nothing is open but the page that pairs, and the authority's certificate, which is
 * public.
 */
export function pairingRoutes(
  pairing: Pairing,
  devices: Devices,
  storage: Storage,
  certificatePem: string,
): Router {
  const router = Router();
  router.use(['/pair', '/pair.js', '/authority.crt'], unauthenticated());
  router.get('/pair', (_request, response) =>
    response.set('Cache-Control', 'no-store').sendFile(join(PAGE, 'pair.html')),
  );
  router.get('/pair.js', (_request, response) =>
    response.set('Cache-Control', 'no-store').sendFile(join(PAGE, 'pair.js')),
  );
  router.get(
    '/authority.crt',
    (_request, response) =>
      void response.type('application/x-x509-ca-cert').attachment('urvek-authority.crt').send(certificatePem),
  );
  router.post('/pair', jsonBody({ bytes: 2000, values: 20 }), async (request, response) => {
    const { name, ...given } = await redeemSchema.validate(request.body, { strict: true });
    const result = await pairing.redeem(addressOf(request), given);
    if (typeof result === 'string') {
      if (result === 'too many attempts')
        await storage.note(addressOf(request), 'tried too many wrong codes');
      refuse(response, result === 'unknown' ? 403 : 429, {
        what:
          result === 'unknown'
            ? 'This code is wrong, was used, or has expired.'
            : 'Too many wrong codes from this device.',
        kept: 'This device was not paired.',
        todo: 'Make a new code on the machine that runs Urvek, under Devices.',
      });
      return;
    }
    await storage.note(addressOf(request), `paired “${name}”, ${result.role}`);
    response.cookie(COOKIE, await devices.add(name, result.role), {
      httpOnly: true,
      secure: true,
      sameSite: 'strict',
      path: '/',
      maxAge: YEAR_MS,
    });
    response.status(204).end();
  });
  return router;
}

/** The paired device, or the program by its key, that a request comes from. */
export async function pairedOf(devices: Devices, { headers }: IncomingMessage): Promise<Who | undefined> {
  const token = headers[HEADER.toLowerCase()] ?? cookieOf(headers.cookie, COOKIE);
  return typeof token === 'string' ? devices.known(token) : undefined;
}

/** Lets paired devices through, and programs by their key. A page is led to the pairing page; anything else is told. */
export function onlyPaired(devices: Devices): RequestHandler {
  const limited = unauthenticated();
  return async (request, response, next) => {
    const device = await pairedOf(devices, request);
    if (device) {
      isWho(response, device);
      return next();
    }
    return limited(request, response, () => {
      if (
        request.method === 'GET' &&
        request.accepts('html') !== false &&
        !/^\/api(\/|$)/i.test(request.path)
      )
        return response.redirect(303, '/pair');
      return refuse(response, 401, {
        what: 'This device is not paired, or was revoked.',
        kept: 'What it logged stays on it.',
        todo: 'Pair it: make a code on the machine that runs Urvek, under Devices.',
      });
    });
  };
}
