import { tidyCode } from '@urvek/contract';
import { DIRECTIONS, type Direction } from '@urvek/core';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { base } from '../../api/client.ts';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { Stage } from '../../components/Stage.tsx';
import { Trouble } from '../../components/States.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';
import * as phrases from './phrases.ts';

/** A second device joins a walk by its code. */
export function Join() {
  const { code: fromAddress = '' } = useParams<{ code: string }>();
  const [code, setCode] = useState(fromAddress);
  const [role, setRole] = useState<'walker' | 'base'>('base');
  const [direction, setDirection] = useState<Direction>('mobile-to-fixed');
  const [error, setError] = useState<Error>();
  const navigate = useNavigate();
  const join = async (): Promise<void> => {
    try {
      const header = await base.join(tidyCode(code));
      await fieldLog.joinWalk(header);
      const own = await fieldLog.logOf(header.id);
      if (!own.some((e) => e.kind === 'joined'))
        await fieldLog.append(header.id, 'joined', { role, direction }, eventTime(0, 1));
      void sync();
      await navigate(`/joined/${header.id}`);
    } catch (cause) {
      setError(cause as Error);
    }
  };
  return (
    <Stage title={phrases.joinAWalk} lead={phrases.twoEndsTwoLogsOneSays}>
      <form
        className="sheet grid max-w-md gap-3 p-4"
        onSubmit={(e) => {
          e.preventDefault();
          void join();
        }}
      >
        <Field
          label={phrases.codeOnTheWalkersScreen}
          value={code}
          autoCapitalize="characters"
          autoComplete="off"
          onChange={(e) => setCode(e.target.value)}
        />
        <Choice
          label={phrases.thisDeviceIsAtThe}
          value={role}
          onChange={(e) => setRole(e.target.value as typeof role)}
        >
          <option value="base">{phrases.fixedEndBase}</option>
          <option value="walker">{phrases.mobileEndWalker}</option>
        </Choice>
        <Choice
          label={phrases.itWatches}
          value={direction}
          onChange={(e) => setDirection(e.target.value as Direction)}
        >
          <Options of={DIRECTIONS} />
        </Choice>
        {error && <Trouble error={error} />}
        <button
          className="btn btn-main min-h-16 justify-center text-lg"
          disabled={tidyCode(code).length !== 6}
        >
          {phrases.join2}
        </button>
      </form>
    </Stage>
  );
}
