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
    <Stage title="Join a walk" lead="Two ends, two logs: one says where, the other what is received.">
      <form
        className="sheet grid max-w-md gap-3 p-4"
        onSubmit={(e) => {
          e.preventDefault();
          void join();
        }}
      >
        <Field
          label="Code on the walker’s screen"
          value={code}
          autoCapitalize="characters"
          autoComplete="off"
          onChange={(e) => setCode(e.target.value)}
        />
        <Choice
          label="This device is at the"
          value={role}
          onChange={(e) => setRole(e.target.value as typeof role)}
        >
          <option value="base">fixed end (base)</option>
          <option value="walker">mobile end (walker)</option>
        </Choice>
        <Choice
          label="It watches"
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
          Join
        </button>
      </form>
    </Stage>
  );
}
