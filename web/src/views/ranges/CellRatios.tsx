import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import type { Shown } from './cellDetailParts.ts';
import { Ratios } from './Ratios.tsx';
import * as phrases from './phrases.ts';

/** Exponent for ratios in dB until another is chosen: beyond the break point of two rays over ground. */
const USUAL_EXPONENT = 4;

/** Ratios between products, and what they are in decibels for a stated exponent. */
export function CellRatios({ range }: Shown) {
  const [exponent, setExponent] = useState(USUAL_EXPONENT);
  return (
    <>
      <Field
        inline
        className="w-96 max-w-full flex-wrap"
        label={phrases.howFastTheLevelFallsExponent}
        help={phrases.forDecibels2InFreeSpace}
        type="number"
        min={1}
        max={8}
        step="any"
        value={exponent}
        onChange={(e) => {
          const n = Number(e.target.value);
          if (n > 0) setExponent(n);
        }}
      />
      <Ratios range={range} exponent={exponent} />
    </>
  );
}
