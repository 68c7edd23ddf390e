import { placeAt, type Path, type Trace } from '@urvek/core';
import { sceneToSvg, tapeScene, travelledGround, walkLanes } from '@urvek/draw';
import { momentOf, type RecordingClock } from '@urvek/study';
import { useRef, useState } from 'react';
import { Choice } from '../../components/Field.tsx';
import { download } from '../../state/download.ts';
import { useUnit } from '../../state/unit.ts';
import { makeOverlay, type OverlayAsked } from './makeOverlay.ts';
import * as phrases from './phrases.ts';

const SIZES = ['1280×720', '1920×1080', '3840×2160'] as const;
const PLACES = ['bottom', 'top'] as const;
/** A pointer that moves at a walk's pace needs no more, frames a second. */
const RATES = [5, 10, 25] as const;

/** The tape over the film: transparent, at a size and a place, with the pointer where the walker is. */
export function Overlay({
  trace,
  path,
  clock,
  label,
  name,
}: {
  trace: Trace;
  path: Path;
  clock: RecordingClock;
  label: string;
  name: string;
}) {
  const [unit] = useUnit();
  const [size, setSize] = useState<(typeof SIZES)[number]>('1920×1080');
  const [place, setPlace] = useState<(typeof PLACES)[number]>('bottom');
  const [rate, setRate] = useState<(typeof RATES)[number]>(5);
  const [done, setDone] = useState<number>();
  const [trouble, setTrouble] = useState<string>();
  const stop = useRef(false);
  const make = async (): Promise<void> => {
    const [width = 1920, height = 1080] = size.split('×').map(Number);
    stop.current = false;
    setDone(0);
    setTrouble(undefined);
    const lanes = walkLanes(trace, label, 'overlay');
    // Drawn as on a page of this width, and then as large as the film is.
    const pageWidth = 1200;
    const asked: OverlayAsked = {
      ...{ width, height, rate, place, seconds: clock.seconds, pageWidth },
      svgAt: (s) => {
        const atS = s + clock.beginsS;
        return sceneToSvg(
          tapeScene({
            title: label,
            ground: travelledGround(path),
            measure: 'travelled',
            lanes,
            ...{ unit, width: pageWidth, labelWidth: 120 },
            hereM: placeAt(trace, atS)?.travelledM,
          }),
        );
      },
      textAt: (s) => {
        const moment = momentOf({ trace }, s + clock.beginsS, unit);
        return (
          moment &&
          phrases.dropouts(moment.distance ?? phrases.distanceNotKnown, moment.state, moment.dropouts)
        );
      },
      told: setDone,
      stopped: () => stop.current,
    };
    try {
      const made = await makeOverlay(asked);
      if (made) download(`${name}-overlay.${made.extension}`, made.blob);
    } catch (error) {
      setTrouble(phrases.theOverlayWasNotMadeNothing((error as Error).message));
    }
    setDone(undefined);
  };
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3" role="group" aria-label={phrases.overlay}>
      <Choice
        label={phrases.sizeOfTheFilm}
        value={size}
        onChange={(e) => setSize(e.target.value as typeof size)}
      >
        {SIZES.map((s) => (
          <option key={s}>{s}</option>
        ))}
      </Choice>
      <Choice label={phrases.where} value={place} onChange={(e) => setPlace(e.target.value as typeof place)}>
        {PLACES.map((p) => (
          <option key={p}>{p}</option>
        ))}
      </Choice>
      <Choice
        label={phrases.picturesASecond}
        value={rate}
        onChange={(e) => setRate(Number(e.target.value) as typeof rate)}
      >
        {RATES.map((r) => (
          <option key={r}>{r}</option>
        ))}
      </Choice>
      {done === undefined ? (
        <button type="button" className="btn" onClick={() => void make()}>
          {phrases.makeTheOverlay}
        </button>
      ) : (
        <p role="status" className="flex items-center gap-2">
          {Math.round(100 * done)} %
          <button
            type="button"
            className="btn"
            onClick={() => {
              stop.current = true;
            }}
          >
            {phrases.stop}
          </button>
        </p>
      )}
      <p className="w-full text-faint">{phrases.aWebmWithTransparencyWhereThis}</p>
      {trouble && (
        <p role="alert" className="w-full font-bold text-lost">
          {trouble}
        </p>
      )}
    </div>
  );
}
