import type { Product } from '@urvek/contract';
import type { ComponentProps } from 'react';
import { Choice } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

/** Which of a product's rigs a claim is of; nothing to choose where there is one. */
export function RigChoice({
  label,
  product,
  ...select
}: { label: string; product: Product | undefined } & ComponentProps<'select'>) {
  if (!product || product.rigs.length < 2) return null;
  return (
    <Choice {...select} label={label}>
      <option value="">{phrases.any}</option>
      {product.rigs.map((r) => (
        <option key={r.id} value={r.id}>
          {r.name}
        </option>
      ))}
    </Choice>
  );
}
