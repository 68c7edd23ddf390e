import { BEACON_TICK_S, MOST_SEQUENCE, pictureText } from '@urvek/core';
import { create } from 'qrcode';
import { useEffect, useRef } from 'react';
import type { BeaconClock } from '../../field/testSignals.ts';
import { FullScreen } from './FullScreen.tsx';
import * as phrases from './phrases.ts';

/** A code is shown for two tenths of a second: five frames at 25 a second. */
const HELD_TICKS = 2;
const QUIET = 4;
const VERSION = { version: 2, errorCorrectionLevel: 'M' } as const;

/** The code, as large as the screen, and an edge beside it that goes round once a second. */
export function BeaconPicture({ clock, onClose }: { clock: BeaconClock; onClose: () => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { tag, walkS, separation } = clock;
  useEffect(() => {
    let frame = 0;
    let shown = -1;
    const draw = (): void => {
      frame = requestAnimationFrame(draw);
      const [element, s] = [canvas.current, walkS(performance.now())];
      const context = element?.getContext('2d');
      if (!element || !context) return;
      const sequence = Math.floor(s / BEACON_TICK_S / HELD_TICKS) * HELD_TICKS;
      const edge = (s % 1) * element.height;
      context.fillStyle = '#fff';
      context.fillRect(element.width - 12, 0, 12, element.height);
      context.fillStyle = '#000';
      context.fillRect(element.width - 12, 0, 12, edge);
      if (sequence === shown || sequence > MOST_SEQUENCE) return;
      shown = sequence;
      element.dataset.sequence = String(sequence);
      const place = separation(s);
      element.dataset.separation = place ? place.m.toFixed(1) : '';
      const text = pictureText({ tag, sequence, separation: place });
      const { data, size } = create([{ data: text, mode: 'alphanumeric' }], VERSION).modules;
      const px = Math.floor(element.height / (size + 2 * QUIET));
      context.fillStyle = '#fff';
      context.fillRect(0, 0, element.width - 12, element.height);
      context.fillStyle = '#000';
      for (let y = 0; y < size; y++)
        for (let x = 0; x < size; x++)
          if (data[y * size + x]) context.fillRect((x + QUIET) * px, (y + QUIET) * px, px, px);
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [tag, walkS, separation]);
  return (
    <FullScreen title={phrases.theBeaconInThePicture} onClose={onClose}>
      <canvas
        ref={canvas}
        width={720}
        height={660}
        className="mx-auto block h-full max-w-full object-contain"
        style={{ imageRendering: 'pixelated' }}
        role="img"
        aria-label={phrases.aCodeThatChangesFiveTimes}
        data-beacon
      />
    </FullScreen>
  );
}
