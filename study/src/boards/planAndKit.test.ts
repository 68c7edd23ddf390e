import { describe, expect, test } from '@jest/globals';
import { EMPTY_SETUP, newRig, type ProductClaim, type Setup } from '@urvek/contract';
import { kitLines, rigSheet } from './kitBoard.ts';
import { planBoard } from './planBoard.ts';

const claim = (entered: string, more: Partial<ProductClaim> = {}): ProductClaim => ({
  ...{ id: entered, form: 'distance', entered, upTo: true, condition: 'open', source: '' },
  ...more,
});
const product = (id: string, claims: ProductClaim[], rig: object = {}): Setup['products'][number] => ({
  id,
  name: id.toUpperCase(),
  kindId: 'microphone',
  claims,
  units: [{ id: 'u', label: 'A', history: '' }],
  rigs: [{ ...newRig(`${id}r`, 'u'), ...rig }],
  simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
});
const setup = (products: Setup['products'], plan: Partial<Setup['plan']> = {}): Setup => ({
  ...EMPTY_SETUP,
  products,
  paths: [
    {
      ...{ id: 'x', name: 'X', condition: 'open', model: 'free-space', distanceMethod: 'wheel', hazards: '' },
      ...{ permission: '', obstructions: [], checkpoints: [] },
      legs: [{ lengthM: 200, bearingDeg: 0, riseM: 0, exposure: 'open' }],
    },
  ],
  plan: { ...EMPTY_SETUP.plan, walksEach: 3, sigma: 0.2, ratio: 1.25, ...plan },
});
const outlooks = (of: Setup) => planBoard(of, []).rows.map((r) => r.cells.map((c) => [c.outlook, c.short]));

describe('the plan board', () => {
  test('a claim beyond the path is a bound; one within it can be settled', () => {
    expect(outlooks(setup([product('a', [claim('400 m')]), product('b', [claim('100 m')])]))).toEqual([
      [['bound', 'reaches 50 % of its claim']],
      [['settles', 'can settle its claim']],
    ]);
  });

  test('without a claim the difference that matters decides: 14 walks tell 1.25 at a spread of 0.2', () => {
    // METHODS: power 80 % by the noncentral t.
    const two = [product('a', []), product('b', [])];
    expect(outlooks(setup(two))[0]).toEqual([['too few', 'too few: ×1.25 needs 14']]);
    expect(outlooks(setup(two, { walksEach: 14 }))[0]).toEqual([['tells', 'tells ×1.25 apart']]);
    // Alone of its kind there is nothing to tell it from.
    expect(outlooks(setup([product('a', [])]))[0]).toEqual([['tells', 'gives an estimate']]);
  });

  test('walks made and to make', () => {
    const [row] = planBoard(setup([product('a', [])]), []).rows;
    expect(row?.cells[0]).toMatchObject({ id: 'x~a~ar', made: 0, wanted: 3 });
  });
});

describe('the kit', () => {
  test('what nobody stated is named; claims stand in metres, others in words, half typed ones nowhere', () => {
    const [line] = kitLines({
      products: [product('a', [claim('500 ft'), claim('80 ms', { form: 'latency' }), claim('5 par')])],
    });
    expect(line?.distances.map((d) => Math.round(d.atM))).toEqual([152]);
    expect(line?.otherClaims).toEqual(['up to 80 ms, open', 'up to 5 par, open']);
    expect(line?.missing).toEqual(['band', 'power', 'sensitivity', 'heights', 'channel']);
  });

  test('the sheet notches what differs with its size, and takes the unknown for no difference', () => {
    const [first, other, third] = rigSheet({
      products: [
        product('a', [], { powerMw: 20, channel: '3' }),
        product('b', [], { powerMw: 10, channel: '3' }),
        product('c', [], { channel: '5' }),
      ],
    });
    expect(first?.against).toBeUndefined();
    // Half the power: −3.01 dB.
    expect(other?.differences.get('powerMw')?.gainDb).toBeCloseTo(-3.0103, 4);
    expect([...(other?.differences.keys() ?? [])]).toEqual(['powerMw']);
    expect([...(third?.differences.keys() ?? [])]).toEqual(['channel']);
    expect(third?.differences.get('channel')?.gainDb).toBeUndefined();
  });
});
