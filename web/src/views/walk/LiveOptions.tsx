/** How simulated gear may play: times as fast as the clock. */
const RATES = [1, 2, 5, 10, 20, 60];

/** How one wants to log. */
export interface Options {
  readonly rate: number;
  readonly sun: boolean;
  readonly sound: boolean;
  readonly speak: boolean;
  readonly guided: boolean;
  readonly locating: boolean;
}

export const USUAL_OPTIONS: Options = {
  rate: 1,
  sun: false,
  sound: true,
  speak: false,
  guided: false,
  locating: false,
};

const TICKS = [
  ['sun', 'sun'],
  ['sound', 'beep'],
  ['speak', 'spoken prompts'],
  ['guided', 'guided'],
] as const;

export function LiveOptions({
  options,
  onChange,
  onSecondDevice,
  simulated,
  onRate,
  location,
}: {
  options: Options;
  onChange: (change: Partial<Options>) => void;
  onSecondDevice: () => void;
  simulated: boolean;
  onRate: (rate: number) => void;
  location: string;
}) {
  return (
    <div className="ml-auto flex flex-wrap items-center gap-x-2.5 text-[0.9rem]">
      <button type="button" className="btn-quiet" onClick={onSecondDevice}>
        second device
      </button>
      {TICKS.map(([name, label]) => (
        <label key={name} className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="size-4"
            checked={options[name]}
            onChange={(e) => onChange({ [name]: e.target.checked })}
          />
          {label}
        </label>
      ))}
      {simulated ? (
        <label className="flex items-center gap-1.5">
          speed
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
          location {location}
        </label>
      )}
    </div>
  );
}
