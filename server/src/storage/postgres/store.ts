import type {
  Job,
  BatchAccepted,
  Comparison,
  ComparisonSummary,
  ComparisonUpdate,
  HeldLog,
  Interchange,
  NewComparison,
  Setup,
  StoredWalk,
  TrailEntry,
  WalkHeader,
} from '@urvek/contract';
import type { EventKind, WalkEvent } from '@urvek/core';
import { plannedWalks } from '@urvek/study';
import { isDeepStrictEqual } from 'node:util';
import { In, MoreThan, type DataSource, type EntityManager } from 'typeorm';
import type { Clock } from '../../clock.ts';
import {
  Conflict,
  Gone,
  NotFound,
  type Cursor,
  type KeptFile,
  type KeptFinding,
  type KeptRevision,
  type ListedWalk,
  type Storage,
} from '../port.ts';
import {
  comparisonEntity,
  factEntity,
  findingEntity,
  jobEntity,
  walkEntity,
  type ComparisonRow,
  type EventRow,
  type JobRow,
  type WalkRow,
} from './entities.ts';
import { meaningOf } from './meaning.ts';
import * as sql from './sql.ts';

/** Rows of one insert: with nine columns well below the database's limit of parameters. */
const INSERT_ROWS = 1000;

const TRAIL_SHOWN = 200;

/** Storage in PostgreSQL, through TypeORM; what TypeORM cannot say stands in sql.ts. */
export class Store implements Storage {
  constructor(
    private readonly database: DataSource,
    private readonly clock: Clock,
  ) {}

  now(): Date {
    return this.clock.now();
  }

  async check(): Promise<void> {
    try {
      await this.database.query('SELECT 1');
    } catch (error) {
      throw meaningOf(error) ?? error;
    }
  }

  meaningOf = meaningOf;

  async listComparisons(): Promise<ComparisonSummary[]> {
    const rows = await this.database.getRepository(comparisonEntity).find({ order: { createdAt: 'ASC' } });
    const made = await sql.walksMade(this.database.manager);
    return rows.map(({ setup, ...row }) => ({
      ...headOf(row),
      products: setup.products.map((p) => p.name),
      paths: setup.paths.map((p) => p.name),
      walksPlanned: plannedWalks(setup).length,
      walksMade: made.get(row.id) ?? 0,
    }));
  }

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
    await sql.keepRevision(this.database.manager, wanted.id, undefined);
    return this.getComparison(wanted.id);
  }

  async getComparison(id: string): Promise<Comparison> {
    const row = await this.database.getRepository(comparisonEntity).findOneBy({ id });
    if (!row) throw new NotFound(`no comparison ${id}`);
    return { ...headOf(row), setup: row.setup };
  }

  async updateComparison(
    id: string,
    { revision, ...change }: ComparisonUpdate,
    who?: string,
  ): Promise<Comparison> {
    const changed = await this.database.transaction(async (manager) => {
      const { affected } = await manager
        .createQueryBuilder()
        .update(comparisonEntity)
        .set({ ...change, revision: revision + 1, updatedAt: this.clock.now() })
        .where({ id, revision })
        .execute();
      if (affected === 1) await sql.keepRevision(manager, id, who);
      return affected === 1;
    });
    const now = await this.getComparison(id);
    if (!changed)
      throw new Conflict(`comparison ${id} was changed elsewhere: revision ${now.revision}, not ${revision}`);
    return now;
  }

  async revisionsOf(id: string, most: number): Promise<KeptRevision[]> {
    await this.requireComparison(id);
    const rows = await sql.revisionsOf(this.database.manager, id, most);
    return rows.map(({ who, ...row }) => ({ ...row, who: who ?? undefined }));
  }

  async setAside(id: string, reason: string | undefined): Promise<void> {
    const aside = reason === undefined ? null : { reason, atMs: this.clock.now().getTime() };
    const { affected } = await this.database.getRepository(comparisonEntity).update({ id }, { aside });
    if (affected === 0) throw new NotFound(`no comparison ${id}`);
  }

  async removeComparison(id: string): Promise<void> {
    await this.requireComparison(id);
    await this.database.transaction(async (manager) => {
      const walks = await manager
        .getRepository(walkEntity)
        .find({ select: { id: true }, where: { comparisonId: id } });
      await sql.removeWalks(
        manager,
        walks.map((w) => w.id),
        this.clock.now(),
      );
      await manager.getRepository(comparisonEntity).delete({ id });
    });
  }

  async removeWalk(id: string): Promise<void> {
    await this.getHeader(id);
    await this.database.transaction((manager) => sql.removeWalks(manager, [id], this.clock.now()));
  }

  madeAmong(walkIds: readonly string[]): Promise<Set<string>> {
    return sql.madeAmong(this.database.manager, walkIds);
  }

  async letRead(deviceId: string, walkId: string): Promise<void> {
    await sql.addReader(this.database.manager, deviceId, walkId);
  }

  readableBy(deviceId: string, walkIds: readonly string[]): Promise<Set<string>> {
    return sql.readableBy(this.database.manager, deviceId, walkIds);
  }

  async note(who: string, what: string): Promise<void> {
    await sql.addTrail(this.database.manager, who, what, this.clock.now());
  }

  trail(): Promise<TrailEntry[]> {
    return sql.readTrail(this.database.manager, TRAIL_SHOWN);
  }

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
      await sql.keepRevision(manager, head.id, undefined);
      await insertWalks(manager, walks, now);
    });
    return this.getComparison(head.id);
  }

  async importWalks(comparisonId: string, walks: readonly StoredWalk[]): Promise<void> {
    await this.requireComparison(comparisonId);
    await this.database.transaction((manager) => insertWalks(manager, walks, this.clock.now()));
  }

  async registerWalk(header: WalkHeader): Promise<void> {
    if (await sql.isRemoved(this.database.manager, header.id))
      throw new Gone(`walk ${header.id} was removed for good`);
    await this.requireComparison(header.comparisonId);
    const row = rowOf(header);
    await this.database
      .createQueryBuilder()
      .insert()
      .into(walkEntity)
      .values(row)
      .orIgnore()
      .updateEntity(false)
      .execute();
    const {
      entries: _,
      finished: __,
      ...stored
    } = await this.database.getRepository(walkEntity).findOneByOrFail({ id: header.id });
    if (!isDeepStrictEqual({ ...stored }, { ...row }))
      throw new Conflict(`walk ${header.id} is registered with other content`);
  }

  async getHeader(walkId: string): Promise<WalkHeader> {
    const row = await this.database.getRepository(walkEntity).findOneBy({ id: walkId });
    if (!row) throw new NotFound(`no walk ${walkId}`);
    return headerOf(row);
  }

  async walksSince(ms: number): Promise<WalkHeader[]> {
    const rows = await this.database.getRepository(walkEntity).find({
      where: { startedAt: MoreThan(new Date(ms)) },
      order: { startedAt: 'DESC' },
      take: 1000,
    });
    return rows.map(headerOf);
  }

  async listWalks(
    comparisonId: string,
    { after, most }: { readonly after?: Cursor; readonly most?: number } = {},
  ): Promise<ListedWalk[]> {
    await this.requireComparison(comparisonId);
    const query = this.database
      .getRepository(walkEntity)
      .createQueryBuilder('w')
      .where('w.comparison_id = :comparisonId', { comparisonId })
      .orderBy('w.started_at')
      .addOrderBy('w.id');
    if (after)
      query.andWhere('(w.started_at, w.id) > (:at, :id)', {
        at: new Date(after.startedMs),
        id: after.walkId,
      });
    if (most !== undefined) query.limit(most);
    return (await query.getMany()).map((row) => ({ header: headerOf(row), entries: row.entries }));
  }

  digestOf(comparisonId: string): Promise<{ walks: number; digest: string }> {
    return sql.digestOf(this.database.manager, comparisonId);
  }

  async walksOf(comparisonId: string): Promise<StoredWalk[]> {
    const listed = await this.listWalks(comparisonId);
    const logs = await this.logsOf(listed.map((w) => w.header.id));
    return listed.map(({ header }) => ({ header, log: logs.get(header.id) ?? [] }));
  }

  async logsOf(walkIds: readonly string[]): Promise<Map<string, WalkEvent[]>> {
    const logs = new Map<string, WalkEvent[]>();
    for (const row of await sql.eventsOf(this.database.manager, walkIds)) {
      const log = logs.get(row.walkId);
      if (log) log.push(eventOf(row));
      else logs.set(row.walkId, [eventOf(row)]);
    }
    return logs;
  }

  async logOf(walkId: string): Promise<WalkEvent[]> {
    await this.getHeader(walkId);
    return (await this.logsOf([walkId])).get(walkId) ?? [];
  }

  async lastOf(
    walkId: string,
    { besides, kinds, most }: { besides: string; kinds: readonly EventKind[]; most: number },
  ): Promise<WalkEvent[]> {
    return (await sql.lastOf(this.database.manager, walkId, besides, kinds, most)).map(eventOf);
  }

  async append(walkId: string, events: readonly WalkEvent[]): Promise<BatchAccepted> {
    return this.database.transaction(async (manager) => {
      // Two batches for one walk wait for each other at its row, so that what is compared below is what
      // stays.
      if (!(await sql.lockWalk(manager, walkId))) throw new NotFound(`no walk ${walkId}`);
      const stored = await sql.insertEvents(manager, events, this.clock.now());
      const there = events.filter((e) => !stored.has(`${e.deviceId}:${e.seq}`));
      if (there.length > 0) await refuseOthers(manager, walkId, events, there);
      if (stored.size > 0)
        await sql.countEntries(
          manager,
          walkId,
          stored.size,
          events.some((e) => e.kind === 'end'),
        );
      return { stored: stored.size, alreadyHere: events.length - stored.size };
    });
  }

  heldOf(logs: readonly { readonly walkId: string; readonly deviceId: string }[]): Promise<HeldLog[]> {
    return sql.heldOf(this.database.manager, logs);
  }

  async findingsOf(walkIds: readonly string[]): Promise<Map<string, KeptFinding>> {
    const rows = await sql.findingsOf(this.database.manager, walkIds);
    return new Map(rows.map((row) => [row.walkId, row] as const));
  }

  async keepFindings(findings: readonly KeptFinding[]): Promise<void> {
    for (let at = 0; at < findings.length; at += INSERT_ROWS)
      await this.database
        .createQueryBuilder()
        .insert()
        .into(findingEntity)
        .values(
          findings
            .slice(at, at + INSERT_ROWS)
            .map(({ walkId, key, json }) => ({ walkId, key, finding: json })),
        )
        .orUpdate(['key', 'finding'], ['walk_id'])
        .updateEntity(false)
        .execute();
  }

  async keepJob(id: string, asked: object): Promise<void> {
    await this.database
      .createQueryBuilder()
      .insert()
      .into(jobEntity)
      .values({ id, asked, state: 'waiting', progress: 0, attempts: 0, askedAt: this.clock.now() })
      .updateEntity(false)
      .execute();
  }

  async jobState(id: string): Promise<Job> {
    const row = await this.database.getRepository(jobEntity).findOneBy({ id });
    if (!row) throw new NotFound(`no job ${id}`);
    const { state, progress, attempts, trouble } = row;
    return { id, state: state as Job['state'], progress, attempts, trouble: trouble ?? undefined };
  }

  beginJob(id: string): Promise<object | undefined> {
    return sql.beginJob(this.database.manager, id);
  }

  async jobProgress(id: string, progress: number): Promise<boolean> {
    return this.changeJob(id, { progress });
  }

  async finishJob(id: string, { name, type, text }: KeptFile): Promise<void> {
    await this.changeJob(id, {
      state: 'done',
      progress: 1,
      fileName: name,
      fileType: type,
      fileText: text,
    });
  }

  async failJob(id: string, trouble: string): Promise<void> {
    await this.changeJob(id, { state: 'failed', trouble });
  }

  async cancelJob(id: string): Promise<void> {
    await this.database
      .createQueryBuilder()
      .update(jobEntity)
      .set({ state: 'cancelled' })
      .where({ id, state: In(['waiting', 'working']) })
      .execute();
  }

  async jobFile(id: string): Promise<KeptFile> {
    const row = await this.database
      .getRepository(jobEntity)
      .createQueryBuilder('j')
      .addSelect('j.fileText')
      .where({ id, state: 'done' })
      .getOne();
    if (!row) throw new NotFound(`job ${id} has made no file`);
    return { name: row.fileName ?? '', type: row.fileType ?? '', text: row.fileText ?? '' };
  }

  /** Of a job that is being worked on; false when it is not any more. */
  private async changeJob(id: string, change: Partial<JobRow>): Promise<boolean> {
    const { affected } = await this.database
      .createQueryBuilder()
      .update(jobEntity)
      .set(change)
      .where({ id, state: 'working' })
      .execute();
    return affected === 1;
  }

  async fact(name: string): Promise<string | undefined> {
    return (await this.database.getRepository(factEntity).findOneBy({ name }))?.value;
  }

  async stateFact(name: string, value: string): Promise<boolean> {
    return sql.stateFact(this.database.manager, name, value);
  }

  private async requireComparison(id: string): Promise<void> {
    if (!(await this.database.getRepository(comparisonEntity).existsBy({ id })))
      throw new NotFound(`no comparison ${id}`);
  }
}

/** Of a batch, those whose key is taken by other content. @throws Conflict */
async function refuseOthers(
  manager: EntityManager,
  walkId: string,
  events: readonly WalkEvent[],
  there: readonly WalkEvent[],
): Promise<void> {
  const rows = await sql.eventsByKey(manager, walkId, there);
  const here = new Map(rows.map((row) => [`${row.deviceId}:${row.seq}`, eventOf(row)]));
  const asked = new Set(there);
  const differing = events.flatMap((event, position) =>
    asked.has(event) && !isDeepStrictEqual(plain(here.get(`${event.deviceId}:${event.seq}`)), plain(event))
      ? [position]
      : [],
  );
  if (differing.length > 0) throw new Conflict('the same number is taken by another event', differing);
}

async function insertWalks(manager: EntityManager, walks: readonly StoredWalk[], now: Date): Promise<void> {
  const ids = walks.map((w) => w.header.id);
  const twice = ids.find((id, i) => ids.indexOf(id) !== i);
  if (twice !== undefined) throw new Conflict(`walk ${twice} stands twice in the file`);
  await sql.notRemoved(manager, ids);
  const known = await sql.knownWalk(manager, ids);
  if (known !== undefined) throw new Conflict(`walk ${known} is here already`);
  const rows = walks.map(({ header, log }) => ({
    ...rowOf(header),
    entries: log.length,
    finished: log.some((e) => e.kind === 'end'),
  }));
  for (let at = 0; at < rows.length; at += INSERT_ROWS)
    await manager
      .createQueryBuilder()
      .insert()
      .into(walkEntity)
      .values(rows.slice(at, at + INSERT_ROWS))
      .updateEntity(false)
      .execute();
  const events = walks.flatMap((w) => w.log);
  if (new Set(events.map((e) => `${e.walkId}/${e.deviceId}/${e.seq}`)).size < events.length)
    throw new Conflict('two entries of one walk have the same number');
  for (let at = 0; at < events.length; at += INSERT_ROWS)
    await sql.insertEvents(manager, events.slice(at, at + INSERT_ROWS), now);
}

/** As JSON has it: key order and absent fields do not count. */
const plain = (event: WalkEvent | undefined): unknown => event && JSON.parse(JSON.stringify(event));

const headOf = ({
  id,
  title,
  question,
  demo,
  aside,
  revision,
  updatedAt,
}: Omit<ComparisonRow, 'setup'>): Omit<Comparison, 'setup'> => ({
  id,
  title,
  question,
  demo,
  ...(aside ? { aside } : {}),
  revision,
  updatedAt: updatedAt.toISOString(),
});

const rowOf = ({
  startedMs,
  slot,
  undated,
  outing,
  ...header
}: WalkHeader): Omit<WalkRow, 'entries' | 'finished'> => ({
  ...header,
  startedAt: new Date(startedMs),
  slot: slot ?? null,
  undated: undated ?? null,
  outing: outing ?? null,
});

const headerOf = ({
  startedAt,
  slot,
  undated,
  outing,
  entries: _,
  finished: __,
  ...walk
}: WalkRow): WalkHeader => ({
  ...walk,
  startedMs: startedAt.getTime(),
  ...(slot ? { slot } : {}),
  ...(undated === null ? {} : { undated }),
  ...(outing === null ? {} : { outing }),
});

const eventOf = ({
  walkId,
  deviceId,
  seq,
  version,
  kind,
  time,
  body,
}: Omit<EventRow, 'receivedAt'>): WalkEvent =>
  ({ walkId, deviceId, seq, version, kind, time, body }) as WalkEvent;
