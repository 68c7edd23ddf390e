import type { Setup, WalkHeader } from '@urvek/contract';
import type { EventTime } from '@urvek/core';
import { EntitySchema } from 'typeorm';

export interface ComparisonRow {
  id: string;
  title: string;
  question: string;
  demo: boolean;
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
  },
  foreignKeys: [
    {
      target: 'comparison',
      columnNames: ['comparisonId'],
      referencedColumnNames: ['id'],
      name: 'walk_comparison',
    },
  ],
  indices: [{ name: 'walk_by_comparison', columns: ['comparisonId'] }],
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
    tokenHash: { type: 'text', name: 'token_hash' },
    pairedAt: { type: 'timestamptz', name: 'paired_at' },
    seenAt: { type: 'timestamptz', name: 'seen_at' },
    revokedAt: { type: 'timestamptz', name: 'revoked_at', nullable: true },
  },
  uniques: [{ name: 'device_token', columns: ['tokenHash'] }],
});
