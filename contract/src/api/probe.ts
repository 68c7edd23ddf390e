import * as yup from 'yup';

/** Connections of one run of a probe; each has its own, so that none waits behind another. */
export const PROBE_ROLES = ['control', 'down', 'up', 'echo'] as const;
export type ProbeRole = (typeof PROBE_ROLES)[number];

/** Where they are opened, with the ticket of the run. */
export const PROBE_SOCKET_PATH = '/api/probe/socket';

/** The most that one run may take. */
export const MOST_PROBE_S = 120;
export const MOST_PROBE_BYTES = 4e9;
export const MOST_STREAMS = 6;

/** The server measures for one at a time: this is the right to be that one. */
export interface ProbeTicket {
  readonly ticket: string;
  /** Client and server are one machine: no link lies between, and nothing that is read is a result. */
  readonly sameMachine: boolean;
}

/** A ticket is asked for with what it is for. */
export const probeAskSchema = yup
  .object({ seconds: yup.number().integer().min(1).max(MOST_PROBE_S).required() })
  .noUnknown();

/**
 * How datagrams go: a page has a channel of WebRTC, whose offer and answer are SDP; a program has plain UDP, whose
 * offer is a word by which the server knows it, and the answer the port that awaits it.
 */
export const DATAGRAM_KINDS = ['channel', 'plain'] as const;
export type DatagramKind = (typeof DATAGRAM_KINDS)[number];

/** What the device says on the control connection. */
export type ProbeAsk =
  | { readonly say: 'count'; readonly on: boolean }
  | { readonly say: 'offer'; readonly kind: DatagramKind; readonly text: string }
  | { readonly say: 'send datagrams'; readonly count: number; readonly everyMs: number }
  | { readonly say: 'arrivals' }
  | { readonly say: 'load' };

/** What the server says on it. */
export type ProbeTell =
  | { readonly say: 'counted'; readonly atMs: number; readonly bytes: number }
  | { readonly say: 'answer'; readonly text: string }
  | { readonly say: 'no datagrams'; readonly why: string }
  | {
      readonly say: 'arrivals';
      readonly arrivals: readonly (readonly [seq: number, sentMs: number, cameMs: number])[];
    }
  | { readonly say: 'load'; readonly longestLagMs: number; readonly cpuShare: number };

/** A datagram begins with its number and when it was sent, and is filled up with noise. */
export const DATAGRAM_BYTES = 200;

export function writeDatagram(into: Uint8Array, seq: number, sentMs: number): void {
  const view = new DataView(into.buffer, into.byteOffset, into.byteLength);
  view.setUint32(0, seq);
  view.setFloat64(4, sentMs);
}

/** @throws RangeError for what is too short to be one */
export function readDatagram(bytes: Uint8Array): { readonly seq: number; readonly sentMs: number } {
  if (bytes.byteLength < 12) throw new RangeError(`invalid datagram: ${bytes.byteLength} bytes`);
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  return { seq: view.getUint32(0), sentMs: view.getFloat64(4) };
}

const askSchema = yup
  .object({
    say: yup
      .string()
      .oneOf(['count', 'offer', 'send datagrams', 'arrivals', 'load'] as const)
      .required(),
    on: yup.boolean(),
    kind: yup.string().oneOf(DATAGRAM_KINDS),
    text: yup.string().max(20_000),
    count: yup.number().integer().min(1).max(20_000),
    everyMs: yup.number().min(1).max(1000),
  })
  .noUnknown();

/** @throws yup.ValidationError, or SyntaxError for what is no JSON */
export function readProbeAsk(text: string): ProbeAsk {
  const asked = askSchema.validateSync(JSON.parse(text), { strict: true });
  switch (asked.say) {
    case 'count':
      return { say: 'count', on: asked.on === true };
    case 'offer':
      return { say: 'offer', kind: asked.kind ?? 'channel', text: asked.text ?? '' };
    case 'send datagrams':
      return { say: 'send datagrams', count: asked.count ?? 1, everyMs: asked.everyMs ?? 5 };
    default:
      return { say: asked.say };
  }
}
