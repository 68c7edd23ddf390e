import type { RequestHandler } from 'express';
import { createHash, timingSafeEqual } from 'node:crypto';
import { cookieOf } from './cookie.ts';
import { refuse } from './who.ts';

/** The header in which a page sends its key: a crash may lose cookies, and what the page keeps itself stays. */
const HEADER = 'X-Urvek-Key';
const YEAR_MS = 365 * 86_400_000;

const digest = (text: string): Buffer => createHash('sha256').update(text).digest();

/**
 * Loopback is open to every user of a machine. Here the API answers only to who has the key: it is in the address
 * that the start prints, goes into a cookie when that is opened, and is sent by the page itself. Health tells nothing
 * of anybody, and stays open; so do the parts of the page, which hold no data.
 */
export function onlyWithKey(key: string): RequestHandler {
  const wanted = digest(key);
  const fits = (given: unknown): boolean =>
    typeof given === 'string' && timingSafeEqual(digest(given), wanted);
  return (request, response, next) => {
    // Cookies are of a host, whatever its port: two Urveks on one machine have one each.
    const name = `urvek-key-${request.headers.host?.split(':').at(-1) ?? ''}`;
    const inCookie = fits(cookieOf(request.headers.cookie, name));
    const stated = fits(request.query.key) || fits(request.get(HEADER));
    if (stated && !inCookie)
      response.cookie(name, key, { httpOnly: true, sameSite: 'strict', path: '/', maxAge: YEAR_MS });
    if (inCookie || stated || !/^\/api(\/|$)/i.test(request.path) || request.path === '/api/health')
      return next();
    return refuse(response, 401, {
      what: 'This browser has no key to this Urvek.',
      kept: 'What was logged here stays here, and is sent once it has one.',
      todo:
        'Open Urvek at the whole address that it printed at its start, with the key in it; ' +
        'it stands in the file .urvek/address, too.',
    });
  };
}
