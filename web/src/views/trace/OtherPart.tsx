import type { WalkRow } from '@urvek/study';
import { Choice } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

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
    <p className="text-faint">{phrases.thereIsNoOtherWalkOf}</p>
  ) : (
    <>
      <Choice
        label={phrases.theOtherPart}
        value={other?.walkId ?? ''}
        onChange={(e) => onOther(e.target.value)}
      >
        <option value="">{phrases.chooseOne}</option>
        {later.map((w) => (
          <option key={w.walkId} value={w.walkId}>
            {phrases.walk(w.product, w.label)}
          </option>
        ))}
      </Choice>
      {other && unordered && (
        <Choice
          label={phrases.whichOfThemWasFirst}
          value={first}
          onChange={(e) => onFirst(e.target.value as First)}
        >
          <option value="">{phrases.notKnownByTheirDaysChoose}</option>
          <option value="this">{phrases.thisOne}</option>
          <option value="other">{phrases.theOtherOne}</option>
        </Choice>
      )}
    </>
  );
