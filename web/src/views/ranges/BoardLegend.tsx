import { Term } from '../../components/Term.tsx';
import * as phrases from './phrases.ts';

/** What the shapes of the reach board mean. */
export const BoardLegend = () => (
  <p className="mt-1 text-[0.87rem] text-faint">
    <Term of="separation">{phrases.separation}</Term>
    {phrases.oneScaleForAllDiamond}
    <Term of="estimate">{phrases.median}</Term>
    {phrases.barIts95PercentIntervalDashed}
    <Term of="bracket" />
    {phrases.heldAndFailedArrowA}
    <Term of="bound" />
    {phrases.openPostsWalksToMakeNot}
  </p>
);
