import { COLOUR } from '@urvek/draw';
import * as phrases from './phrases.ts';

export const Legend = () => (
  <ul
    className="flex flex-wrap gap-x-5 border-t border-rule py-1 text-[0.87rem] text-faint"
    aria-label={phrases.legend}
  >
    <li>
      <span
        aria-hidden
        className="mr-1.5 inline-block h-3 w-5 align-middle"
        style={{ background: COLOUR.clear }}
      />
      {phrases.clearSolidFullHeight}
    </li>
    <li>
      <span
        aria-hidden
        className="mr-1.5 inline-block h-1.5 w-5 border border-degraded align-baseline"
        style={{
          background: `repeating-linear-gradient(45deg,${COLOUR.degraded} 0 2px,transparent 2px 5px)`,
        }}
      />
      {phrases.degradedHatchedHalfHeight}
    </li>
    <li>
      <span aria-hidden className="mr-1.5 inline-block h-3 w-5 border-x-2 border-lost align-middle" />
      {phrases.lostAnOpenGap}
    </li>
    <li>{phrases.markWithTwoStandardUncertainties}</li>
  </ul>
);
