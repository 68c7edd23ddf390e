import { travelledGround } from '@urvek/draw';
import type { AuditEntry, PlannedWalk } from '@urvek/study';
import { Length } from '../../components/Length.tsx';
import { Tape } from '../../components/Tape.tsx';
import * as phrases from './phrases.ts';

/** The path of the next walk, what is not as with the others, and what to mind. */
export const BeginAside = ({
  path,
  unfair,
}: {
  path: PlannedWalk['path'];
  unfair: readonly AuditEntry[];
}) => (
  <div>
    <Tape title={phrases.thePath(path.name)} ground={travelledGround(path)} measure="travelled" />
    {unfair.length > 0 && (
      <section className="mt-3 border-l-4 border-degraded pl-3" aria-label={phrases.notAsTheOthers}>
        <h2 className="text-base">{phrases.notAsTheOthersWhileIt}</h2>
        <ul className="text-[0.87rem]">
          {unfair.map((a) => (
            <li key={a.key} data-audit={a.rule}>
              {a.what}. <span className="text-faint">{a.mend}</span>
            </li>
          ))}
        </ul>
      </section>
    )}
    {path.hazardsAt && path.hazardsAt.length > 0 && (
      <ul className="mt-2 border-l-4 border-degraded pl-3" aria-label={phrases.toMindWhere}>
        {path.hazardsAt.map((h) => (
          <li key={h.what + h.atM}>
            <strong>{phrases.mind(h.what)}</strong>
            {phrases.at}
            <Length m={h.atM} />
          </li>
        ))}
      </ul>
    )}
    {path.hazards && (
      <p className="mt-2 border-l-4 border-degraded pl-3">
        <strong>{phrases.mind2}</strong> {path.hazards}.
      </p>
    )}
    <p className="mt-2 text-faint">{phrases.walkingLookUpBeforeYouLook}</p>
  </div>
);
