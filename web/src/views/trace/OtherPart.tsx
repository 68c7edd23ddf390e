import type { WalkRow } from '@urvek/study';
import { Choice } from '../../components/Field.tsx';

/** Of two parts of a walk, which was first; empty: not said. */
export type First = '' | 'this' | 'other';

/** Which other walk is a part of the same one, and which of the two was first where their days do not tell. */
export const OtherPart = ({
  later,
  other,
  unordered,
  first,
  onOther,
  onFirst,
}: {
  /** Walks of the same rig on the same path. */
  later: readonly WalkRow[];
  other: WalkRow | undefined;
  unordered: boolean;
  first: First;
  onOther: (walkId: string) => void;
  onFirst: (first: First) => void;
}) =>
  later.length === 0 ? (
    <p className="text-faint">There is no other walk of this rig on this path.</p>
  ) : (
    <>
      <Choice label="The other part" value={other?.walkId ?? ''} onChange={(e) => onOther(e.target.value)}>
        <option value="">choose one</option>
        {later.map((w) => (
          <option key={w.walkId} value={w.walkId}>
            {w.product}, walk {w.label}
          </option>
        ))}
      </Choice>
      {other && unordered && (
        <Choice
          label="Which of them was first"
          value={first}
          onChange={(e) => onFirst(e.target.value as First)}
        >
          <option value="">not known by their days: choose</option>
          <option value="this">this one</option>
          <option value="other">the other one</option>
        </Choice>
      )}
    </>
  );
