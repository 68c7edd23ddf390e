import { expect, test } from '@jest/globals';
import { EMPTY_SETUP, newRig, type Rig, type Setup } from '@urvek/contract';
import { subjectsOf } from './subjects.ts';

const rig = (id: string, more: Partial<Rig>): Rig => ({ ...newRig(id, 'u'), name: id, ...more });

const groupsOf = (rigs: Rig[]): string[][] => {
  const product = {
    ...{ id: 'p', name: 'P', kindId: 'microphone', claims: [], units: [], rigs },
  } as unknown as Setup['products'][number];
  return subjectsOf({ ...EMPTY_SETUP, products: [product] }, new Set(rigs.map((r) => `p/${r.id}`)))
    .map((s) => s.rigs.map((r) => r.id).sort())
    .sort();
};

test('a rig that leaves open in what two others differ stands for itself, in whatever order they were entered', () => {
  const open = rig('open', { bodyPosition: 'open' });
  const body = rig('body', { bodyPosition: 'behind the body' });
  const unsaid = rig('unsaid', { bodyPosition: '' });
  const apart = [['body'], ['open'], ['unsaid']];
  for (const order of [
    [open, unsaid, body],
    [unsaid, body, open],
    [body, open, unsaid],
  ])
    expect(groupsOf(order)).toEqual(apart);
  // Stated against not stated pools, where nothing else differs.
  expect(groupsOf([open, unsaid])).toEqual([['open', 'unsaid']]);
  const again = rig('again', { bodyPosition: 'Open' });
  expect(groupsOf([open, body, again])).toEqual([['again', 'open'], ['body']]);
});
