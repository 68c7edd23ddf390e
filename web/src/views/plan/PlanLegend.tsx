import { planSignScene } from '@urvek/draw';
import { Picture } from '../../components/Picture.tsx';
import * as phrases from './phrases.ts';

const SIGNS = [
  ['made', phrases.walked2],
  ['to make', phrases.toWalk],
  ['settles', phrases.settlesAClaim],
  ['tells', phrases.estimate],
  ['bound', phrases.pathEndsFirstShareOfThe],
  ['too few', phrases.tooFewWalksItTakes],
] as const;

/** What the shapes of the board say, and the figures beside them. */
export const PlanLegend = () => (
  <ul className="mt-1 flex flex-wrap gap-x-5 text-[0.87rem] text-faint" aria-label={phrases.legend}>
    {SIGNS.map(([sign, said]) => {
      const scene = planSignScene(sign, said);
      return (
        <li key={sign} className="flex items-center gap-1.5">
          <Picture scene={scene} style={{ width: scene.width }} aria-hidden />
          {said}
        </li>
      );
    })}
  </ul>
);
