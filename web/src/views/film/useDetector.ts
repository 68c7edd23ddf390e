import type { ArtefactKind, Detected, DropoutKind } from '@urvek/core';
import * as Comlink from 'comlink';
import { useState } from 'react';
import type { DetectWorker, LookedFor } from '../../workers/detect.worker.ts';
import { ofPart } from '../../workers/progress.ts';
import type { Reel } from './reel.ts';
import { useThread, type ThreadState } from './useThread.ts';
import * as phrases from './phrases.ts';

/** What was found in a reel, on the recording's clock. */
export interface FoundInReel {
  readonly dropouts: readonly Detected<DropoutKind>[];
  readonly artefacts: readonly Detected<ArtefactKind>[];
  readonly notes: readonly string[];
  /** The thresholds, in words. */
  readonly asked: readonly string[];
}

export interface Detecting {
  readonly thread: ThreadState;
  readonly found: FoundInReel | undefined;
  readonly find: (wanted: LookedFor) => void;
}

const later = <T extends { readonly fromS: number; readonly toS: number }>(d: T, byS: number): T => ({
  ...d,
  fromS: d.fromS + byS,
  toS: d.toS + byS,
});

/** A threshold in words, by its name in the result. */
const ASKED: Readonly<Record<string, (value: number) => string>> = {
  below_db: (v) => phrases.belowDbOfFullScale(v),
  drop_db: (v) => phrases.aFallOfDb(v),
  shortest_s: (v) => phrases.forSAndMore(v),
  picture_shortest_s: (v) => phrases.forSAndMore(v),
  noise_rise_db: (v) => phrases.noiseUpByDb(v),
  noise_rise_shortest_s: (v) => phrases.noiseUpForSAndMore(v),
  frozen_share: (v) => phrases.aChangeUnderOfTheUsual(v),
  abrupt_share: (v) => phrases.atOnceUnderOfTheFrameBefore(v),
  slow_share: (v) => phrases.underOfTheUsualOnAverage(v),
};
const askedText = (name: string, value: number): string => ASKED[name]?.(value) ?? `${name} ${value}`;

/** Looks through the files of a reel. */
export function useDetector(reel: Reel): Detecting {
  const { start, ...thread } = useThread();
  const [found, setFound] = useState<FoundInReel>();
  const find = (wanted: LookedFor): void => {
    setFound(undefined);
    start(async (worker, told) => {
      const detector = Comlink.wrap<DetectWorker>(worker);
      const all = { dropouts: [] as Detected<DropoutKind>[], artefacts: [] as Detected<ArtefactKind>[] };
      const notes = new Set<string>();
      const asked = new Set<string>();
      for (const [i, { file, digest, beginsS }] of reel.entries()) {
        const toldOfFile = Comlink.proxy(ofPart(told, i, reel.length));
        const { sound, picture, troubles } = await detector.find({ file, digest }, wanted, toldOfFile);
        for (const of of [sound, picture]) {
          all.dropouts.push(...(of?.dropouts ?? []).map((d) => later(d, beginsS)));
          for (const [name, value] of Object.entries(of?.thresholds ?? {}))
            asked.add(`${of === picture ? 'picture' : 'sound'}: ${askedText(name, value)}`);
          all.artefacts.push(...(of?.artefacts ?? []).map((d) => later(d, beginsS)));
        }
        for (const trouble of troubles) notes.add(`${file.name}: ${trouble}`);
        if (picture?.tooStill) notes.add(phrases.thePictureHardlyMovesAFreeze(file.name));
      }
      all.dropouts.sort((a, b) => a.fromS - b.fromS);
      all.artefacts.sort((a, b) => a.fromS - b.fromS);
      setFound({ ...all, notes: [...notes], asked: [...asked] });
    });
  };
  return { thread, found, find };
}
