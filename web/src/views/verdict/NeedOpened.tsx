import { needText, type NeedJudged } from '@urvek/study';
import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import { OutcomeMark } from './OutcomeMark.tsx';

/** A need with its evidence. */
export const NeedOpened = ({ judged: { need, subject, path, verdict } }: { judged: NeedJudged }) => (
  <article className="sheet p-3" aria-label={`${subject}: ${need.use}`}>
    <div className="flex flex-wrap items-baseline gap-x-4">
      <OutcomeMark outcome={verdict.outcome} />
      <h2>
        {subject}: {need.use}, {needText(need)}
        {need.side === undefined ? '' : `, ${need.side}`}
      </h2>
      <p className="text-[0.87rem] text-faint">
        {path ? `judged on ${path.name}` : 'no path of its condition'}
      </p>
    </div>
    <p className="mt-1 max-w-[100ch]">{verdict.reason}</p>
    <p className="mt-1 text-[0.87rem] text-faint">
      Judged on the distance to which 9 of 10 walks hold; the margin is that distance over the need. Of
      several paths of its condition, the one that serves it worst counts.{' '}
      <HowMade of="needs" what="the verdict on a need" />{' '}
      <HowTrue of="how-often-a-verdict-is-false" what="a verdict" />
    </p>
  </article>
);
