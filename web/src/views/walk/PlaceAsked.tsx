import type { DistanceMethod, DistanceReading, PlacedName } from '@urvek/core';
import { ReturnFocus } from '../../components/ReturnFocus.tsx';
import type { Log } from './modesParts.tsx';
import { TypedMark } from './TypedMark.tsx';
import * as phrases from './phrases.ts';

/** Where one stands, or where the fixed end stands now. */
export const PlaceAsked = ({
  asking,
  marksM,
  usual,
  points,
  log,
  onMark,
  onClose,
}: {
  asking: 'mark' | 'fixed end';
  marksM: readonly number[];
  usual: DistanceMethod;
  points: readonly PlacedName[];
  log: Log;
  onMark: (reading: DistanceReading | undefined, name?: string) => void;
  onClose: () => void;
}) =>
  asking === 'mark' ? (
    <ReturnFocus label={phrases.markADistance}>
      <TypedMark
        marksM={marksM}
        usual={usual}
        points={points}
        onMark={(reading, name) => {
          onClose();
          onMark(reading, name);
        }}
        onCancel={onClose}
      />
    </ReturnFocus>
  ) : (
    <ReturnFocus label={phrases.theFixedEndMoved}>
      <TypedMark
        marksM={[]}
        usual={usual}
        points={points}
        onMark={(reading) => {
          onClose();
          if (reading) log('fixedEnd', { reading: { ...reading, pressed: true } });
        }}
        onCancel={onClose}
      />
    </ReturnFocus>
  );
