import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { FormatError, outcomeOf } from '@urvek/core';
import { readWalks, newRig, EMPTY_SETUP, type Setup } from '@urvek/contract';
import { findWalks } from '../results/findings.ts';
import { guessMapping, previewSheet, readSheet, walksOfSheet } from './sheetImport.ts';

const setup: Setup = {
  ...EMPTY_SETUP,
  products: ['Brindle', 'Corvane'].map((name) => ({
    id: name.toLowerCase(),
    name,
    kindId: 'microphone',
    bandMHz: 2400,
    powerMw: 10,
    claims: [],
    units: [{ id: 'u', label: 'A', history: '' }],
    rigs: [newRig(`${name.toLowerCase()}-r`, 'u')],
    simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
  })),
  paths: [
    {
      id: 'p',
      name: 'Lane',
      condition: 'open',
      model: 'two-slope',
      distanceMethod: 'paces',
      hazards: '',
      permission: '',
      legs: [{ lengthM: 600, bearingDeg: 0, riseM: 0, exposure: 'open' }],
      obstructions: [],
      checkpoints: [],
    },
  ],
};
const options = { unit: 'm', method: 'paces', falling: 'the way back' } as const;
const read = (text: string) => {
  const sheet = readSheet(text);
  return previewSheet(setup, sheet, guessMapping(sheet), options);
};
let n = 0;
const newId = (): string => `00000000-0000-4000-8000-${String(n++).padStart(12, '0')}`;

const GOOD =
  'Device;Where;Run;Distance;Quality;Remarks\nbrindle;Lane;1;100 ft;loud and ' +
  'clear;\nBrindle;lane;1;0.2 km;crackling;near the ' +
  'gate\nBrindle;Lane;1;260;silence;\nCorvane;Lane;1;300;5;\n';

test('“ten feet beyond the edge” is a place where the path has an edge, and by its order where not', () => {
  const edged = {
    ...setup,
    paths: setup.paths.map((p) => ({ ...p, checkpoints: [{ name: 'edge', atM: 60 }] })),
  };
  const sheet = readSheet('Device;Distance;Quality\nbrindle;40;5\nbrindle;ten feet beyond the edge;1\n');
  const read = (to: Setup) => {
    const { walks, problems } = previewSheet(to, sheet, guessMapping(sheet), options);
    expect(problems).toEqual([]);
    return walks[0]?.points.map((p) => p.reading?.travelledM ?? p.name);
  };
  expect(read(edged)).toEqual([40, 63.048]);
  expect(read(setup)).toEqual([40, 'ten feet beyond the edge']);
});

describe('walks from a table that somebody kept', () => {
  test('columns are guessed, units mixed, words become grades that are shown', () => {
    const { problems, walks } = read(GOOD);
    expect(problems).toEqual([]);
    expect(
      walks.map((w) => [
        w.product.name,
        w.points.map((p) => [Math.round(100 * (p.reading?.travelledM ?? 0)) / 100, p.grade, p.from]),
      ]),
    ).toEqual([
      [
        'Brindle',
        [
          [30.48, 5, 'loud and clear'],
          [200, 4, 'crackling'],
          [260, 1, 'silence'],
        ],
      ],
      ['Corvane', [[300, 5, undefined]]],
    ]);
  });

  test('become logs that the base takes and that hold and fail where the table says', () => {
    const walks = walksOfSheet(read(GOOD), '00000000-0000-4000-8000-00000000abcd', newId, 1_700_000_000_000);
    expect(readWalks(JSON.parse(JSON.stringify(walks)), '00000000-0000-4000-8000-00000000abcd')).toEqual(
      JSON.parse(JSON.stringify(walks)),
    );
    const [brindle, corvane] = findWalks(setup, walks);
    const interval = brindle && outcomeOf(brindle, 'first dropout').interval;
    // The bracket joins the last good and the first bad point; their uncertainty is the method's.
    expect(interval).toMatchObject({ heldM: 200, failedM: 260, heldUM: 0.5, failedUM: 0.5 });
    expect(brindle?.trace.begin.body).toMatchObject({ untimed: true });
    expect(brindle?.header.undated).toBe(true);
    expect(brindle?.summary.durationS).toBeUndefined();
    expect(corvane && outcomeOf(corvane, 'first dropout').interval?.failedM).toBeUndefined();
  });

  test.each<[string, string, string | undefined, RegExp]>([
    [
      'an unknown product',
      'product,distance,grade\nOther,10,5',
      'product',
      /no product is called "Other"; there are Brindle, Corvane/,
    ],
    ['no figure', 'product,distance,grade\nBrindle,far,1', 'distance', /"far" is not a distance/],
    ['beyond the path', 'product,distance,grade\nBrindle,700,1', 'distance', /beyond Lane/],
    ['no grade', 'product,distance,grade\nBrindle,10,meh', 'grade', /"meh" is no grade of Microphone/],
    ['nothing found', 'product,distance,grade\nBrindle,10,', 'grade', /neither a grade nor presses/],
    [
      'more hits than presses',
      'product,distance,presses,hits\nBrindle,10,3,4',
      'hits',
      /4 hits of 3 presses/,
    ],
    [
      'another unit',
      'product,distance,grade\nBrindle,380,5\nBrindle,0.4,5\nBrindle,420,1',
      'distance',
      /a thousand times off/,
    ],
    ['a short row', 'product,distance,grade\nBrindle,10', undefined, /2 fields where the header has 3/],
  ])('%s is in the way, by line and column', (_, text, column, what) => {
    const { problems } = read(text);
    expect(problems).toHaveLength(1);
    expect(problems[0]).toMatchObject({
      line: text.includes('0.4') ? 3 : 2,
      column,
      what: expect.stringMatching(what),
    });
    expect(() => walksOfSheet(read(text), newId(), newId, 0)).toThrow('invalid sheet: 1 problem');
  });

  const findings = (text: string, more: object = {}) => {
    const sheet = readSheet(text);
    const preview = previewSheet(setup, sheet, guessMapping(sheet), { ...options, ...more });
    expect(preview.problems).toEqual([]);
    return findWalks(setup, walksOfSheet(preview, newId(), newId, 0));
  };
  const intervalOf = (text: string, more: object = {}) => {
    const [walk] = findings(text, more);
    return walk && outcomeOf(walk, 'last usable').interval;
  };

  test('a failure without a distance is kept: place unknown, up to the farthest place reached', () => {
    const text = 'product,distance,grade\nBrindle,30,5\nBrindle,?,1\nBrindle,120,1\n';
    expect(intervalOf(text)).toMatchObject({ heldM: 30, failedM: 120, unplaced: true });
    expect(intervalOf('product,distance,grade\nBrindle,30,5\nBrindle,,1\n')).toMatchObject({
      heldM: 30,
      failedM: undefined,
      unplaced: true,
    });
  });

  test('places as people write them: about, between, over, under', () => {
    const about = intervalOf('product,distance,grade\nBrindle,about 40,5\nBrindle,between 50 and 60,1\n');
    expect(about).toMatchObject({ heldM: 40, heldUM: 4, failedM: 55 });
    expect(about?.failedUM).toBeCloseTo(10 / Math.sqrt(12), 9);
    expect(intervalOf('product,distance,grade\nBrindle,over 40,5\nBrindle,under 90,1\n')).toMatchObject({
      heldM: 40,
      failedM: 90,
    });
    expect(intervalOf('product,distance,grade\nBrindle,40,5\nBrindle,over 90,1\n')).toMatchObject({
      heldM: 40,
      failedM: undefined,
      unplaced: true,
    });
  });

  test('distances that fall are the way back, or rows to be sorted: as one says', () => {
    const text =
      'product,distance,grade\n' +
      [50, 100, 150, 199, 150, 100, 50].map((m, i) => `Brindle,${m},${i < 2 || i > 4 ? 5 : 1}`).join('\n');
    const [walk] = findings(text);
    expect(walk?.trace.turnS).toBeDefined();
    expect(walk && outcomeOf(walk, 'last usable').interval).toMatchObject({ heldM: 100, failedM: 150 });
    const shuffled = 'product,distance,grade\nBrindle,100,1\nBrindle,40,5\nBrindle,60,5\n';
    expect(intervalOf(shuffled, { falling: 'rows out of order' })).toMatchObject({
      heldM: 60,
      failedM: 100,
    });
  });

  test('a table without distances orders its places by name', () => {
    const [walk] = findings('product,place,grade\nBrindle,landing,5\nBrindle,cellar,1\n');
    const outcome = walk && outcomeOf(walk, 'last usable');
    expect(outcome?.interval).toBeUndefined();
    expect(outcome?.between).toEqual({ held: 'landing', failed: 'cellar' });
  });

  test('whatever the text, it is read or refused in words', () => {
    expect(() => readSheet('')).toThrow(FormatError);
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => {
        try {
          const sheet = readSheet(text);
          const { problems, walks } = previewSheet(setup, sheet, guessMapping(sheet), options);
          expect(problems.every((p) => p.what !== '')).toBe(true);
          expect(walks.every((w) => w.points.every((p) => (p.reading?.travelledM ?? 0) >= 0))).toBe(true);
        } catch (error) {
          expect(error).toBeInstanceOf(FormatError);
        }
      }),
      { numRuns: 200 },
    );
  });
});
