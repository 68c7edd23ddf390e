import { keyText, type WalkEvent } from '@urvek/core';
import { timeAt, timeLineScene } from '@urvek/draw';
import type { Finding } from '@urvek/study';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Picture } from '../../components/Picture.tsx';
import { useWidth } from '../../components/Tape.tsx';
import { SelectedEntry } from './SelectedEntry.tsx';
import type { Pointer } from './usePointer.ts';
import * as phrases from './phrases.ts';

/** The merged log over time: zoomed by buttons and keys, stepped event by event. */
export function TimeLine({
  finding,
  log,
  pointer: { entries: events, selected, atS, select, hoverAtS },
}: {
  finding: Finding;
  log: readonly WalkEvent[];
  pointer: Pointer;
}) {
  const { trace } = finding;
  const [place, width] = useWidth(320);
  const [[fromS, toS], setWindow] = useState<readonly [number, number]>([0, trace.endS]);
  const index = selected === undefined ? -1 : events.indexOf(selected);
  const step = (by: number): void => {
    const next =
      events[
        index === -1 ? (by > 0 ? 0 : events.length - 1) : Math.min(events.length - 1, Math.max(0, index + by))
      ];
    if (!next) return;
    select(next);
    const { walkS } = next.time;
    if (walkS < fromS || walkS > toS) setWindow(around(walkS, toS - fromS));
  };
  const around = (middleS: number, spanS: number): readonly [number, number] => {
    const from = Math.max(0, Math.min(trace.endS - spanS, middleS - spanS / 2));
    return [from, Math.min(trace.endS, from + spanS)];
  };
  const zoom = (by: number): void =>
    setWindow(
      around(
        selected?.time.walkS ?? (fromS + toS) / 2,
        Math.min(trace.endS, Math.max(5, (toS - fromS) * by)),
      ),
    );
  const keys: Readonly<Record<string, () => void>> = {
    ArrowRight: () => step(1),
    ArrowLeft: () => step(-1),
    '+': () => zoom(0.5),
    '=': () => zoom(0.5),
    '-': () => zoom(2),
    '0': () => setWindow([0, trace.endS]),
  };
  const onKey = (e: KeyboardEvent): void => {
    const act = keys[e.key];
    if (!act || e.ctrlKey || e.metaKey) return;
    e.preventDefault();
    act();
  };
  return (
    <section className="border-t border-rule pt-1" aria-label={phrases.theWalkOverTime}>
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="flex-1">{phrases.overTime}</h2>
        <button type="button" className="btn min-h-8 py-0" onClick={() => step(-1)}>
          {phrases.previous}
          <span className="key" aria-hidden>
            ←
          </span>
        </button>
        <button type="button" className="btn min-h-8 py-0" onClick={() => step(1)}>
          {phrases.next}
          <span className="key" aria-hidden>
            →
          </span>
        </button>
        <button type="button" className="btn min-h-8 py-0" onClick={() => zoom(0.5)}>
          {phrases.closer}
          <span className="key" aria-hidden>
            +
          </span>
        </button>
        <button type="button" className="btn min-h-8 py-0" onClick={() => zoom(2)}>
          {phrases.wider}
          <span className="key" aria-hidden>
            −
          </span>
        </button>
      </div>
      <div
        ref={place}
        tabIndex={0}
        role="group"
        aria-label={phrases.timeLineArrowKeysStepThrough}
        onKeyDown={onKey}
      >
        <Picture
          scene={timeLineScene({ trace, log, width, fromS, toS, selected, atS })}
          onPointerMove={(e: PointerEvent<SVGSVGElement>) => {
            const { left, width: shown } = e.currentTarget.getBoundingClientRect();
            hoverAtS(timeAt({ width, fromS, toS }, ((e.clientX - left) / shown) * width));
          }}
          onPointerLeave={() => hoverAtS(undefined)}
          onPoint={(group) => {
            const e = events.find((x) => group === `event-${x.deviceId}-${x.seq}`);
            if (e) select(e);
          }}
        />
      </div>
      <p className="min-h-6 text-[0.87rem]" role="status" data-selected={selected && keyText(selected)}>
        {selected ? (
          <SelectedEntry finding={finding} event={selected} />
        ) : (
          <span className="text-faint">{phrases.stepToAnEntry}</span>
        )}
      </p>
    </section>
  );
}
