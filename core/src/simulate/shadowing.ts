import { seeded } from '../random/seeded.ts';

/**
 * Shadowing along a path, dB: normal, exponentially correlated over distance (M. Gudmundson, Electron.
 * Lett. 27 (1991), from memory). It belongs to the place: the same seed gives the same field for every
 * walk.
 */
export function shadowingField(
  seed: string,
  lengthM: number,
  sdDb: number,
  decorrelationM: number,
): (travelledM: number) => number {
  if (!(decorrelationM > 0)) throw new RangeError(`invalid decorrelationM: ${decorrelationM}`);
  const random = seeded(seed);
  const keep = Math.exp(-1 / decorrelationM);
  const fresh = Math.sqrt(1 - keep * keep);
  const samples = new Float64Array(Math.ceil(lengthM) + 2);
  samples[0] = random.normal();
  for (let i = 1; i < samples.length; i++)
    samples[i] = keep * (samples[i - 1] as number) + fresh * random.normal();
  return (travelledM) => {
    const x = Math.min(samples.length - 2, Math.max(0, travelledM));
    const i = Math.floor(x);
    return sdDb * ((samples[i] as number) + (x - i) * ((samples[i + 1] as number) - (samples[i] as number)));
  };
}
