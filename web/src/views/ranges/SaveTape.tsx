import { separationGround, sceneToSvg, tapeScene, type TapeOptions } from '@urvek/draw';
import type { RangeView } from '@urvek/study';
import { SaveAs } from '../../components/Chart.tsx';
import { useUnit } from '../../state/unit.ts';
import { lanesOf } from './rangesParts.tsx';
import * as phrases from './phrases.ts';

/** Width of a tape for publication, px. */
const PUBLISHED_PX = 1160;

export function SaveTape({ range, claims }: { range: RangeView; claims?: TapeOptions['claims'] }) {
  const [unit] = useUnit();
  const scene = () =>
    tapeScene({
      title: phrases.rangesOn(range.path.name, range.criterion),
      ground: separationGround(range.path),
      measure: 'separation',
      unit,
      lanes: lanesOf(range, true, unit),
      claims,
      width: PUBLISHED_PX,
    });
  return (
    <SaveAs
      name={`ranges ${range.path.name} ${range.criterion}`}
      svg={() => sceneToSvg(scene())}
      size={() => {
        const { width, height } = scene();
        return [width, height];
      }}
    />
  );
}
