import { formatLength, type LengthUnit } from '@urvek/core';
import type { Bracket, Lane, TapeOptions } from './tape.ts';
import * as phrases from './phrases.ts';

/** So many things of one lane are told; of more, their number. */
const TOLD = 12;

/** What a tape shows, in words: a sentence for the ground, and one a lane. */
export function tellTape({ ground, unit, lanes = [], claims = [], hereM }: TapeOptions): string[] {
  const show = (m: number): string => formatLength(m, unit);
  const posts = ground.checkpoints.map((c) => phrases.at2(c.name, show(c.atM)));
  return [
    [
      phrases.tapeOf(show(ground.lengthM)),
      ...some(posts),
      ...some(ground.obstructions.map((o) => phrases.at2(o.label, show(o.atM)))),
      ...some((ground.hazards ?? []).map((h) => phrases.mindAt(h.what, show(h.atM)))),
      ...claims.map((c) => phrases.claim(c.label)),
      ...(hereM === undefined ? [] : [phrases.here2(show(hereM))]),
    ].join('; '),
    ...lanes.map((lane) => tellLane(lane, unit)),
  ];
}

function some(told: readonly string[]): string[] {
  return told.length > TOLD ? [...told.slice(0, TOLD), phrases.andMore(told.length - TOLD)] : [...told];
}

function tellLane(
  { label, note, title, states = [], marks = [], brackets = [] }: Lane,
  unit: LengthUnit,
): string {
  const show = (m: number): string => formatLength(m, unit);
  const held = ({ heldM, failedM, unplaced }: Bracket): string => {
    if (failedM === undefined) return phrases.heldToAndDidNotFail(show(heldM));
    return phrases.heldToFailed(show(heldM), unplaced ? phrases.somewhereBefore : 'by', show(failedM));
  };
  const parts = [
    // A title that has figures tells what is drawn.
    ...(title !== undefined && /\d/.test(title) ? [] : some(brackets.map(held))),
    ...some(states.map((s) => phrases.fromTo(s.state, show(s.fromM), show(s.toM)))),
    ...(marks.length > 0
      ? [phrases.placesKnownTheFarthestAt(marks.length, show(Math.max(...marks.map((m) => m.atM))))]
      : []),
  ];
  const head = [title ?? label.trim(), ...(note === undefined ? [] : [note])].join(', ');
  return parts.length === 0 ? head : `${head}: ${parts.join('; ')}`;
}
