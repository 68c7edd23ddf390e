import type { Request, RequestHandler } from 'express';

/** What a body may be at the most, told while it comes in, before anything is built from it. */
export interface BodyLimits {
  readonly bytes: number;
  /** Values, about: brackets, braces and commas outside of texts. */
  readonly values: number;
}

/** Deeper than this nothing of ours goes. */
const DEEPEST = 100;

/** Why a body is not taken. `status` is the answer's. */
export class BadBody extends Error {
  override readonly name = 'BadBody';

  constructor(
    readonly status: 400 | 413 | 415,
    message: string,
  ) {
    super(message);
  }
}

const [QUOTE, BACKSLASH, COMMA] = [0x22, 0x5c, 0x2c];
const OPENING = new Set([0x5b, 0x7b]);
const CLOSING = new Set([0x5d, 0x7d]);

/** Follows JSON in UTF-8 byte by byte: how deep it is nested, and how much it holds. */
class Nesting {
  private depth = 0;
  private values = 0;
  private inText = false;
  private escaped = false;

  constructor(private readonly most: number) {}

  /** @throws BadBody as soon as it is too deep or too much */
  take(bytes: Uint8Array): void {
    for (const byte of bytes) {
      if (this.escaped) this.escaped = false;
      else if (byte === QUOTE) this.inText = !this.inText;
      else if (this.inText) this.escaped = byte === BACKSLASH;
      else if (byte === COMMA) this.values++;
      else if (OPENING.has(byte)) {
        this.values++;
        if (++this.depth > DEEPEST) throw new BadBody(413, `it is nested deeper than ${DEEPEST} levels`);
      } else if (CLOSING.has(byte)) this.depth--;
    }
    if (this.values > this.most) throw new BadBody(413, `it holds more than ${this.most} values`);
  }
}

/** JSON, in UTF-8, as it is. */
function checkHeaders({ headers }: Request): void {
  const type = headers['content-type'] ?? '';
  if (!/^application\/json\s*(;|$)/i.test(type)) throw new BadBody(415, 'its type is not application/json');
  const charset = /charset\s*=\s*"?([^\s";]+)/i.exec(type)?.[1] ?? 'utf-8';
  if (!/^utf-?8$/i.test(charset)) throw new BadBody(415, 'its signs are not in UTF-8');
  if (!/^(identity)?$/i.test(headers['content-encoding'] ?? '')) throw new BadBody(415, 'it is compressed');
}

async function readText(request: Request, { bytes, values }: BodyLimits): Promise<string> {
  checkHeaders(request);
  const nesting = new Nesting(values);
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request as AsyncIterable<Uint8Array>) {
    size += chunk.length;
    if (size > bytes) throw new BadBody(413, `it is larger than ${bytes / 1e6} MB`);
    nesting.take(chunk);
    chunks.push(chunk);
  }
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(Buffer.concat(chunks));
  } catch {
    throw new BadBody(400, 'its signs are not UTF-8');
  }
}

const hasBody = ({ method, headers }: Request): boolean =>
  method !== 'GET' &&
  method !== 'HEAD' &&
  (headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0);

/** The body as text, for what is parsed elsewhere. */
export function textBody(limits: BodyLimits): RequestHandler {
  return async (request, _response, next) => {
    request.body = hasBody(request) ? await readText(request, limits) : '';
    next();
  };
}

/** The body out of JSON; null where there is none, which no schema takes. */
export function jsonBody(limits: BodyLimits): RequestHandler {
  return async (request, _response, next) => {
    request.body = hasBody(request) ? parsed(await readText(request, limits)) : null;
    next();
  };
}

/** @throws BadBody */
export function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new BadBody(400, 'it is not readable JSON');
  }
}
