import { Link, useParams } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { Stage } from '../../components/Stage.tsx';
import { Empty, Loading } from '../../components/States.tsx';
import { fieldLog, UNFILED } from '../../field/fieldLog.ts';
import { Filing } from './Filing.tsx';

/** What was not asked before the walk is asked now; what stays unknown is shown as unknown. */
export function FileWalk() {
  const { walkId = '' } = useParams();
  const kept = useFieldLog(() => fieldLog.walks.get(walkId), `walk-${walkId}`);
  if (!kept) return <Loading what="the walk" />;
  return kept.comparisonId === UNFILED ? (
    <Filing kept={kept} />
  ) : (
    <Stage title="File the walk">
      <Empty title="It is filed">
        <Link className="underline" to={`/c/${kept.comparisonId}/trace/${kept.id}`}>
          Look at its trace
        </Link>
        .
      </Empty>
    </Stage>
  );
}
