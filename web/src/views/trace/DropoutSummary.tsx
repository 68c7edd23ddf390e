import type { Finding } from '@urvek/study';
import { Length } from '../../components/Length.tsx';
import * as phrases from './phrases.ts';

/** Dropouts and the usable share of a walk, in a sentence each; only what the log says. */
export const DropoutSummary = ({ finding: { summary, trace } }: { finding: Finding }) => (
  <p className="mt-2">
    {phrases.dropouts}
    <span className="figure">{summary.dropouts.length}</span>,{' '}
    <span className="figure">{summary.lostS.toFixed(0)} s</span>
    {phrases.inAllTheLongest}
    <span className="figure">{summary.longestDropoutS.toFixed(0)} s</span>.
    {summary.atStands && (
      <>
        {phrases.usableAt}
        <span className="figure">{summary.atStands.usable}</span>
        {phrases.ofText2}
        <span className="figure">{summary.atStands.stands}</span>
        {phrases.standsOfTheWayOutAt}
        <span className="figure">{summary.atStands.longest.stands}</span>
        {phrases.inARowBetweenStandsNothing}
      </>
    )}
    {summary.usableShare !== undefined && (
      <>
        {phrases.usableOn}
        <span className="figure">{(100 * summary.usableShare).toFixed(0)} %</span>
        {phrases.ofTheWayOut}
        {summary.longestUsableM !== undefined && (
          <>
            {phrases.theLongestStretch}
            <Length m={summary.longestUsableM} />
          </>
        )}
        .
      </>
    )}
    {trace.gaps > 0 && (
      <>
        {' '}
        <strong>{phrases.countedGaps(trace.gaps)}</strong>
        {phrases.inWhichNothingCouldBeLogged}
      </>
    )}
  </p>
);
