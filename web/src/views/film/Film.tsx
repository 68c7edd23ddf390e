import { useParams } from 'react-router';
import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { FilmStage } from './FilmStage.tsx';

export function Film() {
  const { walkId } = useParams();
  return (
    <WithWorkspace>
      {(workspace) => <FilmStage key={walkId ?? 'new'} walkId={walkId} {...workspace} />}
    </WithWorkspace>
  );
}
