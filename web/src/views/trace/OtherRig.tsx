import type { Setup } from '@urvek/contract';
import { Choice } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

/** What a walk was of; the rig with its product before a slash. */
export interface WalkOf {
  readonly rig: string;
  readonly pathId: string;
}

/** Which rig was walked, and on which path. */
export const OtherRig = ({
  setup,
  of,
  onChange: setOf,
}: {
  setup: Setup;
  of: WalkOf;
  onChange: (of: WalkOf) => void;
}) => (
  <>
    <Choice
      label={phrases.rigThatWasWalked}
      value={of.rig}
      onChange={(e) => setOf({ ...of, rig: e.target.value })}
    >
      {setup.products.flatMap((p) =>
        p.rigs.map((r) => (
          <option key={r.id} value={`${p.id}/${r.id}`}>
            {p.name}: {r.name}
          </option>
        )),
      )}
    </Choice>
    <Choice
      label={phrases.pathThatWasWalked}
      value={of.pathId}
      onChange={(e) => setOf({ ...of, pathId: e.target.value })}
    >
      {setup.paths.map((p) => (
        <option key={p.id} value={p.id}>
          {p.name}
        </option>
      ))}
    </Choice>
  </>
);
