import { Link, useParams } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { Stage } from '../../components/Stage.tsx';
import { Empty, Loading } from '../../components/States.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { Logging } from './Logging.tsx';
import * as phrases from './phrases.ts';

/** What the joined device logs: what is received, and shared moments. */
export function JoinedLog() {
  const { walkId = '' } = useParams<{ walkId: string }>();
  const kept = useFieldLog(() => fieldLog.walk(walkId).then((w) => w ?? null), `joined-${walkId}`);
  if (kept === null)
    return (
      <Stage title={phrases.joinAWalk}>
        <Empty title={phrases.thisDeviceDidNotJoinThat}>
          {phrases.open}
          <Link className="underline" to="/join">
            {phrases.join2}
          </Link>
          {phrases.andTypeTheCodeOnThe}
        </Empty>
      </Stage>
    );
  return kept ? <Logging kept={kept} /> : <Loading what={phrases.theLog} />;
}
