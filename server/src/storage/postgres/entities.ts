import type { DeviceRole, Setup, WalkHeader } from '@urvek/contract';
import type { EventTime } from '@urvek/core';
import { EntitySchema } from 'typeorm';

export interface ComparisonRow {
  id: string;
  title: string;
  question: string;
  demo: boolean;
  aside: { readonly reason: string; readonly atMs: number } | null;
  setup: Setup;
  revision: number;
  createdAt: Date;
  updatedAt: Date;
}

export interface WalkRow {
  id: string;
  comparisonId: string;
  productId: string;
  rigId: string;
  pathId: string;
  startedAt: Date;
  slot: NonNullable<WalkHeader['slot']> | null;
  /** Nobody knows when. */
  undated: boolean | null;
  outing: string | null;
  /** Entries of its log, and whether one of them is its end. */
  entries: number;
  finished: boolean;
}

/** One event of a walk's log. Rows are inserted, never changed. */
export interface EventRow {
  walkId: string;
  deviceId: string;
  seq: number;
  version: number;
  kind: string;
  time: EventTime;
  body: object;
  receivedAt: Date;
}

/** What was worked out from a walk's log, as text of JSON. */
export interface FindingRow {
  walkId: string;
  key: string;
  finding: string;
}

export const findingEntity = new EntitySchema<FindingRow>({
  name: 'walk_finding',
  tableName: 'walk_finding',
  columns: {
    walkId: { type: 'uuid', primary: true, name: 'walk_id' },
    key: { type: 'text' },
    finding: { type: 'text' },
  },
  foreignKeys: [
    {
      target: 'walk',
      columnNames: ['walkId'],
      referencedColumnNames: ['id'],
      name: 'finding_walk',
      onDelete: 'CASCADE',
    },
  ],
});

/** Facts about this database: that the demo was loaded. */
export interface FactRow {
  name: string;
  value: string;
}

export const comparisonEntity = new EntitySchema<ComparisonRow>({
  name: 'comparison',
  tableName: 'comparison',
  columns: {
    id: { type: 'uuid', primary: true },
    title: { type: 'text' },
    question: { type: 'text' },
    demo: { type: 'boolean' },
    aside: { type: 'jsonb', nullable: true },
    setup: { type: 'jsonb' },
    revision: { type: 'integer' },
    createdAt: { type: 'timestamptz', name: 'created_at' },
    updatedAt: { type: 'timestamptz', name: 'updated_at' },
  },
});

export const walkEntity = new EntitySchema<WalkRow>({
  name: 'walk',
  tableName: 'walk',
  columns: {
    id: { type: 'uuid', primary: true },
    comparisonId: { type: 'uuid', name: 'comparison_id' },
    productId: { type: 'text', name: 'product_id' },
    rigId: { type: 'text', name: 'rig_id' },
    pathId: { type: 'text', name: 'path_id' },
    startedAt: { type: 'timestamptz', name: 'started_at' },
    slot: { type: 'jsonb', nullable: true },
    undated: { type: 'boolean', nullable: true },
    outing: { type: 'text', nullable: true },
    entries: { type: 'integer', default: 0 },
    finished: { type: 'boolean', default: false },
  },
  foreignKeys: [
    {
      target: 'comparison',
      columnNames: ['comparisonId'],
      referencedColumnNames: ['id'],
      name: 'walk_comparison',
    },
  ],
  indices: [
    { name: 'walk_by_start', columns: ['comparisonId', 'startedAt', 'id'] },
    { name: 'walk_lately', columns: ['startedAt'] },
  ],
});

export const eventEntity = new EntitySchema<EventRow>({
  name: 'walk_event',
  tableName: 'walk_event',
  columns: {
    walkId: { type: 'uuid', primary: true, name: 'walk_id' },
    deviceId: { type: 'uuid', primary: true, name: 'device_id' },
    seq: { type: 'integer', primary: true },
    version: { type: 'integer' },
    kind: { type: 'text' },
    time: { type: 'jsonb' },
    body: { type: 'jsonb' },
    receivedAt: { type: 'timestamptz', name: 'received_at' },
  },
  indices: [
    { name: 'walk_left_out', columns: ['walkId'], where: "kind = 'leftOut'" },
    { name: 'walk_begun', columns: ['walkId'], where: "kind = 'begin'" },
  ],
  foreignKeys: [
    { target: 'walk', columnNames: ['walkId'], referencedColumnNames: ['id'], name: 'event_walk' },
  ],
});

export const factEntity = new EntitySchema<FactRow>({
  name: 'fact',
  tableName: 'fact',
  columns: { name: { type: 'text', primary: true }, value: { type: 'text' } },
});

/** A device paired on the local network. */
export interface DeviceRow {
  id: string;
  name: string;
  role: DeviceRole;
  tokenHash: string;
  pairedAt: Date;
  seenAt: Date;
  revokedAt: Date | null;
}

export const deviceEntity = new EntitySchema<DeviceRow>({
  name: 'device',
  tableName: 'device',
  columns: {
    id: { type: 'uuid', primary: true },
    name: { type: 'text' },
    role: { type: 'text' },
    tokenHash: { type: 'text', name: 'token_hash' },
    pairedAt: { type: 'timestamptz', name: 'paired_at' },
    seenAt: { type: 'timestamptz', name: 'seen_at' },
    revokedAt: { type: 'timestamptz', name: 'revoked_at', nullable: true },
  },
  uniques: [{ name: 'device_token', columns: ['tokenHash'] }],
});

/** Long work that was asked for. */
export interface JobRow {
  id: string;
  asked: object;
  state: string;
  /** Share done, 0 to 1. */
  progress: number;
  attempts: number;
  trouble: string | null;
  fileName: string | null;
  fileType: string | null;
  fileText: string | null;
  askedAt: Date;
}

export const jobEntity = new EntitySchema<JobRow>({
  name: 'job',
  tableName: 'job',
  columns: {
    id: { type: 'uuid', primary: true },
    asked: { type: 'jsonb' },
    state: { type: 'text' },
    progress: { type: 'real' },
    attempts: { type: 'integer' },
    trouble: { type: 'text', nullable: true },
    fileName: { type: 'text', name: 'file_name', nullable: true },
    fileType: { type: 'text', name: 'file_type', nullable: true },
    fileText: { type: 'text', name: 'file_text', nullable: true, select: false },
    askedAt: { type: 'timestamptz', name: 'asked_at' },
  },
});
