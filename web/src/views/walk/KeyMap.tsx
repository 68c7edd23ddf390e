import { isLetter, KEY_ACTIONS, letterOf, withLetter, type KeyLetters } from './keyLetters.ts';
import * as phrases from './phrases.ts';

/** Which key does what, and another one instead; what is given twice changes places. */
export function KeyMap({
  letters,
  onChange,
}: {
  letters: KeyLetters;
  onChange: (letters: KeyLetters) => void;
}) {
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center">{phrases.whichKeyDoesWhat}</summary>
      <ul className="grid max-h-72 gap-1 overflow-y-auto">
        {Object.entries(KEY_ACTIONS).map(([key, what]) => (
          <li key={key}>
            <label className="flex min-h-11 items-center justify-between gap-2">
              {what}
              <input
                className="input figure w-12 text-center"
                value={letterOf(letters, key).toUpperCase()}
                onChange={() => undefined}
                onFocus={(e) => e.target.select()}
                onKeyDown={(e) => {
                  const letter = e.key.toLowerCase();
                  if (e.ctrlKey || e.metaKey || e.altKey || !isLetter(letter)) return;
                  e.preventDefault();
                  onChange(withLetter(letters, key, letter));
                }}
              />
            </label>
          </li>
        ))}
      </ul>
      <button type="button" className="btn btn-quiet min-h-11" onClick={() => onChange({})}>
        {phrases.asTheyWere}
      </button>
    </details>
  );
}
