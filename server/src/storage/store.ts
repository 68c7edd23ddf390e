import type {
  BatchAccepted,
  Comparison,
  ComparisonSummary,
  ComparisonUpdate,
  Interchange,
  NewComparison,
  Setup,
  StoredWalk,
  WalkHeader,
} from '@urvek/contract';
import type { WalkEvent } from '@urvek/core';
import { plannedWalks } from '@urvek/study';
import { isDeepStrictEqual } from 'node:util';
import { In, MoreThan, type DataSource, type EntityManager } from 'typeorm';
import type { Clock } from '../clock.ts';
import {
  comparisonEntity,
  eventEntity,
  factEntity,
  walkEntity,
  type ComparisonRow,
  type EventRow,
  type WalkRow,
} from './entities.ts';

/** The thing asked for is not here. */
export class NotFound extends Error {}

/** What was sent contradicts what is stored; `positions` name the events of a batch. */
export class Conflict extends Error {
  constructor(
    message: string,
    readonly positions?: readonly number[],
  ) {
    super(message);
  }
}

/** Rows of one insert: with nine columns well below the database's limit of parameters. */
const INSERT_ROWS = 1000;

/** Everything the server keeps. */
export class Store {
  constructor(
    private readonly database: DataSource,
    private readonly clock: Clock,
  ) {}

  async listComparisons(): Promise<ComparisonSummary[]> {
    const rows = await this.database.getRepository(comparisonEntity).find({ order: { createdAt: 'ASC' } });
    const counts = await this.database.query<{ comparison_id: string; made: string }[]>(
      `SELECT w.comparison_id, count(*) AS made FROM walk w
       WHERE EXISTS (SELECT 1 FROM walk_event e WHERE e.walk_id = w.id AND e.kind = 'end') GROUP BY 1`,
    );
    const made = new Map(counts.map((c) => [c.comparison_id, Number(c.made)]));
    return rows.map(({ setup, ...row }) => ({
      ...headOf(row),
      products: setup.products.map((p) => p.name),
      paths: setup.paths.map((p) => p.name),
      walksPlanned: plannedWalks(setup).length,
      walksMade: made.get(row.id) ?? 0,
    }));
  }

  /** Doing it twice is doing it once, as long as nothing was changed in between. */
  async createComparison(wanted: NewComparison, setup: Setup, demo = false): Promise<Comparison> {
    const now = this.clock.now();
    await this.database
      .createQueryBuilder()
      .insert()
      .into(comparisonEntity)
      .values({ ...wanted, demo, setup, revision: 1, createdAt: now, updatedAt: now })
      .orIgnore()
      .updateEntity(false)
      .execute();
    return this.getComparison(wanted.id);
  }

  async getComparison(id: string): Promise<Comparison> {
    const row = await this.database.getRepository(comparisonEntity).findOneBy({ id });
    if (!row) throw new NotFound(`no comparison ${id}`);
    return { ...headOf(row), setup: row.setup };
  }

  /** @throws Conflict when another change came first. */
  async updateComparison(id: string, { revision, ...change }: ComparisonUpdate): Promise<Comparison> {
    const result = await this.database
      .createQueryBuilder()
      .update(comparisonEntity)
      .set({ ...change, revision: revision + 1, updatedAt: this.clock.now() })
      .where({ id, revision })
      .execute();
    if (result.affected === 0) {
      const now = await this.getComparison(id);
      throw new Conflict(`comparison ${id} was changed elsewhere: revision ${now.revision}, not ${revision}`);
    }
    return this.getComparison(id);
  }

  /** Takes in a whole comparison with its walks and their logs, or nothing of it. @throws Conflict when it, or one of its walks, is here already. */
  async importComparison({
    comparison: { simulated, ...head },
    setup,
    walks,
  }: Interchange): Promise<Comparison> {
    const now = this.clock.now();
    await this.database.transaction(async (manager) => {
      if (await manager.getRepository(comparisonEntity).existsBy({ id: head.id }))
        throw new Conflict(`the comparison ${JSON.stringify(head.title)} is here already`);
      await manager
        .createQueryBuilder()
        .insert()
        .into(comparisonEntity)
        .values({ ...head, demo: simulated, setup, revision: 1, createdAt: now, updatedAt: now })
        .updateEntity(false)
        .execute();
      await insertWalks(manager, walks, now);
    });
    return this.getComparison(head.id);
  }

  /** Takes in walks with their logs, all or none. @throws Conflict when one of them is here already. */
  async importWalks(comparisonId: string, walks: readonly StoredWalk[]): Promise<void> {
    await this.getComparison(comparisonId);
    await this.database.transaction((manager) => insertWalks(manager, walks, this.clock.now()));
  }

  /** Registers a walk; the same header again changes nothing. */
  async registerWalk(header: WalkHeader): Promise<void> {
    await this.getComparison(header.comparisonId);
    const row = rowOf(header);
    await this.database
      .createQueryBuilder()
      .insert()
      .into(walkEntity)
      .values(row)
      .orIgnore()
      .updateEntity(false)
      .execute();
    const stored = await this.database.getRepository(walkEntity).findOneByOrFail({ id: header.id });
    if (!isDeepStrictEqual({ ...stored }, { ...row }))
      throw new Conflict(`walk ${header.id} is registered with other content`);
  }

  /** Walks begun since, newest first: of them a second device names the one it joins. */
  async walksSince(ms: number): Promise<WalkHeader[]> {
    const rows = await this.database
      .getRepository(walkEntity)
      .find({ where: { startedAt: MoreThan(new Date(ms)) }, order: { startedAt: 'DESC' }, take: 1000 });
    return rows.map(headerOf);
  }

  async walksOf(comparisonId: string): Promise<StoredWalk[]> {
    await this.getComparison(comparisonId);
    const walks = await this.database
      .getRepository(walkEntity)
      .find({ where: { comparisonId }, order: { startedAt: 'ASC' } });
    const events = await this.database
      .getRepository(eventEntity)
      .createQueryBuilder('e')
      .innerJoin('walk', 'w', 'w.id = e.walk_id')
      .where('w.comparison_id = :comparisonId', { comparisonId })
      .orderBy('e.device_id')
      .addOrderBy('e.seq')
      .getMany();
    const logs = new Map<string, EventRow[]>();
    for (const event of events) logs.set(event.walkId, [...(logs.get(event.walkId) ?? []), event]);
    return walks.map((walk) => ({ header: headerOf(walk), log: (logs.get(walk.id) ?? []).map(eventOf) }));
  }

  async logOf(walkId: string): Promise<WalkEvent[]> {
    await this.requireWalk(this.database.manager, walkId);
    const rows = await this.database
      .getRepository(eventEntity)
      .find({ where: { walkId }, order: { deviceId: 'ASC', seq: 'ASC' } });
    return rows.map(eventOf);
  }

  /**
   * Appends a batch whole or not at all. An event that is here already with the same content does nothing.
   * @throws Conflict naming the events whose key is taken by other content.
   */
  async append(walkId: string, events: readonly WalkEvent[]): Promise<BatchAccepted> {
    return this.database.transaction(async (manager) => {
      await this.requireWalk(manager, walkId);
      // Two batches for one walk wait for each other, so that what is compared below is what stays.
      await manager.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 0))', [walkId]);
      const here = new Map(
        (await manager.getRepository(eventEntity).findBy({ walkId })).map((row) => [
          `${row.deviceId}:${row.seq}`,
          row,
        ]),
      );
      const same = (event: WalkEvent): boolean =>
        isDeepStrictEqual(
          plain(eventOf(here.get(`${event.deviceId}:${event.seq}`) as EventRow)),
          plain(event),
        );
      const known = events.map((e) => here.has(`${e.deviceId}:${e.seq}`));
      const differing = events.flatMap((event, position) =>
        known[position] && !same(event) ? [position] : [],
      );
      if (differing.length > 0) throw new Conflict('the same number is taken by another event', differing);
      const fresh = events.filter((_, position) => !known[position]);
      if (fresh.length > 0) {
        await manager
          .createQueryBuilder()
          .insert()
          .into(eventEntity)
          .values(fresh.map((e) => ({ ...e, receivedAt: this.clock.now() })))
          .updateEntity(false)
          .execute();
      }
      return { stored: fresh.length, alreadyHere: events.length - fresh.length };
    });
  }

  now(): Date {
    return this.clock.now();
  }

  async fact(name: string): Promise<string | undefined> {
    return (await this.database.getRepository(factEntity).findOneBy({ name }))?.value;
  }

  /** States a fact; false when it was stated before. */
  async stateFact(name: string, value: string): Promise<boolean> {
    const rows = await this.database.query<unknown[]>(
      'INSERT INTO fact (name, value) VALUES ($1, $2) ON CONFLICT DO NOTHING RETURNING name',
      [name, value],
    );
    return rows.length === 1;
  }

  private async requireWalk(manager: EntityManager, walkId: string): Promise<void> {
    if (!(await manager.getRepository(walkEntity).existsBy({ id: walkId })))
      throw new NotFound(`no walk ${walkId}`);
  }
}

async function insertWalks(manager: EntityManager, walks: readonly StoredWalk[], now: Date): Promise<void> {
  const known = await manager.getRepository(walkEntity).findBy({ id: In(walks.map((w) => w.header.id)) });
  if (known.length > 0) throw new Conflict(`walk ${known[0]?.id} is here already`);
  for (const { header, log } of walks) {
    await manager
      .createQueryBuilder()
      .insert()
      .into(walkEntity)
      .values(rowOf(header))
      .updateEntity(false)
      .execute();
    for (let at = 0; at < log.length; at += INSERT_ROWS) {
      await manager
        .createQueryBuilder()
        .insert()
        .into(eventEntity)
        .values(log.slice(at, at + INSERT_ROWS).map((e) => ({ ...e, receivedAt: now })))
        .updateEntity(false)
        .execute();
    }
  }
}

/** As JSON has it: key order and absent fields do not count. */
const plain = (event: WalkEvent): unknown => JSON.parse(JSON.stringify(event));

const headOf = ({
  id,
  title,
  question,
  demo,
  revision,
  updatedAt,
}: Omit<ComparisonRow, 'setup'>): Omit<Comparison, 'setup'> => ({
  id,
  title,
  question,
  demo,
  revision,
  updatedAt: updatedAt.toISOString(),
});

const rowOf = ({ startedMs, slot, ...header }: WalkHeader): WalkRow => ({
  ...header,
  startedAt: new Date(startedMs),
  slot: slot ?? null,
});

const headerOf = ({ startedAt, slot, ...walk }: WalkRow): WalkHeader => ({
  ...walk,
  startedMs: startedAt.getTime(),
  ...(slot ? { slot } : {}),
});

const eventOf = ({ walkId, deviceId, seq, version, kind, time, body }: EventRow): WalkEvent =>
  ({ walkId, deviceId, seq, version, kind, time, body }) as WalkEvent;
