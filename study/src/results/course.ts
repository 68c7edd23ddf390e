import type { Trace } from '@urvek/core';
import * as phrases from './phrases.ts';

const USABLE = 3;

/**
 * What a walk found at its places in turn, where they have names and no metres: "held at landing; failed at
 * one floor down; worked again at the stair". Undefined where every stand has its distance.
 */
export function namedCourse({ looks, named }: Trace): string | undefined {
  if (looks.length === 0 || looks.every((l) => l.place || !l.stand)) return undefined;
  const told = looks.flatMap((l) => {
    const name = l.stand?.name ?? named.findLast((n) => n.atS <= l.atS)?.name;
    return l.stand && name !== undefined ? [{ name, held: l.worst >= USABLE }] : [];
  });
  const runs = told.reduce<{ held: boolean; names: string[] }[]>((list, { name, held }) => {
    const last = list.at(-1);
    if (last && last.held === held) last.names.push(name);
    else list.push({ held, names: [name] });
    return list;
  }, []);
  const words = (held: boolean, i: number): string =>
    held ? (i === 0 ? phrases.heldAt : phrases.workedAgainAt) : phrases.failedAt;
  return runs.length === 0
    ? undefined
    : runs.map((r, i) => `${words(r.held, i)} ${r.names.join(', ')}`).join('; ');
}
