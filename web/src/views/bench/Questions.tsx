import { kindOf } from '@urvek/core';
import { TEMPLATES } from '@urvek/study';
import { Link } from 'react-router';
import { TemplateIcon } from './TemplateIcon.tsx';
import * as phrases from './phrases.ts';

/** Six questions to start from. */
export const Questions = () => (
  <nav className="sheet" aria-label={phrases.startFromAQuestion}>
    <h2 className="px-3 pt-2 pb-1">{phrases.startFromAQuestion}</h2>
    <ul>
      {TEMPLATES.map(({ kindId, question }) => (
        <li key={kindId}>
          <Link
            to={`/new?from=${kindId}`}
            className="flex items-center gap-2.5 border-t border-rule px-3 py-1.5 hover:bg-white"
          >
            <TemplateIcon kindId={kindId} />
            <span className="sr-only">{kindOf(kindId).name}: </span>
            {question}
          </Link>
        </li>
      ))}
    </ul>
  </nav>
);
