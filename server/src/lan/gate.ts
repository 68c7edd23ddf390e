import * as yup from 'yup';
import type { Problem } from '@urvek/contract';
import { Router, type RequestHandler } from 'express';
import { join } from 'node:path';
import { jsonBody } from '../api/body.ts';
import type { Devices } from './devices.ts';
import type { Pairing } from './pairing.ts';

/** `__Host-`: over HTTPS only, for this very host, for all of it. */
export const COOKIE = '__Host-urvek-device';
const YEAR_MS = 365 * 86_400_000;
const PAGE = join(import.meta.dirname, 'page');

const cookieOf = (header: string | undefined): string | undefined =>
  header
    ?.split(';')
    .map((part) => part.trim())
    .find((part) => part.startsWith(`${COOKIE}=`))
    ?.slice(COOKIE.length + 1);

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
export function pairingRoutes(pairing: Pairing, devices: Devices, certificatePem: string): Router {
  const router = Router();
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
    const result = pairing.redeem(given);
    if (result !== 'paired') {
      const problem: Problem =
        result === 'unknown'
          ? {
              code: 'refused',
              what: 'This code is wrong, was used, or has expired.',
              kept: 'This device was not paired.',
              todo: 'Make a new code on the machine that runs Urvek, under Devices.',
            }
          : {
              code: 'refused',
              what: 'Too many wrong codes.',
              kept: 'This device was not paired.',
              todo: 'Wait five minutes, then make a new code.',
            };
      response.status(result === 'unknown' ? 403 : 429).json(problem);
      return;
    }
    response.cookie(COOKIE, await devices.add(name), {
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

/** Lets paired devices through. A page is led to the pairing page; anything else is told. */
export function onlyPaired(devices: Devices): RequestHandler {
  return async (request, response, next) => {
    const token = cookieOf(request.headers.cookie);
    if (token !== undefined && (await devices.knows(token))) return next();
    if (request.method === 'GET' && request.accepts('html') !== false && !request.path.startsWith('/api'))
      return response.redirect(303, '/pair');
    const problem: Problem = {
      code: 'refused',
      what: 'This device is not paired, or was revoked.',
      kept: 'What it logged stays on it.',
      todo: 'Pair it: make a code on the machine that runs Urvek, under Devices.',
    };
    response.status(401).json(problem);
    return undefined;
  };
}
