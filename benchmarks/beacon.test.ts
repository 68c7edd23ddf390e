import { afterAll, expect, test } from '@jest/globals';
import { CHIRP_RATE_HZ, tagOf, type WalkEvent } from '@urvek/core';
import { writeWalkFile } from '@urvek/contract';
import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { beaconSound, sequencesOf, writeBeaconFilm } from './beacons.ts';
import { ffmpeg, writeWav } from './recordings.ts';

// The short form of npm run bench:beacon: the command line on recordings of known truth, decoded by Debian's ffmpeg.

const folder = mkdtempSync(join(tmpdir(), 'urvek-beacon-'));
const urvek = fileURLToPath(new URL('../bin/urvek', import.meta.url));
const hasFfmpeg = existsSync('/usr/bin/ffmpeg');
afterAll(() => rmSync(folder, { recursive: true }));
const file = (name: string): string => join(folder, name);
const read = (...args: string[]): unknown =>
  JSON.parse(execFileSync(urvek, ['beacon', ...args, '--json'], { encoding: 'utf8' }));

const WALK = '5d1f6a52-0d6b-4f63-9d0e-0c1d00000001';
const time = (walkS: number) => ({
  walkS,
  rate: 1,
  inputMs: 1000 * walkS,
  originMs: 0,
  wallMs: 1000 * walkS,
});
const at = (seq: number, walkS: number, kind: string, body: object): WalkEvent =>
  ({ walkId: WALK, deviceId: WALK, seq, version: 1, kind, time: time(walkS), body }) as unknown as WalkEvent;
const mark = (travelledM: number) => ({ reading: { travelledM, method: 'wheel', pressed: true } });

if (!hasFfmpeg) process.stdout.write('not run: beacons in files need ffmpeg\n');
(hasFfmpeg ? test : test.skip)(
  'packets behind a codec: which, when, how late, and by the walk’s log where; one that was lost is missing',
  () => {
    const sequences = sequencesOf(8, 25).filter((s) => s !== 100);
    const [wav, opus, walk] = [file('b.wav'), file('b.mka'), file('walk.json')];
    const sound = beaconSound('short', { sequences, tag: tagOf(WALK), snrDb: 10, laterS: 0.2 });
    writeWav(wav, sound, CHIRP_RATE_HZ);
    ffmpeg('-i', wav, '-ar', '48000', '-c:a', 'libopus', '-b:a', '16k', opus);
    writeFileSync(
      walk,
      writeWalkFile(
        {
          ...{ id: WALK, comparisonId: WALK, productId: 'p', rigId: 'r', pathId: 'w', startedMs: 0 },
        },
        [
          at(1, 0, 'begin', { baselineGrade: 5, direction: 'mobile-to-fixed', ...mark(0), playoutDelayS: 0 }),
          at(2, 20, 'mark', mark(24)),
          at(3, 21, 'end', { reason: 'time' }),
        ],
      ),
    );
    const { sound: heard } = read(opus, '--walk', walk) as {
      sound: {
        tag: number;
        later_s: number;
        packets: { sequence: number; travelled_m: number; uncertainty_m: number }[];
        missing: { sequence: number; travelled_m: number }[];
      };
    };
    expect(heard.packets.map((p) => p.sequence)).toEqual(sequences);
    // Opus is ahead of what it was given by nothing: the container says its own delay.
    expect(Math.abs(heard.later_s - 0.2)).toBeLessThan(0.01);
    for (const { sequence, travelled_m, uncertainty_m } of heard.packets)
      expect(Math.abs(travelled_m - 1.2 * 0.1 * sequence)).toBeLessThan(2 * uncertainty_m);
    expect(heard.missing.map((m) => [m.sequence, Math.round(m.travelled_m)])).toEqual([[100, 12]]);
    const other = spawnSync(urvek, ['beacon', opus, '--walk', wav]);
    expect(other.status).toBe(2);
  },
  60_000,
);

(hasFfmpeg ? test : test.skip)(
  'codes filmed at 1 Mbit/s: each with its distance, from the frame in which it first stood',
  async () => {
    const separationM = (sequence: number): number => 3 + 0.14 * sequence;
    const film = file('f.mp4');
    await writeBeaconFilm(film, { codes: 12, tag: 7, held: 6, mbps: 1, noise: 8, separationM });
    const { picture } = read(film) as {
      picture: {
        tag: number;
        codes: { sequence: number; from_s: number; late_s: number; separation_m: number }[];
        missing: [];
      };
    };
    expect(picture.tag).toBe(7);
    expect(picture.codes.map((c) => c.sequence)).toEqual([...Array(12).keys()].map((k) => 2 * k));
    for (const { sequence, from_s, late_s, separation_m } of picture.codes) {
      // By the moving edge, far closer than a frame.
      expect(Math.abs(late_s)).toBeLessThan(0.005);
      expect(Math.abs(separation_m - separationM(sequence))).toBeLessThan(0.051);
      expect(Math.abs(from_s - 0.1 * sequence)).toBeLessThan(1.5 / 30);
    }
    expect(picture.missing).toEqual([]);
  },
  60_000,
);
