import {
  BEACON_TICK_S,
  CODE_HELD_TICKS,
  EDGE_STRIP,
  EDGE_TURN_S,
  MOST_SEQUENCE,
  pictureText,
  QUIET_MODULES,
} from '@urvek/core';
import { create } from 'qrcode';
import { useEffect, useRef } from 'react';
import type { BeaconClock } from '../../field/testSignals.ts';
import { FullScreen } from './FullScreen.tsx';
import * as phrases from './phrases.ts';

/** A module of the code; with its quiet zone and the edge beside it the picture is then as large as this, px. */
const PX = 20;
const [WIDE, HIGH] = [PX * (QUIET_MODULES + EDGE_STRIP.left + EDGE_STRIP.width), PX * EDGE_STRIP.height];
const VERSION = { version: 2, errorCorrectionLevel: 'M' } as const;

/** The code, as large as the screen, and an edge beside it that goes down once a second. */
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
      const sequence = Math.floor(s / BEACON_TICK_S / CODE_HELD_TICKS) * CODE_HELD_TICKS;
      const edge = ((s / EDGE_TURN_S) % 1) * HIGH;
      const strip = PX * EDGE_STRIP.width;
      context.fillStyle = '#fff';
      context.fillRect(WIDE - strip, 0, strip, HIGH);
      context.fillStyle = '#000';
      context.fillRect(WIDE - strip, 0, strip, edge);
      if (sequence === shown || sequence > MOST_SEQUENCE) return;
      shown = sequence;
      element.dataset.sequence = String(sequence);
      const place = separation(s);
      element.dataset.separation = place ? place.m.toFixed(1) : '';
      const text = pictureText({ tag, sequence, separation: place });
      const { data, size } = create([{ data: text, mode: 'alphanumeric' }], VERSION).modules;
      context.fillStyle = '#fff';
      context.fillRect(0, 0, WIDE - strip, HIGH);
      context.fillStyle = '#000';
      for (let y = 0; y < size; y++)
        for (let x = 0; x < size; x++)
          if (data[y * size + x])
            context.fillRect((x + QUIET_MODULES) * PX, (y + QUIET_MODULES) * PX, PX, PX);
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [tag, walkS, separation]);
  return (
    <FullScreen title={phrases.theBeaconInThePicture} onClose={onClose}>
      <canvas
        ref={canvas}
        width={WIDE}
        height={HIGH}
        className="mx-auto block h-full max-w-full object-contain"
        style={{ imageRendering: 'pixelated' }}
        role="img"
        aria-label={phrases.aCodeThatChangesFiveTimes}
        data-beacon
      />
    </FullScreen>
  );
}
