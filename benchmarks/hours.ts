// npm run bench:hours -- [hours]: the detectors on so many hours of input, a tenth at a time: what they keep in
// memory, how much faster than it plays, and what they find where nothing is lost (noise that swells by 6 dB, a tone
// in noise, a picture that drifts).
import { ChirpReader, CHIRP_RATE_HZ, LOOKED_AT, PictureDetector, seeded, SoundDetector } from '@urvek/core';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';

const hours = Number(process.argv[2] ?? 2);
const TENTHS = 10;
setFlagsFromString('--expose-gc');
const collect = runInNewContext('gc') as () => void;

/** What is kept, MB, typed arrays included. */
function keptMB(): number {
  collect();
  const { heapUsed, arrayBuffers } = process.memoryUsage();
  return (heapUsed + arrayBuffers) / 1e6;
}

interface Fed {
  /** Gives the next second of input. */
  second(s: number): void;
  /** What was found where there is nothing to find. */
  found(): string;
}

const RATE_HZ = 48_000;
const random = seeded('hours');
/** Laid down once and played at places that do not repeat: to make it anew would take most of the time. */
const bed = Float32Array.from({ length: 7 * RATE_HZ + 13 }, () => 0.1 * random.normal());
const piece = new Float32Array(RATE_HZ);
const noiseOf = (s: number, swellDb: number): Float32Array => {
  const from = (s * 31_337) % (bed.length - RATE_HZ);
  const gain = 10 ** ((swellDb * Math.sin(s / 11)) / 20);
  for (let i = 0; i < RATE_HZ; i++) piece[i] = gain * (bed[from + i] as number);
  return piece;
};

function sound(signal: 'noise' | 'tone'): Fed {
  const detector = new SoundDetector({ rateHz: RATE_HZ, channels: 1, signal });
  return {
    second: (s) => {
      const samples = noiseOf(s, signal === 'noise' ? 6 : 0);
      if (signal === 'tone')
        for (let i = 0; i < RATE_HZ; i++)
          samples[i] = 0.1 * (samples[i] as number) + 0.2 * Math.sin((2 * Math.PI * 1000 * i) / RATE_HZ);
      detector.push([samples]);
    },
    found: () => {
      const { dropouts, artefacts } = detector.end();
      return `${dropouts.length} dropouts, ${artefacts.length} artefacts`;
    },
  };
}

function picture(): Fed {
  const [detector, fps] = [new PictureDetector(), 25];
  const { width, height } = LOOKED_AT;
  const grey = new Uint8Array(width * height);
  const row = Uint8Array.from({ length: 4096 }, (_, i) => 120 + 60 * Math.sin(i / 18) + 4 * random.normal());
  return {
    second: (s) => {
      for (let n = 0; n < fps; n++) {
        const at = s * fps + n;
        for (let y = 0; y < height; y++)
          grey.set(row.subarray((3 * at + 7 * y) % 3900, ((3 * at + 7 * y) % 3900) + width), y * width);
        detector.push(grey, at / fps);
      }
    },
    found: () => {
      const { dropouts, artefacts } = detector.end();
      return `${dropouts.length} dropouts, ${artefacts.length} artefacts`;
    },
  };
}

function beacon(): Fed {
  const reader = new ChirpReader();
  let packets = 0;
  return {
    second: (s) => {
      packets += reader.push(noiseOf(s, 0).slice(0, CHIRP_RATE_HZ)).length;
    },
    found: () => `${packets + reader.end().length} packets`,
  };
}

for (const [name, fed] of [
  ['sound, noise', sound('noise')],
  ['sound, tone', sound('tone')],
  ['picture, 25 a second', picture()],
  ['beacon in sound', beacon()],
] as const) {
  const kept: number[] = [];
  const from = performance.now();
  const seconds = Math.round(3600 * hours);
  for (let s = 0; s < seconds; s++) {
    fed.second(s);
    if ((s + 1) % Math.round(seconds / TENTHS) === 0) kept.push(keptMB());
  }
  const took = (performance.now() - from) / 1000;
  console.log(
    `${name}: ${hours} h in ${took.toFixed(0)} s, ${(seconds / took).toFixed(0)} times as fast; ` +
      `kept, MB at each tenth: ${kept.map((m) => m.toFixed(1)).join(', ')}; found: ${fed.found()}`,
  );
}
