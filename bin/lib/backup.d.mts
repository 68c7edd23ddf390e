import type { Tools } from './postgres.mjs';

export function backup(tools: Tools, url: string, file: string): Promise<void>;
export function restore(tools: Tools, url: string, file: string): Promise<void>;
export function contentOf(
  tools: Tools,
  url: string,
): Promise<{ readonly comparisons: number; readonly walks: number; readonly text: string }>;
export function dailyBackup(
  tools: Tools,
  url: string,
  folder: string,
  now?: Date,
): Promise<string | undefined>;
