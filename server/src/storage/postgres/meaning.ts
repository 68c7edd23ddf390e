import { Unavailable, Unstorable } from '../port.ts';

/**
 * Codes by which PostgreSQL or the network says that it is away: shut down, crashed, starting (57P01 to 57P05); a
 * statement that was cut off (57014); connections (class 08, but for 08P01, which is a fault of ours), or too many of
 * them (53300); its disk or memory full (53100, 53200); another user's, or no password any more (class 28); no such
 * database (3D000); PostgreSQL manual, appendix A.
 */
const AWAY = /^(57P0[1-5]|57014|08(?!P01)...|53[123]00|28...|3D000)$/;
const NETWORK = new Set([
  ...['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT'],
  ...['ENOTFOUND', 'EAI_AGAIN', 'EHOSTUNREACH'],
]);
/** What the driver says in words only. */
const AWAY_WORDS = [
  'Connection terminated',
  'timeout exceeded when trying to connect',
  'Query read timeout',
  'Driver not Connected',
  'Client has encountered a connection error',
];

/** A value that no column holds (class 22). */
const NO_VALUE = /^22...$/;

/** An error of the driver as what it means to others; undefined for a fault of ours. */
export function meaningOf(error: unknown): Unavailable | Unstorable | undefined {
  if (error instanceof Unavailable || error instanceof Unstorable) return error;
  const {
    code,
    driverError,
    errors,
    message = '',
  } = error as {
    code?: unknown;
    driverError?: unknown;
    errors?: readonly unknown[];
    message?: string;
  };
  const [first] = errors ?? [];
  const cause = driverError ?? first;
  if (cause !== undefined && cause !== error) {
    const found = meaningOf(cause);
    if (found) return found;
  }
  if (typeof code === 'string' && NO_VALUE.test(code)) return new Unstorable(message);
  const away = typeof code === 'string' && (AWAY.test(code) || NETWORK.has(code));
  return away || AWAY_WORDS.some((words) => message.startsWith(words))
    ? new Unavailable(message === '' ? String(code) : message)
    : undefined;
}
