import type {
  BatchAccepted,
  Comparison,
  ComparisonState,
  ComparisonSummary,
  Job,
  ComparisonUpdate,
  HeldLog,
  LanState,
  NewComparison,
  DeviceRole,
  PairingOffer,
  ProgramKey,
  Problem,
  Removed,
  RevisedSetup,
  Revision,
  StoredWalk,
  WalkHeader,
} from '@urvek/contract';
import type { Side, WalkEvent, WantedCriterion } from '@urvek/core';
import { addressOf, type Ask, type Asks, type Question } from '@urvek/draw';
import type { Withholding } from '@urvek/study';
import { setShutOut } from '../state/shutOut.ts';
import { keyHeader, readKey } from './key.ts';
import * as phrases from './phrases.ts';

/** An answer of the base that says no. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem,
  ) {
    super(`${problem.what} ${problem.kept} ${problem.todo}`);
  }
}

/** The base does not know this browser: that is said at the top of every page. */
export const isShutOut = (error: Error): boolean => error instanceof Refused && error.status === 401;

/** No answer at all: the base is out of reach. */
export class OutOfReach extends Error {
  constructor(
    /** Absent: there was no answer at all. */
    readonly told?: string,
    what = told ?? phrases.theBaseDoesNotAnswerWhat + phrases.checkThatUrvekIsRunning,
  ) {
    super(what);
  }
}

/** A base that hangs is out of reach after so long; one that takes in a whole file may take its time. */
const ANSWER_MS = 10_000;
const WHOLE_FILE_MS = 180_000;
/** What must be worked out anew first may take so long. */
export const FINDINGS_MS = 60_000;

/** Asks the base. @throws OutOfReach where it does not answer in time, or its database does not */
export async function askBase(
  path: string,
  { ms = ANSWER_MS, ...asked }: RequestInit & { readonly ms?: number } = {},
): Promise<Response> {
  const send = (): Promise<Response> =>
    fetch(`/api${path}`, {
      ...asked,
      headers: { ...(asked.headers as Record<string, string> | undefined), ...keyHeader() },
      signal: AbortSignal.timeout(ms),
    }).catch(() => {
      throw new OutOfReach();
    });
  let response = await send();
  // The cookie is gone, and the key was not read yet, or is another one since.
  if (response.status === 401 && (await readKey())) response = await send();
  if (response.status === 401) setShutOut((await response.clone().json()) as Problem);
  else setShutOut(undefined);
  if (response.status !== 503) return response;
  const problem = (await response.json().catch(() => undefined)) as Problem | undefined;
  throw new OutOfReach(problem && `${problem.what} ${problem.kept} ${problem.todo}`);
}

const call = <T>(method: string, path: string, body?: unknown, ms?: number): Promise<T> =>
  callText(method, path, body === undefined ? undefined : JSON.stringify(body), ms);

async function callText<T>(method: string, path: string, body?: string, ms?: number): Promise<T> {
  const response = await askBase(path, {
    method,
    headers: body === undefined ? {} : { 'Content-Type': 'application/json' },
    body,
    ms,
  });
  if (response.status === 204) return undefined as T;
  const answer: unknown = await response.json().catch(() => {
    throw new OutOfReach();
  });
  if (!response.ok) throw new Refused(response.status, answer as Problem);
  return answer as T;
}

/** The base, one function a request. */
export const base = {
  comparisons: () => call<ComparisonSummary[]>('GET', '/comparisons'),
  create: (wanted: NewComparison) => call<Comparison>('POST', '/comparisons', wanted),
  /** From the text of its file. */
  importWhole: (text: string) => callText<Comparison>('POST', '/comparisons/import', text, WHOLE_FILE_MS),
  comparison: (id: string) => call<Comparison>('GET', `/comparisons/${id}`),
  update: (id: string, update: ComparisonUpdate) => call<Comparison>('PUT', `/comparisons/${id}`, update),
  /** Whether anything of it changed. */
  state: (id: string) => call<ComparisonState>('GET', `/comparisons/${id}/state`),
  /** What a stage asks, of a comparison that the base answers for. */
  answer: <K extends Ask>(id: string, question: Question<K>, open: boolean) =>
    call<Asks[K]['answer']>(
      'GET',
      addressOf(id, question as unknown as Question, open),
      undefined,
      FINDINGS_MS,
    ),
  revisions: (id: string) => call<Revision[]>('GET', `/comparisons/${id}/revisions`),
  revision: (id: string, revision: number) =>
    call<RevisedSetup>('GET', `/comparisons/${id}/revisions/${revision}`),
  events: (walkId: string) => call<WalkEvent[]>('GET', `/walks/${walkId}/events`),
  /** What other devices of a walk noticed last. */
  noticed: (walkId: string, besides: string) =>
    call<WalkEvent[]>('GET', `/walks/${walkId}/noticed?besides=${besides}`),
  /** What tells the clock of a walk that another device began. */
  clockOf: (walkId: string, besides: string) =>
    call<WalkEvent[]>('GET', `/walks/${walkId}/clock?besides=${besides}`),
  withheld: (id: string) => call<Withholding[]>('GET', `/comparisons/${id}/withheld`),
  importWalks: (id: string, walks: readonly StoredWalk[]) =>
    call<{ walks: number }>('POST', `/comparisons/${id}/walks`, { walks }, WHOLE_FILE_MS),
  lan: () => call<LanState>('GET', '/lan'),
  offer: (role: DeviceRole) => call<PairingOffer>('POST', '/lan/offers', { role }),
  setAside: (id: string, reason?: string) =>
    call<undefined>('PUT', `/comparisons/${id}/aside`, reason === undefined ? {} : { reason }),
  remove: (id: string) => call<Removed>('DELETE', `/comparisons/${id}`, undefined, WHOLE_FILE_MS),
  removeWalk: (id: string) => call<Removed>('DELETE', `/walks/${id}`, undefined, WHOLE_FILE_MS),
  makeKey: (name: string, role: DeviceRole) => call<ProgramKey>('POST', '/lan/keys', { name, role }),
  revoke: (deviceId: string) => call<undefined>('DELETE', `/lan/devices/${deviceId}`),
  time: () => call<{ baseMs: number }>('GET', '/time'),
  join: (code: string) => call<WalkHeader>('GET', `/join/${encodeURIComponent(code)}`),
  askFile: (comparisonId: string, name: string) => call<Job>('POST', '/jobs', { comparisonId, name }),
  job: (id: string) => call<Job>('GET', `/jobs/${id}`),
  cancelJob: (id: string) => call<undefined>('DELETE', `/jobs/${id}`),
  jobFile: (id: string) => `/api/jobs/${id}/file`,
  register: (header: WalkHeader) => call<undefined>('PUT', `/walks/${header.id}`, header),
  held: (logs: readonly { walkId: string; deviceId: string }[]) =>
    call<HeldLog[]>('POST', '/walks/held', { logs }),
  append: (walkId: string, events: readonly WalkEvent[]) =>
    call<BatchAccepted>('POST', `/walks/${walkId}/events`, { events }),
  intervalsCsv: (id: string, criterion: WantedCriterion, side?: Side) =>
    `/api/comparisons/${id}/walk-intervals.csv?` +
    `${new URLSearchParams({ criterion, ...(side ? { direction: side } : {}) }).toString()}`,
  wholeFile: (id: string, withPrivate = false) =>
    `/api/comparisons/${id}/comparison.json${withPrivate ? '?private=kept' : ''}`,
  file: (id: string, name: string) => `/api/comparisons/${id}/files/${name}`,
};
