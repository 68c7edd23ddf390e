import type { RequestHandler } from 'express';
import { createHash, timingSafeEqual } from 'node:crypto';
import type { IncomingMessage } from 'node:http';
import { cookieOf } from './cookie.ts';
import { isWho, OWNER, refuse, type Who } from './who.ts';

/**
 * The header in which a page sends its key (a crash may lose cookies, and what the page keeps itself stays), and a
 * program the one that was made for it.
 */
export const HEADER = 'X-Urvek-Key';
const YEAR_MS = 365 * 86_400_000;

const digest = (text: string): Buffer => createHash('sha256').update(text).digest();

/** Whether a request has the key of this Urvek: in its address, its header, or the cookie of its port. */
function keyOf(
  key: string,
): (request: IncomingMessage) => { readonly inCookie: boolean; readonly stated: boolean } {
  const wanted = digest(key);
  const fits = (given: unknown): boolean =>
    typeof given === 'string' && timingSafeEqual(digest(given), wanted);
  return ({ headers, url = '/' }) => ({
    inCookie: fits(cookieOf(headers.cookie, cookieName(headers.host))),
    stated: fits(new URL(url, 'http://here').searchParams.get('key')) || fits(headers[HEADER.toLowerCase()]),
  });
}

/** Cookies are of a host, whatever its port: two Urveks on one machine have one each. */
const cookieName = (host: string | undefined): string => `urvek-key-${host?.split(':').at(-1) ?? ''}`;

/** Who asks for a socket on loopback: the owner by the key of this Urvek, or a program by its own. */
export function holderOf(
  key: string | undefined,
  programOf: ProgramOf,
): (request: IncomingMessage) => Promise<Who | undefined> {
  const has = key === undefined ? undefined : keyOf(key);
  return async (request) => {
    const { inCookie, stated } = has?.(request) ?? { inCookie: true, stated: true };
    if (inCookie || stated) return OWNER;
    const given = request.headers[HEADER.toLowerCase()];
    return typeof given === 'string' ? programOf(given) : undefined;
  };
}

/** The program of a key that was made for it. */
export type ProgramOf = (key: string) => Promise<Who | undefined>;

/**
 * Loopback is open to every user of a machine. Here the API answers only to who has the key: it is in the address
 * that the start prints, goes into a cookie when that is opened, and is sent by the page itself. Health tells nothing
 * of anybody, and stays open; so do the parts of the page, which hold no data.
 */
export function onlyWithKey(key: string, programOf: ProgramOf): RequestHandler {
  const has = keyOf(key);
  return async (request, response, next) => {
    const { inCookie, stated } = has(request);
    const name = cookieName(request.headers.host);
    if (stated && !inCookie)
      response.cookie(name, key, { httpOnly: true, sameSite: 'strict', path: '/', maxAge: YEAR_MS });
    if (inCookie || stated || !/^\/api(\/|$)/i.test(request.path) || request.path === '/api/health')
      return next();
    const given = request.get(HEADER);
    const program = given === undefined ? undefined : await programOf(given);
    if (program) {
      isWho(response, program);
      return next();
    }
    return refuse(response, 401, {
      what:
        given === undefined
          ? 'This browser has no key to this Urvek.'
          : 'This key is not one of this Urvek, or it was revoked.',
      kept: 'What was logged here stays here, and is sent once it has one.',
      todo:
        'Open Urvek at the whole address that it printed at its start, with the key in it; ' +
        'it stands in the file .urvek/address, too. A program gets a key of its own under Devices.',
    });
  };
}
