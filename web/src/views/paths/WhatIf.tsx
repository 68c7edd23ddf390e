import { effectOf, exponentAbout, type PathModel } from '@urvek/core';
import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import type { Predicted } from './predictionParts.tsx';
import * as phrases from './phrases.ts';

/** A change of antenna, power or height, as dB and as a ratio of distance. */
export function WhatIf({ predicted, model }: { predicted: readonly Predicted[]; model: PathModel }) {
  const [gainDb, setGainDb] = useState(0);
  const [powerRatio, setPowerRatio] = useState(1);
  const [heightRatio, setHeightRatio] = useState(1);
  const figure = (value: number, set: (v: number) => void) => ({
    type: 'number',
    step: 'any',
    value: Number.isNaN(value) ? '' : value,
    onChange: (e: { target: { value: string } }) =>
      set(e.target.value === '' ? Number.NaN : Number(e.target.value)),
  });
  const valid = Number.isFinite(gainDb) && powerRatio > 0 && heightRatio > 0;
  return (
    <details className="mt-2">
      <summary className="cursor-pointer font-bold">{phrases.whatAChangeWouldBeWorth}</summary>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <Field
          className="w-36"
          label={phrases.antenna}
          suffix={phrases.dbMore}
          {...figure(gainDb, setGainDb)}
        />
        <Field
          className="w-36"
          label={phrases.power}
          suffix={phrases.asMuch}
          {...figure(powerRatio, setPowerRatio)}
        />
        <Field
          className="w-36"
          label={phrases.heights}
          suffix={phrases.asHigh}
          {...figure(heightRatio, setHeightRatio)}
        />
      </div>
      {valid && (
        <ul className="mt-1" data-what-if>
          {predicted.map(({ id, name, link, prediction }) => {
            const aboutM =
              prediction.events.find((e) => e.criterion === 'first dropout')?.medianM ??
              prediction.points.at(-1)?.separationM ??
              1;
            const { db, exponent, distanceRatio } = effectOf(
              { gainDb, powerRatio, heightRatio },
              exponentAbout(model, link.frequencyMHz, link.heightsM, aboutM),
            );
            return (
              <li key={id}>
                {name}: <span className="figure">{phrases.db3(db >= 0 ? '+' : '', db.toFixed(2))}</span>,{' '}
                <strong className="figure">{distanceRatio.toFixed(3)}×</strong>
                {phrases.theDistance}
                <span className="text-faint">
                  {phrases.modelExponentAboutM(model, exponent, aboutM.toFixed(0))}
                </span>
              </li>
            );
          })}
        </ul>
      )}
      <p className="text-[0.87rem] text-faint">{phrases.powerAntennaGainAndLicenceLimits}</p>
    </details>
  );
}
