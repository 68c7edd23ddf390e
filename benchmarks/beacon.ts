// npm run bench:beacon -- [packets] [hours]: what `urvek beacon` reads of recordings of known truth, behind noise and
// codecs, and how many packets it reads where there are none, in so many hours of noise, speech and sweeping tones.
// Prints the tables of docs/instruments.md. Speech is Debian's espeak-ng's.
import { CHIRP_RATE_HZ, ChirpReader, seeded } from '@urvek/core';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { beaconSound, sequencesOf, writeBeaconFilm } from './beacons.ts';
import { ffmpeg, writeWav } from './recordings.ts';
import { spokenAt } from './speech.ts';

const packets = Number(process.argv[2] ?? 40);
const hours = Number(process.argv[3] ?? 1);
const urvek = fileURLToPath(new URL('../bin/urvek', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'urvek-beacon-'));
const file = (name: string): string => join(folder, name);
const TAG = 1234;
const LATER_S = 0.2371;

interface Printed {
  readonly sound?: {
    readonly packets: readonly { readonly sequence: number; readonly at_s: number }[];
    readonly drift_ppm: number | null;
    readonly implausible: number;
  };
  readonly picture?: {
    readonly codes: readonly {
      readonly sequence: number;
      readonly from_s: number;
      readonly late_s?: number;
      readonly separation_m?: number;
    }[];
    readonly missing: readonly object[];
  };
}
const read = (name: string): { out: Printed; ms: number } => {
  const from = performance.now();
  const text = execFileSync(urvek, ['beacon', file(name), '--json'], {
    encoding: 'utf8',
    maxBuffer: 1 << 28,
  });
  return { out: JSON.parse(text) as Printed, ms: performance.now() - from };
};

const sequences = sequencesOf(packets, 25);
/** Name, noise in dB below, and what ffmpeg makes of it. */
const LINKS: readonly [string, number, readonly string[], string][] = [
  ['direct, noise 20 dB below', 20, [], 'wav'],
  ['noise as strong (0 dB)', 0, [], 'wav'],
  ['noise 15 dB stronger', -15, [], 'wav'],
  ['µ-law at 8 kHz', 20, ['-ar', '8000', '-c:a', 'pcm_mulaw'], 'wav'],
  ['Opus 16 kbit/s', 20, ['-ar', '48000', '-c:a', 'libopus', '-b:a', '16k', '-application', 'voip'], 'mka'],
  ['Opus 8 kbit/s', 20, ['-ar', '48000', '-c:a', 'libopus', '-b:a', '8k', '-application', 'voip'], 'mka'],
  ['AAC 64 kbit/s', 20, ['-ar', '48000', '-c:a', 'aac', '-b:a', '64k'], 'm4a'],
  ['GSM 13 kbit/s', 20, ['-ar', '8000', '-c:a', 'libgsm'], 'gsm'],
  ['a clock 60 ppm fast', 20, ['-af', 'asetrate=8000.48,aresample=8000'], 'wav'],
];
console.log('| link | read | scatter of arrival, ms, worst | constant, ms | drift, ppm | times real time |');
for (const [name, snrDb, codec, ending] of LINKS) {
  writeWav(
    file('sent.wav'),
    beaconSound(`${name}`, { sequences, tag: TAG, snrDb, laterS: LATER_S }),
    CHIRP_RATE_HZ,
  );
  const heard = `heard.${ending}`;
  try {
    ffmpeg('-i', file('sent.wav'), ...codec, file(heard));
  } catch {
    console.log(`| ${name} | not run: this ffmpeg has no such encoder |`);
    continue;
  }
  const { out, ms } = read(heard);
  const right = (out.sound?.packets ?? []).filter((p) => sequences.includes(p.sequence));
  const drift = (out.sound?.drift_ppm ?? 0) / 1e6;
  const late = right.map((p) => 1000 * (p.at_s - 0.1 * p.sequence * (1 + drift) - LATER_S));
  const middle = late.toSorted((a, b) => a - b)[late.length >> 1] ?? NaN;
  const worst = Math.max(...late.map((l) => Math.abs(l - middle)));
  const lengthS = 0.1 * (sequences.at(-1) ?? 0) + 4;
  console.log(
    `| ${name} | ${right.length} of ${packets} | ${worst.toFixed(3)} | ${middle.toFixed(2)} | ` +
      `${(1e6 * drift).toFixed(1)} | ${(lengthS / (ms / 1000)).toFixed(0)} |`,
  );
}

console.log(
  '\n| film, 720p, code of 40 % of its height, 6 frames each | read | of them with a wrong ' +
    'distance | first seen late by, frames, worst | ' +
    'late by the moving edge, of how many, ms, worst |',
);
for (const mbps of [6, 2, 1, 0.5]) {
  const codes = packets * 2;
  const separationM = (sequence: number): number => 3 + 0.14 * sequence;
  await writeBeaconFilm(file('film.mp4'), { codes, tag: TAG, held: 6, mbps, noise: 8, separationM });
  const seen = read('film.mp4').out.picture?.codes ?? [];
  const wrong = seen.filter((c) => Math.abs((c.separation_m ?? NaN) - separationM(c.sequence)) > 0.051);
  const byEdge = seen.flatMap((c) => (c.late_s === undefined ? [] : Math.abs(c.late_s)));
  const late = Math.max(...seen.map((c) => (c.from_s - 0.1 * c.sequence) * 30));
  console.log(
    `| ${mbps} Mbit/s, sensor noise | ${seen.length} of ${codes} | ${wrong.length} | ${late.toFixed(2)} | ` +
      `${byEdge.length}, ${(1000 * Math.max(...byEdge)).toFixed(1)} |`,
  );
}

const random = seeded('nothing');
const speech = spokenAt(folder, CHIRP_RATE_HZ);
const SOURCES: readonly [string, (i: number) => number][] = [
  ['noise', () => random.normal()],
  ['speech in noise', (i) => (speech[i % speech.length] as number) + 0.02 * random.normal()],
  // Chords that change, with their overtones and a beat: what music is made of.
  [
    'chords and a beat',
    (i) => {
      const t = i / CHIRP_RATE_HZ;
      const root = 220 * 2 ** (Math.floor((t * 7919) % 24) / 12);
      const beat = Math.exp(-8 * ((t * 2) % 1)) * random.normal();
      return [1, 1.25, 1.5, 2, 3, 4].reduce((sum, k) => sum + Math.sin(2 * Math.PI * root * k * t) / k, beat);
    },
  ],
];
console.log('\n| without a beacon | hours | packets read |');
for (const [name, sample] of SOURCES) {
  const reader = new ChirpReader();
  let count = 0;
  const pieces = Math.round((hours / SOURCES.length) * 3600);
  for (let s = 0; s < pieces; s++) {
    const at = s * CHIRP_RATE_HZ;
    count += reader.push(Float32Array.from({ length: CHIRP_RATE_HZ }, (_, i) => sample(at + i))).length;
  }
  console.log(`| ${name} | ${(pieces / 3600).toFixed(2)} | ${count + reader.end().length} |`);
}
rmSync(folder, { recursive: true });
