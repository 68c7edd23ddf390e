import { Link, useParams } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { Stage } from '../../components/Stage.tsx';
import { Empty, Loading } from '../../components/States.tsx';
import { fieldLog, UNFILED } from '../../field/fieldLog.ts';
import { Filing } from './Filing.tsx';
import * as phrases from './phrases.ts';

/** What was not asked before the walk is asked now; what stays unknown is shown as unknown. */
export function FileWalk() {
  const { walkId = '' } = useParams();
  const kept = useFieldLog(() => fieldLog.walks.get(walkId), `walk-${walkId}`);
  if (!kept) return <Loading what={phrases.theWalk2} />;
  return kept.comparisonId === UNFILED ? (
    <Filing kept={kept} />
  ) : (
    <Stage title={phrases.fileTheWalk}>
      <Empty title={phrases.itIsFiled}>
        <Link className="underline" to={`/c/${kept.comparisonId}/trace/${kept.id}`}>
          {phrases.lookAtItsTrace}
        </Link>
        .
      </Empty>
    </Stage>
  );
}
