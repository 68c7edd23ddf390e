import type { GearHello, GearLine } from '@urvek/contract';
import type { Direction, Entry } from '@urvek/core';

/** What gear said, as an entry of its log. What it noticed by itself is found, not pressed. */
export function gearEntry(line: GearLine, { name }: Pick<GearHello, 'name'>, direction: Direction): Entry {
  switch (line.say) {
    case 'wheel':
      return { kind: 'mark', body: { reading: { travelledM: line.m, method: 'wheel', pressed: false } } };
    case 'reading':
      return {
        kind: 'measured',
        body: {
          quantity: line.quantity,
          direction: line.direction ?? direction,
          ...(line.value === undefined ? {} : { value: line.value }),
          instrument: name,
          provenance: 'measured',
        },
      };
    case 'lost':
    case 'back':
      return {
        kind: line.say === 'lost' ? 'dropoutBegin' : 'dropoutEnd',
        body: { found: [name, line.why].filter((t) => t !== undefined).join(': ') },
      };
    case 'tried':
      return { kind: 'tried', body: { tries: line.tries, failed: line.failed } };
    case 'note':
      return { kind: 'note', body: { text: `${name}: ${line.text}` } };
  }
}
