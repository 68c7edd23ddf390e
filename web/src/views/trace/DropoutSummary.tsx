import { countOf } from '@urvek/core';
import type { Finding } from '@urvek/study';
import { Length } from '../../components/Length.tsx';

/** Dropouts and the usable share of a walk, in a sentence each; only what the log says. */
export const DropoutSummary = ({ finding: { summary, trace } }: { finding: Finding }) => (
  <p className="mt-2">
    Dropouts: <span className="figure">{summary.dropouts.length}</span>,{' '}
    <span className="figure">{summary.lostS.toFixed(0)} s</span> in all, the longest{' '}
    <span className="figure">{summary.longestDropoutS.toFixed(0)} s</span>.
    {summary.atStands && (
      <>
        {' '}
        Usable at <span className="figure">{summary.atStands.usable}</span> of{' '}
        <span className="figure">{summary.atStands.stands}</span> stands of the way out, at most{' '}
        <span className="figure">{summary.atStands.longest.stands}</span> in a row; between stands nothing is
        known.
      </>
    )}
    {summary.usableShare !== undefined && (
      <>
        {' '}
        Usable on <span className="figure">{(100 * summary.usableShare).toFixed(0)} %</span> of the way out
        {summary.longestUsableM !== undefined && (
          <>
            , the longest stretch <Length m={summary.longestUsableM} />
          </>
        )}
        .
      </>
    )}
    {trace.gaps > 0 && (
      <>
        {' '}
        <strong>{countOf(trace.gaps, 'gap')}</strong> in which nothing could be logged.
      </>
    )}
  </p>
);
