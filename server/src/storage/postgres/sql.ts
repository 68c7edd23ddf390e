import type { DeviceRole, HeldLog, Setup, TrailEntry } from '@urvek/contract';
import type { EventKey, WalkEvent } from '@urvek/core';
import type { EntityManager } from 'typeorm';
import type { KeptFinding } from '../port.ts';
import type { EventRow } from './entities.ts';

// All SQL that TypeORM cannot say, or says slowly: a list goes as one JSON parameter, however long it is.

type Row = Omit<EventRow, 'receivedAt'>;
const COLUMNS = 'e.walk_id AS "walkId", e.device_id AS "deviceId", e.seq, e.version, e.kind, e.time, e.body';

/** A finished walk w, unless somebody left it out and that was not withdrawn. */
const MADE = `finished AND (
  SELECT e.body->>'reason' FROM walk_event e
  WHERE e.walk_id = w.id AND e.kind = 'leftOut' AND NOT EXISTS (
    SELECT 1 FROM walk_event c
    WHERE c.walk_id = w.id AND c.kind = 'correction' AND c.body->>'action' = 'withdraw'
      AND c.body->'amends'->>'deviceId' = e.device_id::text AND (c.body->'amends'->>'seq')::integer = e.seq)
  ORDER BY (e.time->>'wallMs')::float8 DESC LIMIT 1) IS NULL`;

/**
 * Walks that were made and count for the plan: once a real one was made, those with simulated gear are rehearsals.
 * `among` narrows walks w to whole comparisons.
 */
const counted = (among = 'true'): string => `
  SELECT id, comparison_id FROM (
    SELECT w.id, w.comparison_id, s.simulated,
      bool_or(NOT s.simulated) OVER (PARTITION BY w.comparison_id) AS beside_real
    FROM walk w, LATERAL (
      SELECT EXISTS (
        SELECT 1 FROM walk_event b WHERE b.walk_id = w.id AND b.kind = 'begin' AND b.body->>'simulatedSeed' IS NOT NULL
      ) AS simulated) s
    WHERE ${MADE} AND ${among}) made
  WHERE NOT (simulated AND beside_real)`;

/** How many walks of each comparison were made. */
export async function walksMade(manager: EntityManager): Promise<Map<string, number>> {
  const rows = await manager.query<{ id: string; made: string }[]>(
    `SELECT comparison_id AS id, count(*) AS made FROM (${counted()}) c GROUP BY 1`,
  );
  return new Map(rows.map((r) => [r.id, Number(r.made)]));
}

/** How many walks a comparison has, and a digest of their headers and of how long their logs are. */
export async function digestOf(
  manager: EntityManager,
  comparisonId: string,
): Promise<{ walks: number; digest: string }> {
  const [row] = await manager.query<{ walks: string; digest: string }[]>(
    // The start apart: as text it would depend on the time zone of the connection.
    `SELECT count(*) AS walks, md5(string_agg(
       (to_jsonb(w) - 'started_at')::text || extract(epoch FROM started_at), '' ORDER BY started_at, id)) AS digest
     FROM walk w WHERE comparison_id = $1`,
    [comparisonId],
  );
  return { walks: Number(row?.walks ?? 0), digest: row?.digest ?? '' };
}

/** Which of some walks were made. */
export async function madeAmong(manager: EntityManager, walkIds: readonly string[]): Promise<Set<string>> {
  const theirs = 'w.comparison_id IN (SELECT comparison_id FROM walk WHERE id = ANY($1::uuid[]))';
  const rows = await manager.query<{ id: string }[]>(
    `SELECT id FROM (${counted(theirs)}) c WHERE id = ANY($1::uuid[])`,
    [walkIds],
  );
  return new Set(rows.map((r) => r.id));
}

/** One of some walks that is here; undefined where none is. */
export async function knownWalk(
  manager: EntityManager,
  walkIds: readonly string[],
): Promise<string | undefined> {
  const rows = await manager.query<{ id: string }[]>(
    'SELECT id FROM walk WHERE id = ANY($1::uuid[]) LIMIT 1',
    [walkIds],
  );
  return rows[0]?.id;
}

/** Kept findings of some walks. */
export const findingsOf = (manager: EntityManager, walkIds: readonly string[]): Promise<KeptFinding[]> =>
  manager.query<KeptFinding[]>(
    'SELECT walk_id AS "walkId", key, finding AS json FROM walk_finding WHERE walk_id = ANY($1::uuid[])',
    [walkIds],
  );

/** Holds a walk's row to the end of the transaction; false when there is none. */
export async function lockWalk(manager: EntityManager, walkId: string): Promise<boolean> {
  const rows = await manager.query<unknown[]>('SELECT 1 FROM walk WHERE id = $1 FOR UPDATE', [walkId]);
  return rows.length === 1;
}

/** Inserts events whose keys are free; returns the keys of those inserted. */
export async function insertEvents(
  manager: EntityManager,
  events: readonly WalkEvent[],
  receivedAt: Date,
): Promise<Set<string>> {
  const rows = await manager.query<{ device_id: string; seq: number }[]>(
    `INSERT INTO walk_event (walk_id, device_id, seq, version, kind, time, body, received_at)
     SELECT (e->>'walkId')::uuid, (e->>'deviceId')::uuid, (e->>'seq')::integer, (e->>'version')::integer, e->>'kind',
            e->'time', e->'body', $2
     FROM jsonb_array_elements($1::jsonb) AS e
     ON CONFLICT DO NOTHING RETURNING device_id, seq`,
    [JSON.stringify(events), receivedAt],
  );
  return new Set(rows.map((r) => `${r.device_id}:${r.seq}`));
}

export async function countEntries(
  manager: EntityManager,
  walkId: string,
  more: number,
  finished: boolean,
): Promise<void> {
  await manager.query('UPDATE walk SET entries = entries + $2, finished = finished OR $3 WHERE id = $1', [
    walkId,
    more,
    finished,
  ]);
}

/** Highest number and count of each device's part of a log. */
export const heldOf = (
  manager: EntityManager,
  logs: readonly { readonly walkId: string; readonly deviceId: string }[],
): Promise<HeldLog[]> =>
  manager.query<HeldLog[]>(
    `SELECT e.walk_id AS "walkId", e.device_id AS "deviceId", max(e.seq)::integer AS highest, count(*)::integer AS count
     FROM jsonb_array_elements($1::jsonb) AS l
     JOIN walk_event e ON e.walk_id = (l->>'walkId')::uuid AND e.device_id = (l->>'deviceId')::uuid
     GROUP BY 1, 2`,
    [JSON.stringify(logs)],
  );

/** Logs of some walks, each by device and number. */
export const eventsOf = (manager: EntityManager, walkIds: readonly string[]): Promise<Row[]> =>
  manager.query<Row[]>(
    `SELECT ${COLUMNS} FROM walk_event e WHERE e.walk_id = ANY($1::uuid[]) ORDER BY e.walk_id, e.device_id, e.seq`,
    [walkIds],
  );

/** The last entries of some kinds, of each device but one. */
export const lastOf = (
  manager: EntityManager,
  walkId: string,
  besides: string,
  kinds: readonly string[],
  most: number,
): Promise<Row[]> =>
  manager.query<Row[]>(
    `SELECT ${COLUMNS} FROM walk_event e
     JOIN (SELECT device_id, seq, row_number() OVER (PARTITION BY device_id ORDER BY seq DESC) AS back
           FROM walk_event WHERE walk_id = $1 AND device_id <> $2 AND kind = ANY($3::text[])) AS l
       ON l.device_id = e.device_id AND l.seq = e.seq
     WHERE e.walk_id = $1 AND l.back <= $4 ORDER BY e.device_id, e.seq`,
    [walkId, besides, kinds, most],
  );

/** Events of a walk by their keys. */
export const eventsByKey = (
  manager: EntityManager,
  walkId: string,
  keys: readonly EventKey[],
): Promise<Row[]> =>
  manager.query<Row[]>(
    `SELECT ${COLUMNS} FROM walk_event e
     JOIN jsonb_to_recordset($2::jsonb) AS k("deviceId" uuid, seq integer)
         ON e.device_id = k."deviceId" AND e.seq = k.seq
     WHERE e.walk_id = $1`,
    [walkId, JSON.stringify(keys.map(({ deviceId, seq }) => ({ deviceId, seq })))],
  );

export async function stateFact(manager: EntityManager, name: string, value: string): Promise<boolean> {
  const rows = await manager.query<unknown[]>(
    'INSERT INTO fact (name, value) VALUES ($1, $2) ON CONFLICT DO NOTHING RETURNING name',
    [name, value],
  );
  return rows.length === 1;
}

/**
 * Begins a job, or takes it up again from who was killed over it; undefined when there is nothing left to do.
 */
export async function beginJob(manager: EntityManager, id: string): Promise<object | undefined> {
  const [rows] = await manager.query<[{ asked: object }[], number]>(
    `UPDATE job SET state = 'working', attempts = attempts + 1
     WHERE id = $1 AND state IN ('waiting', 'working') RETURNING asked`,
    [id],
  );
  return rows[0]?.asked;
}

/** An offer to pair takes the place of every earlier one, and of what was tried against that. */
export async function offerPairing(
  manager: EntityManager,
  offer: { secretHash: string; codeHash: string; role: DeviceRole; until: Date },
): Promise<void> {
  await manager.query('DELETE FROM pairing_try');
  await manager.query(
    `INSERT INTO pairing_offer (one, secret_hash, code_hash, role, until) VALUES (1, $1, $2, $3, $4)
     ON CONFLICT (one) DO UPDATE SET secret_hash = $1, code_hash = $2, role = $3, until = $4`,
    [offer.secretHash, offer.codeHash, offer.role, offer.until],
  );
}

/** Takes up the offer that stands, once whoever asks; the role that it gives, or undefined. */
export async function takeOffer(
  manager: EntityManager,
  by: 'secret_hash' | 'code_hash',
  hash: string,
  now: Date,
): Promise<DeviceRole | undefined> {
  const [rows] = await manager.query<[{ role: DeviceRole }[], number]>(
    `DELETE FROM pairing_offer WHERE ${by} = $1 AND until > $2 RETURNING role`,
    [hash, now],
  );
  return rows[0]?.role;
}

/** Whether an offer stands, and how many wrong codes an address has tried against it. */
export async function triesOf(
  manager: EntityManager,
  address: string,
  now: Date,
): Promise<{ stands: boolean; tries: number }> {
  const [row] = await manager.query<{ stands: boolean; tries: string }[]>(
    `SELECT EXISTS (SELECT 1 FROM pairing_offer WHERE until > $2) AS stands,
            (SELECT count(*) FROM pairing_try WHERE address = $1) AS tries`,
    [address, now],
  );
  return { stands: row?.stands ?? false, tries: Number(row?.tries ?? 0) };
}

export const addTry = (manager: EntityManager, address: string, now: Date): Promise<unknown> =>
  manager.query('INSERT INTO pairing_try (address, at) VALUES ($1, $2)', [address, now]);

export const addTrail = (manager: EntityManager, who: string, what: string, now: Date): Promise<unknown> =>
  manager.query('INSERT INTO trail (at, who, what) VALUES ($1, $2, $3)', [now, who, what]);

/** The newest first. */
export const readTrail = (manager: EntityManager, most: number): Promise<TrailEntry[]> =>
  manager.query<TrailEntry[]>(
    `SELECT extract(epoch FROM at)::float8 * 1000 AS "atMs", who, what FROM trail ORDER BY id DESC LIMIT $1`,
    [most],
  );

/**
 * Walks with their logs and findings, for good: the one place where the rule that a log only grows is lifted, for
 * this transaction, in which nobody else writes to logs. That they were removed stays: devices may hold them still.
 */
export async function removeWalks(manager: EntityManager, ids: readonly string[], now: Date): Promise<void> {
  await manager.query('ALTER TABLE walk_event DISABLE TRIGGER walk_event_append_only');
  await manager.query('DELETE FROM walk_event WHERE walk_id = ANY($1)', [ids]);
  await manager.query('ALTER TABLE walk_event ENABLE TRIGGER walk_event_append_only');
  await manager.query('DELETE FROM walk WHERE id = ANY($1)', [ids]);
  await manager.query(
    'INSERT INTO walk_removed (id, at) SELECT unnest($1::uuid[]), $2 ON CONFLICT (id) DO NOTHING',
    [ids, now],
  );
}

export async function isRemoved(manager: EntityManager, walkId: string): Promise<boolean> {
  const rows = await manager.query<object[]>('SELECT 1 FROM walk_removed WHERE id = $1', [walkId]);
  return rows.length > 0;
}

/** Walks that come back, by the hand of whoever imports them. */
export const notRemoved = (manager: EntityManager, ids: readonly string[]): Promise<unknown> =>
  manager.query('DELETE FROM walk_removed WHERE id = ANY($1)', [ids]);

export const addReader = (manager: EntityManager, deviceId: string, walkId: string): Promise<unknown> =>
  manager.query('INSERT INTO walk_reader (device_id, walk_id) VALUES ($1, $2) ON CONFLICT DO NOTHING', [
    deviceId,
    walkId,
  ]);

export async function readableBy(
  manager: EntityManager,
  deviceId: string,
  walkIds: readonly string[],
): Promise<Set<string>> {
  const rows = await manager.query<{ id: string }[]>(
    'SELECT walk_id AS id FROM walk_reader WHERE device_id = $1 AND walk_id = ANY($2)',
    [deviceId, walkIds],
  );
  return new Set(rows.map((r) => r.id));
}

/** So many versions of a set-up are kept. */
const REVISIONS_KEPT = 200;

/** Keeps a comparison as it is now, and who made it so. */
export async function keepRevision(
  manager: EntityManager,
  id: string,
  who: string | undefined,
): Promise<void> {
  await manager.query(
    `INSERT INTO comparison_revision (comparison_id, revision, title, question, setup, who, at)
     SELECT id, revision, title, question, setup, $2, updated_at FROM comparison WHERE id = $1
     ON CONFLICT DO NOTHING`,
    [id, who ?? null],
  );
  await manager.query(
    `DELETE FROM comparison_revision WHERE comparison_id = $1 AND revision <=
       (SELECT revision FROM comparison WHERE id = $1) - $2`,
    [id, REVISIONS_KEPT],
  );
}

export const revisionsOf = (manager: EntityManager, id: string, most: number): Promise<RevisionRow[]> =>
  manager.query(
    `SELECT revision, title, question, setup, who, extract(epoch FROM at)::float8 * 1000 AS "atMs"
     FROM comparison_revision WHERE comparison_id = $1 ORDER BY revision DESC LIMIT $2`,
    [id, most],
  );

interface RevisionRow {
  readonly revision: number;
  readonly title: string;
  readonly question: string;
  readonly setup: Setup;
  readonly who: string | null;
  readonly atMs: number;
}
