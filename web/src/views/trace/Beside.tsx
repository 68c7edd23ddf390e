import type { Setup } from '@urvek/contract';
import type { Finding } from '@urvek/study';
import { AgainstForm } from '../../components/AgainstForm.tsx';
import { useWriting } from './useWriting.ts';
import * as phrases from './phrases.ts';

/** What is remembered of a walk beside another: it orders the two, where no distance does. */
export function Beside({ setup, finding }: { setup: Setup; finding: Finding }) {
  const { write } = useWriting(finding);
  return (
    <details className="border-t border-rule pt-2">
      <summary className="cursor-pointer font-bold">{phrases.besideAnotherWithoutADistance}</summary>
      <AgainstForm
        setup={setup}
        walked={finding.header}
        onSaid={(body, name) => void write('against', body, phrases.keptBeside(name, body.how))}
      />
    </details>
  );
}
