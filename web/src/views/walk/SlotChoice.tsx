import type { SlotState } from '@urvek/study';
import { Choice } from '../../components/Field.tsx';
import type { WalkRow } from '@urvek/study';
import * as phrases from './phrases.ts';

/** Which walk of the plan begins. */
export const SlotChoice = ({
  slots,
  slot,
  onChoose,
}: {
  slots: readonly SlotState<WalkRow>[];
  slot: SlotState<WalkRow>;
  onChoose: (nth: number) => void;
}) => (
  <Choice label={phrases.walk} value={slots.indexOf(slot)} onChange={(e) => onChoose(Number(e.target.value))}>
    {slots.map((s, i) => (
      <option key={i} value={i}>
        {phrases.on(
          s.item.product.name,
          s.item.product.rigs.length > 1 ? ` (${s.item.rig.name})` : '',
          s.item.path.name,
          s.item.variant === 'plain' ? phrases.round(s.round) : s.item.variant,
          s.walk ? phrases.walked : '',
        )}
      </option>
    ))}
  </Choice>
);
