import type { Problem } from '@urvek/contract';
import type { RequestHandler } from 'express';
import type { IncomingMessage } from 'node:http';

/** It names this server in its Host, and comes from its own pages where it says from where. */
export const isFromHere = (
  { headers: { host = '', origin } }: IncomingMessage,
  authorities: ReadonlySet<string>,
  protocol: 'http' | 'https',
): boolean =>
  authorities.has(host) &&
  (origin === undefined || [...authorities].some((a) => origin === `${protocol}://${a}`));

/**
 * A page from elsewhere must not reach an instrument on this machine: a request names this server in its
 * Host (which a rebound name does not) and, when it has an Origin, comes from this server's own pages.
 */
export function onlyFromHere(
  authorities: () => ReadonlySet<string>,
  protocol: 'http' | 'https' = 'http',
): RequestHandler {
  return (request, response, next) => {
    const crossSite =
      request.headers['sec-fetch-site'] === 'cross-site' && /^\/api(\/|$)/i.test(request.path);
    if (!crossSite && isFromHere(request, authorities(), protocol)) return next();
    const problem: Problem = {
      code: 'refused',
      what: 'This address or page may not talk to Urvek.',
      kept: 'Nothing was changed.',
      todo: 'Open Urvek at the address that it printed at the start.',
    };
    response.status(403).json(problem);
  };
}
