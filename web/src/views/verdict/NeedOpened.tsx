import { needText, type NeedJudged } from '@urvek/study';
import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import { OutcomeMark } from './OutcomeMark.tsx';
import * as phrases from './phrases.ts';

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
        {path ? phrases.judgedOn(path.name) : phrases.noPathOfItsCondition}
      </p>
    </div>
    <p className="mt-1 max-w-[100ch]">{verdict.reason}</p>
    <p className="mt-1 text-[0.87rem] text-faint">
      {phrases.judgedOnTheDistanceToWhich}
      <HowMade of="needs" what={phrases.theVerdictOnANeed} />{' '}
      <HowTrue of="how-often-a-verdict-is-false" what={phrases.aVerdict} />
    </p>
  </article>
);
