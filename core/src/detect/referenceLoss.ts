import type { Alignment } from './alignment.ts';
import { powerDb } from './blockPower.ts';
import type { Detected, Thresholds } from './detected.ts';
import { KnownLoss, type LossOptions } from './knownLoss.ts';

/** Speech changes from one sound to the next within tens of milliseconds, s. */
export const REFERENCE_BLOCK_S = 0.002;
/** Where the reference is quieter than this below its loud parts nothing can be missed, dB. */
const AUDIBLE_DB = 25;
/** Loud: what a tenth of its blocks reach. */
const LOUD = 0.9;
/** Power over so many blocks: a codec shifts energy about by that much. */
const SMOOTH = 3;

export interface ReferenceLoss {
  /** In seconds of the received one. */
  readonly dropouts: readonly Detected<'loss'>[];
  readonly thresholds: Thresholds;
  /** Of the time, in which something would have been missed. */
  readonly audibleShare: number;
}

/**
 * Loss of a signal whose original is known, speech for instance: where the received power falls against the power
 * that was sent at the same moment. Pauses say nothing. Both at the same rate, the received one aligned by
 * `alignment`.
 */
export function referenceLoss(
  reference: Float32Array,
  received: Float32Array,
  rateHz: number,
  { delayS, driftPpm }: Alignment,
  options: Partial<LossOptions> = {},
): ReferenceLoss {
  const samples = Math.round(rateHz * REFERENCE_BLOCK_S);
  const blockS = samples / rateHz;
  const count = Math.floor(reference.length / samples);
  const sent = Float64Array.from({ length: count }, (_, i) => meanPower(reference, i * samples, samples));
  const loud = [...sent].sort((a, b) => a - b)[Math.floor(LOUD * (count - 1))] ?? 0;
  const audible = powerDb(loud) - AUDIBLE_DB;
  const loss = new KnownLoss(options, blockS);
  const receivedS = (sentS: number): number => sentS * (1 + driftPpm * 1e-6) + delayS;
  let heardBlocks = 0;
  for (let i = 0; i < count; i++) {
    const around = smoothed(sent, i);
    const from = Math.round(receivedS(i * blockS) * rateHz);
    if (powerDb(around) < audible || from < 0 || from + samples > received.length) {
      loss.pass();
      continue;
    }
    heardBlocks++;
    const heard = meanPower(received, from - samples * Math.floor(SMOOTH / 2), samples * SMOOTH);
    loss.push(heard / around);
  }
  return {
    dropouts: loss.end().map((d) => ({ ...d, fromS: receivedS(d.fromS), toS: receivedS(d.toS) })),
    thresholds: { ...loss.thresholds, audible_db: AUDIBLE_DB },
    audibleShare: count === 0 ? 0 : heardBlocks / count,
  };
}

const smoothed = (sent: Float64Array, i: number): number => {
  let sum = 0;
  for (let k = -Math.floor(SMOOTH / 2); k <= Math.floor(SMOOTH / 2); k++) sum += sent[i + k] ?? 0;
  return sum / SMOOTH;
};

function meanPower(sound: Float32Array, from: number, samples: number): number {
  let sum = 0;
  for (let i = Math.max(0, from); i < Math.min(sound.length, from + samples); i++)
    sum += (sound[i] as number) ** 2;
  return sum / samples;
}
