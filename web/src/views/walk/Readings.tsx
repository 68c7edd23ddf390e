import { readingTrouble } from '@urvek/contract';
import { DIRECTIONS, QUANTITIES, QUANTITY_UNIT, type Direction, type Quantity } from '@urvek/core';
import { useEffect, useState } from 'react';
import { Choice, Field, Options } from '../../components/Field.tsx';
import type { Log } from './modesParts.tsx';

/** After arriving, this long before a reading counts (common practice). */
const SETTLE_S = 10;

/** Readings of instruments at a stand: several are kept. */
export function Readings({
  add,
  direction: usual,
  onClose,
}: {
  add: Log;
  direction: Direction;
  onClose: () => void;
}) {
  const [quantity, setQuantity] = useState<Quantity>('throughput');
  const [direction, setDirection] = useState(usual);
  const [network, setNetwork] = useState('');
  const [value, setValue] = useState('');
  const [left, setLeft] = useState(SETTLE_S);
  useEffect(() => {
    if (left <= 0) return;
    const timer = setTimeout(() => setLeft(left - 1), 1000);
    return () => clearTimeout(timer);
  }, [left]);
  const trouble =
    value.trim() === '' || !Number.isFinite(Number(value))
      ? undefined
      : readingTrouble(quantity, Number(value));
  const log = (lost: boolean): void => {
    add('measured', {
      quantity,
      direction,
      ...(lost ? {} : { value: Number(value) }),
      ...(network.trim() ? { network: network.trim() } : {}),
    });
    setValue('');
  };
  return (
    <section className="sheet grid grid-cols-2 gap-2 p-3" aria-label="Readings">
      <h2 className="col-span-2">
        Reading{left > 0 && <span className="font-normal text-faint"> (let it settle: {left} s)</span>}
      </h2>
      <Choice label="Of" value={quantity} onChange={(e) => setQuantity(e.target.value as Quantity)}>
        <Options of={QUANTITIES} />
      </Choice>
      <Choice label="Direction" value={direction} onChange={(e) => setDirection(e.target.value as Direction)}>
        <Options of={DIRECTIONS} />
      </Choice>
      <Field
        label="Value"
        suffix={QUANTITY_UNIT[quantity]}
        inputMode="decimal"
        value={value}
        onChange={(e) => setValue(e.target.value)}
        {...(trouble === undefined ? {} : { error: trouble })}
      />
      <Field
        label="Band, channel or access point"
        value={network}
        onChange={(e) => setNetwork(e.target.value)}
      />
      <button
        type="button"
        className="pressable"
        disabled={value.trim() === '' || !Number.isFinite(Number(value)) || trouble !== undefined}
        onClick={() => log(false)}
      >
        Log the reading
      </button>
      <button type="button" className="pressable" onClick={() => log(true)}>
        Nothing received
      </button>
      <button type="button" className="pressable col-span-2" onClick={onClose}>
        Done
      </button>
    </section>
  );
}
