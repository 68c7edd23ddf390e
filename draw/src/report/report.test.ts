import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { newRig, EMPTY_SETUP, type Setup, type StoredWalk } from '@urvek/contract';
import { findWalks, Study } from '@urvek/study';
import { onePerPixel } from '../onePerPixel.ts';
import type { Block, ReportDocument } from './document.ts';
import { reportHtml, reportText } from './html.ts';
import { reportOf } from './report.ts';
import { rangeSummary, reachSentence } from './summary.ts';
import { logOf } from '@urvek/core/test';

const setup: Setup = {
  ...EMPTY_SETUP,
  products: ['Brindle', '<script>x</script>'].map((name, i) => ({
    id: `p${i}`,
    name,
    kindId: 'microphone',
    bandMHz: 2400,
    powerMw: 10,
    claims: [
      {
        id: `c${i}`,
        form: 'distance' as const,
        entered: '60 m',
        upTo: false,
        condition: 'open' as const,
        source: '',
      },
    ],
    units: [{ id: 'u', label: 'A', history: '' }],
    rigs: [newRig(`r${i}`, 'u')],
    simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
  })),
  paths: [
    {
      id: 'lane',
      name: 'Lane',
      condition: 'open',
      model: 'two-slope',
      distanceMethod: 'wheel',
      hazards: '',
      permission: '',
      legs: [{ lengthM: 300, bearingDeg: 0, riseM: 0, exposure: 'open' }],
      obstructions: [],
      checkpoints: [],
    },
  ],
};
const walk = (k: number, product: number, lostM: number, ended = true): StoredWalk => {
  const id = `00000000-0000-4000-8000-00000000000${k}`;
  const events: [string, object, number][] = [
    [
      'begin',
      {
        baselineGrade: 5,
        direction: 'mobile-to-fixed',
        reading: { travelledM: 0, method: 'wheel', pressed: false },
        playoutDelayS: 0,
        simulatedSeed: 's',
        conditions: { weather: 'dry' },
      },
      0,
    ],
    ['mark', { reading: { travelledM: lostM - 2, method: 'wheel', pressed: false } }, lostM - 2],
    ['dropoutBegin', {}, lostM + 0.6],
    ['mark', { reading: { travelledM: lostM + 2, method: 'wheel', pressed: false } }, lostM + 2],
    ...(ended ? [['end', { reason: 'link failed' }, lostM + 9] as [string, object, number]] : []),
  ];
  return {
    header: {
      id,
      comparisonId: id,
      productId: `p${product}`,
      rigId: `r${product}`,
      pathId: 'lane',
      startedMs: 1e12 + k * 6e5,
    },
    log: logOf(
      events.map(([kind, body, walkS]) => [walkS, kind, body] as const),
      { walkId: id },
    ),
  };
};
const walks = [
  walk(1, 0, 90),
  walk(2, 1, 140),
  walk(3, 0, 97),
  walk(4, 1, 151),
  walk(5, 0, 94),
  walk(6, 1, 143),
  walk(7, 0, 80, false),
];
const make = (more: Partial<Setup> = {}, form: 'long' | 'short' = 'long'): ReportDocument => {
  const s = { ...setup, ...more };
  return reportOf(
    {
      title: 'Lanes',
      question: 'Which?',
      setup: s,
      findings: findWalks(s, walks),
      judged: Study.ofLogs(s, walks).judgement(),
      unit: 'm',
      day: () => 'a day',
    },
    form,
  );
};
const blocks = (d: ReportDocument): Block[] => d.sections.flatMap((x) => [...x.blocks]);

describe('the report', () => {
  test('has its parts, from the question to who paid; the short form, the essence', () => {
    expect(make().sections.map((s) => s.id)).toEqual([
      'in-short',
      'result-lane-microphone',
      'claims',
      'tested',
      'where',
      'fairness',
      'untested',
      'repeat',
      'paid',
    ]);
    expect(make({}, 'short').sections.map((s) => s.id)).toEqual(['in-short', 'paid']);
    expect(make()).toMatchObject({ simulated: true, when: '6 walks, a day' });
  });

  test('says what was left out, noted, not stated and not tested', () => {
    const items = blocks(make())
      .flatMap((b) => (b.kind === 'list' ? b.items.map((i) => i.text) : []))
      .join('\n');
    for (const said of [
      '1 walk that was not finished is left out',
      'Weather: dry (6 walks)',
      'Places, days and units other than these',
    ])
      expect(items).toContain(said);
    expect(
      blocks(make()).some((b) => b.kind === 'paragraph' && b.text.startsWith('Not stated: who paid')),
    ).toBe(true);
  });

  test('paragraphs can be worded anew, figures and tables not; an acknowledged finding stands with its reason', () => {
    const judged = Study.ofLogs(setup, walks).judgement();
    const [finding] = judged.audits;
    const report = {
      disclosure: 'Lent by a shop.',
      wording: [{ id: 'short/lane-microphone', text: 'In my own words.' }],
      withheld: { coordinates: true, names: false, notes: false, words: [] },
    };
    const d = make({
      report,
      acknowledged: [{ key: finding?.key ?? '', reason: 'no second one to be had' }],
    });
    const text = reportText(d);
    expect(text).toContain('In my own words.');
    expect(text).toContain('Lent by a shop.');
    expect(reportHtml(d)).toContain('no second one to be had');
    expect(blocks(d).find((b) => b.kind === 'paragraph' && b.id === 'short/lane-microphone')).toMatchObject({
      made: expect.stringContaining('half of its walks on Lane hold to'),
    });
  });

  test('so can items of lists and captions; each says what the figures said where they say something else now', () => {
    const [item] = blocks(make()).flatMap((b) => (b.kind === 'list' ? b.items : []));
    const [caption] = blocks(make()).flatMap((b) => (b.kind === 'figure' ? [b.caption] : []));
    const wording = [
      { id: item?.id ?? '', text: 'An item of mine.', made: item?.made },
      { id: caption?.id ?? '', text: 'A caption of mine.', made: 'as it was' },
    ];
    const withheld = { coordinates: true, names: false, notes: false, words: [] };
    const d = make({ report: { disclosure: '', wording, withheld } });
    const html = reportHtml(d);
    expect(html).toContain('>An item of mine.</li>');
    expect(html).not.toContain(`>${item?.made}</li>`);
    expect(html).toContain('<figcaption>A caption of mine.</figcaption>');
    const worded = blocks(d).flatMap((b) =>
      b.kind === 'list' ? b.items : b.kind === 'figure' ? [b.caption] : [],
    );
    expect(worded.find((w) => w.id === item?.id)).toEqual({ ...item, text: 'An item of mine.' });
    expect(worded.find((w) => w.id === caption?.id)).toMatchObject({ made: caption?.made, was: 'as it was' });
    // Every sentence has a name of its own.
    const ids = blocks(d).flatMap((b) =>
      b.kind === 'list' ? b.items.map((i) => i.id) : b.kind === 'paragraph' ? [b.id] : [],
    );
    expect(new Set(ids).size).toBe(ids.length);
  });

  test('a paragraph of many pairs tells those told apart and counts the others', () => {
    const range = Study.ofLogs(setup, walks).judgement().ranges[0]!;
    const ratio = range.summary.productRatios[0]!;
    const short = (holmPs: number[]): string =>
      rangeSummary(
        setup,
        {
          ...range,
          pairs: [],
          summary: { ...range.summary, productRatios: holmPs.map((holmP) => ({ ...ratio, holmP })) },
        },
        'm',
      ).text;
    expect(short([0.5, 0.01]).match(/ as far as /g)).toHaveLength(2);
    expect(short([...Array<number>(8).fill(0.5), 0.01])).toMatch(
      /^(?!.* do not tell them apart).*Of 9 pairs the walks tell 1 apart\.$/,
    );
    expect(short(Array<number>(9).fill(0.01))).toContain('tell 9 apart; the first 6 stand here.');
  });

  test('a median known from one side only lies between nothing', () => {
    const range = Study.ofLogs(setup, walks).judgement().ranges[0]!;
    const cell = range.summary.fitted[0]!;
    const known = (low: number | undefined, high: number | undefined): string =>
      reachSentence({ ...cell, withScale95M: { ...cell.withScale95M, median: { low, high } } }, range, 'm')
        .text;
    expect(known(50, undefined)).toContain('known to be more than 50.0 m (');
    expect(known(undefined, 90)).toContain('known to be less than 90.0 m (');
    expect(known(50, 90)).toContain('known to be between 50.0 m and 90.0 m (');
  });

  test('as a page it stands alone: nothing fetched, nothing run, names as text', () => {
    const html = reportHtml(make());
    expect(html).not.toMatch(/<script|\ssrc=|href=|url\((?!#)/);
    expect(html).toContain('&lt;script&gt;x&lt;/script&gt;');
    expect(html.match(/class="simulated"/g)).toHaveLength(1);
    expect(html).toContain('.simulated{position:fixed');
  });
});

test('one item a pixel column, the first, and those that must be seen', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 20 }), { maxLength: 60 }), (columns) => {
      const kept = onePerPixel(
        columns.map((column, i) => ({ column, i })),
        (x) => x.column,
        (x) => x.i === columns.length - 1,
      );
      expect(new Set(kept.map((k) => k.column))).toEqual(new Set(columns));
      expect(kept.length).toBeLessThanOrEqual(new Set(columns).size + 1);
      if (columns.length > 0) expect(kept.at(-1)?.i).toBe(columns.length - 1);
    }),
  );
});
