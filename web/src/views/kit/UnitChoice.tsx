import { Choice } from '../../components/Field.tsx';
import type { SetupForm } from './form.ts';

export function UnitChoice({
  form,
  index,
  rig,
  end,
  label,
}: {
  form: SetupForm;
  index: number;
  rig: number;
  end: 'unitFixedId' | 'unitMobileId';
  label: string;
}) {
  return (
    <Choice className="col-span-1" label={label} {...form.register(`products.${index}.rigs.${rig}.${end}`)}>
      {form.watch(`products.${index}.units`).map((u) => (
        <option key={u.id} value={u.id}>
          {u.label}
        </option>
      ))}
    </Choice>
  );
}
