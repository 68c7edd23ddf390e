import { travelledGround } from '@urvek/draw';
import type { AuditEntry, PlannedWalk } from '@urvek/study';
import { Length } from '../../components/Length.tsx';
import { Tape } from '../../components/Tape.tsx';

/** The path of the next walk, what is not as with the others, and what to mind. */
export const BeginAside = ({
  path,
  unfair,
}: {
  path: PlannedWalk['path'];
  unfair: readonly AuditEntry[];
}) => (
  <div>
    <Tape title={`The path ${path.name}`} ground={travelledGround(path)} measure="travelled" />
    {unfair.length > 0 && (
      <section className="mt-3 border-l-4 border-degraded pl-3" aria-label="Not as the others">
        <h2 className="text-base">Not as the others, while it can still be mended</h2>
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
      <ul className="mt-2 border-l-4 border-degraded pl-3" aria-label="To mind, where">
        {path.hazardsAt.map((h) => (
          <li key={h.what + h.atM}>
            <strong>Mind {h.what}</strong>, at <Length m={h.atM} />
          </li>
        ))}
      </ul>
    )}
    {path.hazards && (
      <p className="mt-2 border-l-4 border-degraded pl-3">
        <strong>Mind:</strong> {path.hazards}.
      </p>
    )}
    <p className="mt-2 text-faint">
      Walking: look up before you look down. Say when you will be back, by a second way to call.
    </p>
  </div>
);
