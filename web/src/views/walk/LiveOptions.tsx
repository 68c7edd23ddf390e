import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { hasSerial } from '../../field/serial.ts';
import { KeyMap } from './KeyMap.tsx';
import type { Extra } from './useLive.ts';
import type { Options } from './useOptions.ts';
import * as phrases from './phrases.ts';

/** How simulated gear may play: times as fast as the clock. */
const RATES = [1, 2, 5, 10, 20, 60];

const TICKS = [
  ['sun', 'sun'],
  ['sound', phrases.beep],
  ['speak', phrases.spokenPrompts],
  ['guided', 'guided'],
  ['hold', phrases.holdForDropouts],
  ['keys', phrases.letterKeys],
  ['leftHand', phrases.leftHand],
] as const;

export function LiveOptions({
  options,
  onChange,
  onOpen,
  simulated,
  onRate,
  location,
}: {
  options: Options;
  onChange: (change: Partial<Options>) => void;
  onOpen: (extra: Extra) => void;
  simulated: boolean;
  onRate: (rate: number) => void;
  location: string;
}) {
  return (
    <div className="flex shrink-0 items-center gap-x-2.5 text-base">
      <Popover className="relative">
        <PopoverButton className="btn btn-quiet min-h-11">{phrases.options}</PopoverButton>
        <PopoverPanel
          className={
            'sheet absolute right-0 z-10 grid max-h-[75vh] w-64 ' + 'gap-1 overflow-y-auto p-2 shadow-md'
          }
        >
          {TICKS.map(([name, label]) => (
            <label key={name} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={options[name]}
                onChange={(e) => onChange({ [name]: e.target.checked })}
              />
              {label}
            </label>
          ))}
          <PopoverButton
            className="btn btn-quiet min-h-11 justify-start"
            onClick={() => onOpen('second device')}
          >
            {phrases.secondDevice2}
          </PopoverButton>
          <PopoverButton className="btn btn-quiet min-h-11 justify-start" onClick={() => onOpen('probe')}>
            {phrases.measureTheLinkToTheBase}
          </PopoverButton>
          {!simulated && (
            <PopoverButton className="btn btn-quiet min-h-11 justify-start" onClick={() => onOpen('listen')}>
              {phrases.listenForDropoutsHere}
            </PopoverButton>
          )}
          {!simulated && (
            <PopoverButton className="btn btn-quiet min-h-11 justify-start" onClick={() => onOpen('watch')}>
              {phrases.watchForDropoutsHere}
            </PopoverButton>
          )}
          {!simulated && hasSerial() && (
            <PopoverButton className="btn btn-quiet min-h-11 justify-start" onClick={() => onOpen('serial')}>
              {phrases.gearOnASerialPort2}
            </PopoverButton>
          )}
          {options.keys && <KeyMap letters={options.letters} onChange={(letters) => onChange({ letters })} />}
        </PopoverPanel>
      </Popover>
      {simulated ? (
        <label className="flex items-center gap-1.5">
          <span className="sr-only">{phrases.speed}</span>
          <select
            className="input w-auto"
            value={options.rate}
            onChange={(e) => {
              const rate = Number(e.target.value);
              onChange({ rate });
              onRate(rate);
            }}
          >
            {RATES.map((r) => (
              <option key={r} value={r}>
                {r}×
              </option>
            ))}
          </select>
        </label>
      ) : (
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="size-4"
            checked={options.locating}
            onChange={(e) => onChange({ locating: e.target.checked })}
          />
          {phrases.location(location)}
        </label>
      )}
    </div>
  );
}
