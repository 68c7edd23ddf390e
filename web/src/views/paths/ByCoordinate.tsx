import { coordinatesOf, parseCoordinate, placeOnRoute } from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import type { Points } from './knownPointsParts.ts';
import * as phrases from './phrases.ts';

/** A checkpoint by its coordinate. */
export function ByCoordinate({ path, onPoints }: { path: SetupPath; onPoints: (points: Points) => void }) {
  const [name, setName] = useState('');
  const [text, setText] = useState('');
  const [said, setSaid] = useState('');
  const add = (): void => {
    const place = parseCoordinate(text);
    if (!place || !path.fixedEnd) {
      setSaid(phrases.writeLatitudeAndLongitudeInDegrees);
      return;
    }
    const { travelledM, offM } = placeOnRoute(coordinatesOf(path, path.fixedEnd), place);
    const atM = Math.round(travelledM * 10) / 10;
    onPoints([{ name: name.trim() || phrases.point(path.checkpoints.length + 1), atM }]);
    setSaid(phrases.atMMOffTheRoute(atM, offM.toFixed(1)));
    setText('');
    setName('');
  };
  return (
    <div className="mt-1 grid grid-cols-[1fr_1.6fr_auto] items-end gap-2">
      <Field label={phrases.nameText} value={name} onChange={(e) => setName(e.target.value)} />
      <Field
        label={phrases.latitudeLongitude}
        suffix="°"
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <button type="button" className="btn" onClick={add}>
        {phrases.addIt}
      </button>
      <p role="status" className="col-span-3">
        {said}
      </p>
    </div>
  );
}
