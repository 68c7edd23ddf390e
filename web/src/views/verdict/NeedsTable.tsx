import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import { marginText } from '@urvek/draw';
import { needText, type NeedJudged } from '@urvek/study';
import { OutcomeMark } from './OutcomeMark.tsx';

export function NeedsTable({ needs }: { needs: readonly NeedJudged[] }) {
  return (
    <section className="sheet overflow-x-auto p-4" aria-label="Needs judged">
      <table className="table">
        <thead>
          <tr>
            <th>Use</th>
            <th>Product</th>
            <th>Verdict</th>
            <th>Margin</th>
            <th>Why</th>
          </tr>
        </thead>
        <tbody>
          {needs.map(({ need, subject, path, verdict }, i) => (
            <tr key={`${need.id}-${subject}`} data-need={verdict.outcome}>
              <td>
                {needs[i - 1]?.need.id === need.id ? (
                  ''
                ) : (
                  <>
                    <strong>{need.use}</strong>
                    <span className="block text-[0.85rem] text-faint">
                      {needText(need)}
                      {need.side === undefined ? '' : `, ${need.side}`}
                    </span>
                  </>
                )}
              </td>
              <td>
                {subject}
                {path && <span className="block text-[0.85rem] text-faint">{path.name}</span>}
              </td>
              <td>
                <OutcomeMark outcome={verdict.outcome} />
              </td>
              <td className="figure whitespace-nowrap">{marginText(verdict.margin, verdict.atLeast)}</td>
              <td>{verdict.reason}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-[0.85rem] text-faint">
        Judged on the distance to which 9 of 10 walks hold; the margin is that distance over the need. Of
        several paths of its condition, the one that serves it worst counts.{' '}
        <HowMade of="needs" what="the verdict on a need" />{' '}
        <HowTrue of="how-often-a-verdict-is-false" what="a verdict" />
      </p>
    </section>
  );
}
