import { formatLength, type LengthUnit } from '@urvek/core';
import type { Bracket, Lane, TapeOptions } from './tape.ts';

/** So many things of one lane are told; of more, their number. */
const TOLD = 12;

/** What a tape shows, in words: a sentence for the ground, and one a lane. */
export function tellTape({ ground, unit, lanes = [], claims = [], hereM }: TapeOptions): string[] {
  const show = (m: number): string => formatLength(m, unit);
  const posts = ground.checkpoints.map((c) => `${c.name} at ${show(c.atM)}`);
  return [
    [
      `Tape of ${show(ground.lengthM)}`,
      ...some(posts),
      ...some(ground.obstructions.map((o) => `${o.label} at ${show(o.atM)}`)),
      ...some((ground.hazards ?? []).map((h) => `mind ${h.what} at ${show(h.atM)}`)),
      ...claims.map((c) => `claim ${c.label}`),
      ...(hereM === undefined ? [] : [`here ${show(hereM)}`]),
    ].join('; '),
    ...lanes.map((lane) => tellLane(lane, unit)),
  ];
}

function some(told: readonly string[]): string[] {
  return told.length > TOLD ? [...told.slice(0, TOLD), `and ${told.length - TOLD} more`] : [...told];
}

function tellLane(
  { label, note, title, states = [], marks = [], brackets = [] }: Lane,
  unit: LengthUnit,
): string {
  const show = (m: number): string => formatLength(m, unit);
  const held = ({ heldM, failedM, unplaced }: Bracket): string => {
    if (failedM === undefined) return `held to ${show(heldM)} and did not fail`;
    return `held to ${show(heldM)}, failed ${unplaced ? 'somewhere before' : 'by'} ${show(failedM)}`;
  };
  const parts = [
    // A title that has figures tells what is drawn.
    ...(title !== undefined && /\d/.test(title) ? [] : some(brackets.map(held))),
    ...some(states.map((s) => `${s.state} from ${show(s.fromM)} to ${show(s.toM)}`)),
    ...(marks.length > 0
      ? [`${marks.length} places known, the farthest at ${show(Math.max(...marks.map((m) => m.atM)))}`]
      : []),
  ];
  const head = [title ?? label.trim(), ...(note === undefined ? [] : [note])].join(', ');
  return parts.length === 0 ? head : `${head}: ${parts.join('; ')}`;
}
