import type { HeldLog } from '@urvek/contract';
import type { EventKey, WalkEvent } from '@urvek/core';
import type { EntityManager } from 'typeorm';
import type { KeptFinding } from '../port.ts';
import type { EventRow } from './entities.ts';

// All SQL that TypeORM cannot say, or says slowly: a list goes as one JSON parameter, however long it is.

type Row = Omit<EventRow, 'receivedAt'>;
const COLUMNS = 'e.walk_id AS "walkId", e.device_id AS "deviceId", e.seq, e.version, e.kind, e.time, e.body';

/** Finished walks of each comparison. */
export async function walksMade(manager: EntityManager): Promise<Map<string, number>> {
  const rows = await manager.query<{ id: string; made: string }[]>(
    'SELECT comparison_id AS id, count(*) AS made FROM walk WHERE finished GROUP BY 1',
  );
  return new Map(rows.map((r) => [r.id, Number(r.made)]));
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

/** Events of a walk by their keys. */
export const eventsByKey = (
  manager: EntityManager,
  walkId: string,
  keys: readonly EventKey[],
): Promise<Row[]> =>
  manager.query<Row[]>(
    `SELECT ${COLUMNS} FROM walk_event e
     JOIN jsonb_to_recordset($2::jsonb) AS k("deviceId" uuid, seq integer) ON e.device_id = k."deviceId" AND e.seq = k.seq
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
