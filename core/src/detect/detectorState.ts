/** What a detector knows so far, as data that can be stored and cloned. */
export type DetectorState =
  | string
  | number
  | boolean
  | null
  | undefined
  | ArrayBufferView
  | readonly DetectorState[]
  | { readonly [field: string]: DetectorState };

type Fields = Record<string, unknown>;

const isPlain = (value: object): boolean => Object.getPrototypeOf(value) === Object.prototype;
const isView = (value: unknown): value is Float64Array => ArrayBuffer.isView(value);

/**
 * All that a detector knows, copied: its fields and theirs, without its functions. With it another detector, made with
 * the same options, goes on as if it had seen what this one saw. Detectors hold numbers, words, typed arrays, lists,
 * plain objects and other such parts that are there from their making on.
 * @throws TypeError for a field that holds anything else
 */
export function detectorState(value: unknown, field = 'state'): DetectorState {
  if (value === undefined || value === null || ['string', 'number', 'boolean'].includes(typeof value))
    return value as DetectorState;
  if (isView(value)) return value.slice();
  if (Array.isArray(value)) return value.map((item, i) => detectorState(item, `${field}.${i}`));
  if (typeof value !== 'object' || value instanceof Map || value instanceof Set)
    throw new TypeError(`invalid ${field}: ${String(value)}`);
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, own]) => typeof own !== 'function')
      .map(([name, own]) => [name, detectorState(own, `${field}.${name}`)]),
  );
}

/**
 * Puts a state into a detector that was made with the same options, in place: what its parts hold of each other stays.
 * @throws TypeError where it is the state of another kind of detector
 */
export function restoreDetector(detector: object, state: DetectorState): void {
  const fields = detector as Fields;
  const known = state as Record<string, DetectorState>;
  const names = Object.keys(fields).filter((name) => typeof fields[name] !== 'function');
  if (typeof state !== 'object' || names.join() !== Object.keys(known).join())
    throw new TypeError(`invalid state: ${Object.keys(known).join()}, not ${names.join()}`);
  for (const name of names) fields[name] = restored(fields[name], known[name]);
}

/** A value with this state: the same list, view or part where there is one, else a copy of the state. */
function restored(value: unknown, state: DetectorState): unknown {
  if (isView(value) && isView(state) && value.length === state.length) {
    value.set(state);
    return value;
  }
  if (Array.isArray(value) && Array.isArray(state)) {
    const items = state.map((item: DetectorState, i) => restored(value[i], item));
    value.length = 0;
    for (const item of items) value.push(item);
    return value;
  }
  if (typeof value === 'object' && value !== null && !isView(value) && !isPlain(value)) {
    restoreDetector(value, state);
    return value;
  }
  return detectorState(state);
}
