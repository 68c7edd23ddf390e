import { Link, useParams } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { Stage } from '../../components/Stage.tsx';
import { Empty, Loading } from '../../components/States.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { Logging } from './Logging.tsx';

/** What the joined device logs: what is received, and shared moments. */
export function JoinedLog() {
  const { walkId = '' } = useParams<{ walkId: string }>();
  const kept = useFieldLog(() => fieldLog.walk(walkId).then((w) => w ?? null), `joined-${walkId}`);
  if (kept === null)
    return (
      <Stage title="Join a walk">
        <Empty title="This device did not join that walk">
          Open{' '}
          <Link className="underline" to="/join">
            Join
          </Link>{' '}
          and type the code on the walker’s screen.
        </Empty>
      </Stage>
    );
  return kept ? <Logging kept={kept} /> : <Loading what="the log" />;
}
