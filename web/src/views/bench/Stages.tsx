import { STAGE_NAME } from '@urvek/study';
import { Link } from 'react-router';
import { useStages } from '../../api/study.ts';
import { StageMark } from '../../components/StageMark.tsx';
import * as phrases from './phrases.ts';

/** The eight stages of a comparison in a strip: how far each is. */
export function Stages({ id, title }: { id: string; title: string }) {
  const { data } = useStages(id);
  return (
    <ol className="flex min-h-6 flex-wrap" aria-label={phrases.stagesOf(title)}>
      {data?.map(({ stage, mark, text }) => (
        <li key={stage}>
          <Link
            to={`/c/${id}/${stage}`}
            title={text}
            className="flex items-center gap-1.5 border-r border-rule px-2 py-0.5 hover:bg-white"
          >
            <StageMark mark={mark} />
            {STAGE_NAME[stage]}
          </Link>
        </li>
      ))}
    </ol>
  );
}
