import { tidyCode } from '@urvek/contract';
import { DIRECTIONS, type Direction } from '@urvek/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { Trouble } from '../../components/States.tsx';
import { fieldLog, type KeptWalk } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import * as phrases from './phrases.ts';

/** Two ends without a network: each logged alone, and pressed at shared moments. */
export function OtherEnd({ kept }: { kept: KeptWalk }) {
  const navigate = useNavigate();
  const [code, setCode] = useState('');
  const [direction, setDirection] = useState<Direction>('mobile-to-fixed');
  const [error, setError] = useState<Error>();
  const join = async (): Promise<void> => {
    try {
      const header = await base.join(tidyCode(code));
      await fieldLog.goOver(kept.id, header, { role: 'base', direction });
      void sync();
      await navigate(`/c/${header.comparisonId}/trace/${header.id}`);
    } catch (cause) {
      setError(cause as Error);
    }
  };
  return (
    <form
      className="sheet mt-4 grid max-w-2xl gap-3 p-4"
      onSubmit={(e) => {
        e.preventDefault();
        void join();
      }}
    >
      <h2>{phrases.orItIsWhatTheOther}</h2>
      <p className="text-[0.87rem] text-faint">{phrases.ofAWalkThatAnotherDevice}</p>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label={phrases.codeOfThatWalk}
          value={code}
          autoCapitalize="characters"
          autoComplete="off"
          onChange={(e) => setCode(e.target.value)}
        />
        <Choice
          label={phrases.itWatched}
          value={direction}
          onChange={(e) => setDirection(e.target.value as Direction)}
        >
          <Options of={DIRECTIONS} />
        </Choice>
      </div>
      {error && <Trouble error={error} />}
      <div>
        <button className="btn" disabled={tidyCode(code).length !== 6}>
          {phrases.joinTheTwoLogs}
        </button>
      </div>
    </form>
  );
}
