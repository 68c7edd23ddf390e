// npm run bench:detect -- [seconds] [sound|tone|speech|rise|picture|spoilt|skipped]: what `urvek detect` finds in
// recordings of known truth, beside ffmpeg's own silencedetect and freezedetect on the same files in the same run, at
// thresholds that suit these recordings; whole commands timed. Prints the tables of docs/instruments.md. Speech is
// Debian's espeak-ng's.
import { seeded } from '@urvek/core';
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  BY_ANOTHER_HAND,
  BY_HAND,
  ffmpeg,
  gapsIn,
  noiseOf,
  ON_A_TRIPOD,
  scoreOf,
  toneWithJumps,
  writeFilm,
  writeSpoiltFilm,
  writeWav,
  type Gap,
} from './recordings.ts';
import { speechWithGaps, speechWithRises } from './speech.ts';

const seconds = Number(process.argv[2] ?? 300);
const urvek = fileURLToPath(new URL('../bin/urvek', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'urvek-detect-'));
const file = (name: string): string => join(folder, name);

interface Timed {
  readonly gaps: readonly Gap[];
  readonly ms: number;
}

function detected(...args: string[]): Timed & {
  readonly spoilt: readonly Gap[];
  readonly torn: readonly Gap[];
  readonly skipped: readonly Gap[];
  readonly rises: readonly Gap[];
  readonly jumps: readonly Gap[];
  readonly delayMs: number | undefined;
  readonly driftPpm: number;
} {
  const from = performance.now();
  const out = execFileSync(urvek, ['detect', ...args, '--json'], { encoding: 'utf8', maxBuffer: 1 << 28 });
  const ms = performance.now() - from;
  const { dropouts, artefacts, delay_s, drift_ppm } = JSON.parse(out) as {
    dropouts: { from_s: number; to_s: number }[];
    artefacts: { from_s: number; to_s: number; kind: string }[];
    delay_s: number | null;
    drift_ppm: number | null;
  };
  const gapOf = (d: { from_s: number; to_s: number }): Gap => ({ fromS: d.from_s, toS: d.to_s });
  return {
    gaps: dropouts.map(gapOf),
    spoilt: artefacts.filter((a) => a.kind === 'blocks').map(gapOf),
    skipped: artefacts.filter((a) => a.kind === 'skipped frame').map(gapOf),
    torn: artefacts.filter((a) => a.kind === 'torn frame').map(gapOf),
    rises: artefacts.filter((a) => a.kind === 'noise rise').map(gapOf),
    jumps: artefacts.filter((a) => a.kind === 'time jump').map(gapOf),
    ms,
    delayMs: delay_s === null ? undefined : 1000 * delay_s,
    driftPpm: drift_ppm ?? NaN,
  };
}

/** What ffmpeg's filter says on its log: pairs of "…_start: s" and "…_end: s". */
function filtered(input: string, kind: '-af' | '-vf', filter: string, word: string): Timed {
  const from = performance.now();
  const { stderr } = spawnSync(
    'ffmpeg',
    ['-nostdin', '-hide_banner', '-i', input, kind, filter, '-f', 'null', '-'],
    {
      encoding: 'utf8',
      maxBuffer: 1 << 28,
    },
  );
  const ms = performance.now() - from;
  const all = (what: string): number[] =>
    [...stderr.matchAll(new RegExp(`${word}_${what}: ([\\d.]+)`, 'g'))].map(([, s]) => Number(s));
  const ends = all('end');
  return { gaps: all('start').map((fromS, i) => ({ fromS, toS: ends[i] ?? Infinity })), ms };
}

const shown = (gaps: readonly Gap[], { gaps: found, ms }: Timed, withinS: number): string => {
  const s = scoreOf(gaps, found, withinS);
  return (
    `${`${s.found}/${gaps.length}`.padStart(8)} ${String(s.beside).padStart(6)} ` +
    `${(1000 * s.worstOnsetS).toFixed(1).padStart(8)} ${(ms / 1000).toFixed(1).padStart(6)}`
  );
};
const head = (title: string): void =>
  console.log(`\n${title.padEnd(44)}   found  beside  onset,ms   s    |   found  beside  onset,ms   s`);

function sound(): void {
  head('Noise, gaps from 20 ms | silencedetect -30 dB, 20 ms');
  const gaps = gapsIn(seeded('bench'), seconds);
  const rows: [string, string, number][] = [];
  const make = (name: string, options: object, ...codec: string[]): void => {
    writeWav(file('made.wav'), noiseOf('bench', seconds, gaps, options));
    const ending = codec.length === 0 ? 'wav' : codec.includes('aac') ? 'm4a' : 'mka';
    const target = file(`${rows.length}.${ending}`);
    ffmpeg('-i', file('made.wav'), ...(codec.length === 0 ? ['-c', 'copy'] : codec), target);
    rows.push([name, target, /16k/.test(codec.join()) ? 0.02 : 0.01]);
  };
  make('uncompressed', {});
  make('swelling 6 dB', { swellDb: 6 });
  make('residual noise −20 dB', { leftDb: -20 });
  make('residual noise −12 dB, swelling 4 dB', { leftDb: -12, swellDb: 4 });
  make('Opus 32 kbit/s', {}, '-c:a', 'libopus', '-b:a', '32k');
  make('Opus 16 kbit/s', {}, '-c:a', 'libopus', '-b:a', '16k');
  make('AAC 64 kbit/s', {}, '-c:a', 'aac', '-b:a', '64k');
  for (const [name, target, within] of rows)
    console.log(
      `${name.padEnd(42)} ${shown(gaps, detected(target, '--signal', 'noise'), within)}    | ` +
        `${shown(gaps, filtered(target, '-af', 'silencedetect=noise=-30dB:d=0.02', 'silence'), within)}`,
    );
  writeWav(file('long.wav'), noiseOf('none', seconds, [], { swellDb: 6 }));
  console.log(
    `swelling noise without a gap, ${seconds} s: ${detected(file('long.wav'), '--signal', 'noise').gaps.length} told`,
  );
}

function tone(): void {
  head('Tone with pilot, frames out or twice, 20 ms | nothing of ffmpeg’s');
  const { sound: made, jumps } = toneWithJumps('tone', seconds);
  writeWav(file('tone.wav'), made);
  for (const [name, ending, codec] of [
    ['uncompressed', 'wav', []],
    ['Opus 32 kbit/s', 'mka', ['-c:a', 'libopus', '-b:a', '32k']],
    ['Opus 16 kbit/s', 'mka', ['-c:a', 'libopus', '-b:a', '16k']],
    ['AAC 64 kbit/s', 'm4a', ['-c:a', 'aac', '-b:a', '64k']],
    ['µ-law, 8 kHz', 'mka', ['-c:a', 'pcm_mulaw', '-ar', '8000']],
  ] as const) {
    const target = file(`received.${ending}`);
    ffmpeg('-i', file('tone.wav'), ...(codec.length === 0 ? ['-c', 'copy'] : codec), target);
    const { jumps: found, ms } = detected(target, '--signal', 'tone');
    console.log(`${name.padEnd(42)} ${shown(jumps, { gaps: found, ms }, 0.02)}`);
  }
}

function speech(): void {
  if (spawnSync('espeak-ng', ['--version']).error) {
    console.log('\nSpeech: not run, it needs espeak-ng: apt-get install espeak-ng');
    return;
  }
  head('Speech with its reference | silencedetect -45 dB, 20 ms');
  for (const [name, codec] of [
    ['uncompressed', []],
    ['Opus 32 kbit/s', ['-c:a', 'libopus', '-b:a', '32k']],
  ] as const) {
    const { reference, received, gaps, delayMs, driftPpm } = speechWithGaps(folder, codec);
    const found = detected(received, '--reference', reference, '--signal', 'speech');
    console.log(
      `${name.padEnd(42)} ${shown(gaps, found, 0.02)}    | ` +
        `${shown(gaps, filtered(received, '-af', 'silencedetect=noise=-45dB:d=0.02', 'silence'), 0.02)}` +
        `\n  delay ${delayMs.toFixed(2)} ms, told ${found.delayMs?.toFixed(2)}; drift ${driftPpm} ppm, ` +
        `told ${found.driftPpm.toFixed(1)}`,
    );
  }
}

function rise(): void {
  if (spawnSync('espeak-ng', ['--version']).error) {
    console.log('\nSpeech: not run, it needs espeak-ng: apt-get install espeak-ng');
    return;
  }
  head('Noise that rises under speech, onset within 1 s | nothing of ffmpeg’s');
  for (const [name, codec] of [
    ['uncompressed', []],
    ['AAC 64 kbit/s', ['-c:a', 'aac', '-b:a', '64k']],
    ['Opus 32 kbit/s', ['-c:a', 'libopus', '-b:a', '32k']],
    ['µ-law, 8 kHz', ['-c:a', 'pcm_mulaw', '-ar', '8000']],
  ] as const)
    for (const riseDb of [0, 14, 20]) {
      const { received, gaps, seconds: long } = speechWithRises(folder, riseDb, codec);
      const { rises, ms } = detected(received, '--signal', 'unknown');
      console.log(
        riseDb === 0
          ? `${`${name}, no rise in ${long} s`.padEnd(42)} ${rises.length} told`
          : `${`${name}, by ${riseDb} dB`.padEnd(42)} ${shown(gaps, { gaps: rises, ms }, 1)}`,
      );
    }
}

/** Films, and the sensor noise of each; those that are drawn by chance are the same in every run. */
const FILMS = [
  { name: 'testsrc2', source: 'testsrc2', noise: 0 },
  { name: 'testsrc2', source: 'testsrc2', noise: 12 },
  { name: 'mandelbrot', source: 'mandelbrot', noise: 10 },
  { name: 'life', source: 'life=seed=1', noise: 5 },
  { name: 'sierpinski', source: 'sierpinski=seed=1', noise: 6 },
  { name: 'gradients', source: 'gradients=seed=1:c0=0x204060:c1=0xd0a050', noise: 8 },
  { name: 'by hand', ...BY_HAND, noise: 6 },
  { name: 'on a tripod', ...ON_A_TRIPOD, noise: 6 },
  // No threshold was found on these.
  { name: 'cellauto', source: 'cellauto=rule=110:random_seed=1', noise: 7 },
  { name: 'testsrc', source: 'testsrc', noise: 5 },
  { name: 'by another hand', ...BY_ANOTHER_HAND, noise: 9 },
];

function picture(): void {
  head('Films, 720p | freezedetect 0.003, 150 ms');
  const gaps = gapsIn(seeded('film'), Math.min(60, seconds), 0.2).map(({ fromS, toS }) => ({
    fromS: Math.round(25 * fromS) / 25,
    toS: Math.round(25 * toS) / 25,
  }));
  const long = Math.min(60, seconds);
  for (const { name, ...film } of FILMS)
    for (const mbps of [6, 2, 1, 0.5]) {
      const target = file('film.mp4');
      writeFilm(target, { ...film, seconds: long, gaps, mbps });
      console.log(
        `${`${name}, sensor noise ${film.noise}, ${mbps} Mbit/s`.padEnd(42)} ` +
          `${shown(gaps, detected(target), 0.041)}    | ` +
          `${shown(gaps, filtered(target, '-vf', 'freezedetect=n=0.003:d=0.15', 'freeze'), 0.041)}`,
      );
    }
  for (const { name, ...film } of FILMS)
    for (const mbps of [6, 1]) {
      const target = file('film.mp4');
      writeFilm(target, { ...film, seconds: long, gaps: [], mbps });
      const toldS = (told: readonly Gap[]): string =>
        `${told.length} told, ${told.reduce((sum, { fromS, toS }) => sum + toS - fromS, 0).toFixed(1)} s`;
      console.log(
        `${`${name}, no freeze, ${mbps} Mbit/s`.padEnd(42)} ${toldS(detected(target).gaps).padEnd(32)}    | ` +
          toldS(filtered(target, '-vf', 'freezedetect=n=0.003:d=0.15', 'freeze').gaps),
      );
    }
}

function spoilt(): void {
  head(
    'Films, 720p, parts of whose pictures were lost behind a link of so many Mbit/s | nothing of ffmpeg’s',
  );
  const long = Math.min(60, seconds);
  // The first seconds tell what is usual.
  const gaps = gapsIn(seeded('spoilt'), long, 0.2)
    .filter((g) => g.fromS > 4)
    .map(({ fromS, toS }) => ({ fromS: Math.round(25 * fromS) / 25, toS: Math.round(25 * toS) / 25 }));
  for (const { name, ...film } of FILMS)
    for (const mbps of [6, 1])
      for (const how of ['square in grey', 'card', 'torn'] as const) {
        const target = file('spoilt.mp4');
        // A frame that is torn is one.
        const own = how === 'torn' ? gaps.map(({ fromS }) => ({ fromS, toS: fromS + 0.04 })) : gaps;
        writeSpoiltFilm(target, how, { ...film, seconds: long, gaps: own, mbps });
        const { gaps: lost, spoilt: told, torn, ms } = detected(target);
        const found = { card: lost, 'square in grey': told, torn }[how];
        console.log(
          `${`${how}: ${name}, noise ${film.noise}, ${mbps} Mbit/s`.padEnd(58)} ` +
            shown(own, { gaps: found, ms }, 0.041),
        );
      }
}

function skipped(): void {
  head('Films, 720p, of which nine frames were left out | nothing of ffmpeg’s');
  const long = Math.min(30, seconds);
  const frames = Array.from({ length: 9 }, (_, i) => Math.round((25 * long * (i + 1.5)) / 11));
  // Those before it are missing too: it moved up.
  const jumps = frames.map((n, i) => ({ fromS: (n - i) / 25, toS: (n - i + 1) / 25 }));
  for (const { name, ...film } of FILMS)
    for (const mbps of [6, 1])
      for (const left of [frames, []]) {
        const target = file('skipped.mp4');
        writeFilm(target, { ...film, seconds: long, gaps: [], skipped: left, mbps });
        const { skipped: told, ms } = detected(target);
        console.log(
          `${`${name}, ${left.length} left out, ${mbps} Mbit/s`.padEnd(42)} ` +
            shown(left.length === 0 ? [] : jumps, { gaps: told, ms }, 0.041),
        );
      }
}

const parts = { sound, tone, speech, rise, picture, spoilt, skipped };
const wanted = process.argv[3];
try {
  for (const [name, run] of Object.entries(parts)) if (wanted === undefined || wanted === name) run();
} finally {
  rmSync(folder, { recursive: true });
}
