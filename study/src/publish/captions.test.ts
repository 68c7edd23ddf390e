import { expect, test } from '@jest/globals';
import { traceWalk, type Trace } from '@urvek/core';
import { logOf } from '@urvek/core/test';
import { chapterList, cutsCsv, srtOf, vttOf } from './captions.ts';

// A recording that begins 10 s into the walk's clock and lasts 100 s: 1 m/s by wheel, lost from 40 to 45 s.

const at = (m: number, method: 'wheel' | 'by eye' = 'wheel') => ({
  reading: { travelledM: m, method, pressed: false },
});
const still = { reactionS: 0, spreadS: 0 };
const walk = (method: 'wheel' | 'by eye', simulated = false): Trace =>
  traceWalk(
    logOf([
      [
        10,
        'begin',
        {
          direction: 'mobile-to-fixed',
          baselineGrade: 5,
          delay: still,
          ...at(0, method),
          ...(simulated ? { simulatedSeed: 's' } : {}),
        },
      ],
      [40, 'dropoutBegin', {}],
      [45, 'dropoutEnd', {}],
      [70, 'mark', at(60, method)],
      [80, 'end', { reason: 'time' }],
    ]),
  ) as Trace;
const clock = { beginsS: 5, seconds: 100 };

test('chapters and cuts say what happened, when by the film, and where', () => {
  const asked = [{ trace: walk('wheel') }, clock, 'm'] as const;
  expect(chapterList(...asked).split('\n')).toEqual([
    expect.stringMatching(/^0:05 the walk begins, 0\.00 m ± /),
    expect.stringMatching(/^0:35 first dropout, 30\.0 m ± \d/),
    expect.stringMatching(/^0:40 back, grade 5, 35\.0 m ± \d/),
    '1:15 ended: time',
    '',
  ]);
  const [header, ...rows] = cutsCsv(...asked)
    .trim()
    .split(/\r?\n/);
  expect(header).toBe('from_s,to_s,what,distance');
  expect(rows.map((r) => r.split(',').slice(0, 3))).toEqual([
    ['5.000', '35.000', 'the walk begins'],
    ['35.000', '40.000', 'first dropout'],
    ['40.000', '75.000', '"back'],
    ['75.000', '75.000', 'ended: time'],
  ]);
});

test('captions follow each other without a gap, count dropouts, and name what is simulated or by eye', () => {
  const vtt = vttOf({ trace: walk('by eye', true) }, clock, 'm');
  expect(vtt.startsWith('WEBVTT\n\n00:00:05.000 --> ')).toBe(true);
  const cues = [...vtt.matchAll(/(\d\d:\d\d:\d\d\.\d{3}) --> (\d\d:\d\d:\d\d\.\d{3})\n(.*)\n/g)];
  cues.forEach((cue, i) => {
    if (i > 0) expect(cue[1]).toBe(cues[i - 1]?.[2]);
  });
  expect(cues.at(-1)?.[2]).toBe('00:01:15.000');
  const lost = cues.find((c) => c[1] === '00:00:35.000')?.[3];
  expect(lost).toMatch(/^30\.0 m ± .* \(simulated, by eye\) · lost, grade 1 · 1 dropout$/);
  // Beyond the last mark nobody knows where it was.
  expect(cues.at(-1)?.[3]).toBe('distance not known · clear, grade 5 · 1 dropout');
  const srt = srtOf({ trace: walk('wheel') }, clock, 'ft');
  expect(srt).toMatch(/^1\n00:00:05,000 --> 00:00:06,000\n/);
  expect(srt).toContain('ft');
  expect(srt).not.toContain('simulated');
});
