import type { ReactNode } from 'react';
import { AcrossFields } from './AcrossFields.tsx';
import { AddPart } from './AddPart.tsx';
import { AddDrawn } from './AddDrawn.tsx';
import { DrawnFields } from './DrawnFields.tsx';
import { HazardFields } from './HazardFields.tsx';
import { LayOut } from './LayOut.tsx';
import { LegFields } from './LegFields.tsx';
import { PART_KINDS, partNames, type Part, type PartKind } from './parts.ts';
import type { SetupForm } from './pathsParts.tsx';
import { KnownCheckpoints } from './KnownCheckpoints.tsx';
import { PartLine } from './PartLine.tsx';
import { PointFields } from './PointFields.tsx';
import { RemoveRow } from './RemoveRow.tsx';
import * as phrases from './phrases.ts';

const KIND_TITLE: Readonly<Record<PartKind, string>> = {
  leg: phrases.legs,
  across: phrases.acrossThePath,
  drawn: phrases.onThePlan,
  point: phrases.checkpoints,
  hazard: phrases.hazards,
};
const FIELD = {
  leg: 'legs',
  across: 'obstructions',
  point: 'checkpoints',
  hazard: 'hazardsAt',
  drawn: 'features',
} as const;

/** The list of a path that a kind of part stands in. */
const listOf = (index: number, kind: PartKind) => `paths.${index}.${FIELD[kind]}` as const;

/** All that a path is made of, by name; what is in hand is edited by its figures. */
export function Parts({
  form,
  index,
  named,
  inHand,
  onPart,
}: {
  form: SetupForm;
  index: number;
  /** Places that walks here name, and that have no distance. */
  named: readonly string[];
  inHand: Part | undefined;
  onPart: (part: Part | undefined) => void;
}) {
  const path = form.watch(`paths.${index}`);
  const errors = form.formState.errors.paths?.[index];
  const change = (kind: PartKind, list: readonly unknown[]): void =>
    form.setValue(listOf(index, kind), list as never, {
      shouldDirty: true,
      shouldValidate: form.formState.isSubmitted,
    });
  const append = (kind: PartKind, part: object): void => {
    const list = form.getValues(listOf(index, kind)) ?? [];
    change(kind, [...list, part]);
    onPart({ kind, index: list.length });
  };
  const remove = ({ kind, index: nth }: Part): void => {
    change(
      kind,
      (form.getValues(listOf(index, kind)) ?? []).filter((_, i) => i !== nth),
    );
    onPart(undefined);
  };
  const add: Readonly<Record<PartKind, ReactNode>> = {
    leg: (
      <AddPart onClick={() => append('leg', { lengthM: 50, bearingDeg: 0, riseM: 0, exposure: 'open' })}>
        {phrases.addALeg}
      </AddPart>
    ),
    across: (
      <AddPart onClick={() => append('across', { label: '', kind: 'fixed-loss', atM: 10, lossDb: 3 })}>
        {phrases.addAnObstruction}
      </AddPart>
    ),
    point: (
      <>
        <AddPart
          onClick={() => append('point', { name: phrases.post(path.checkpoints.length + 1), atM: 10 })}
        >
          {phrases.addOne}
        </AddPart>
        <LayOut form={form} index={index} />
      </>
    ),
    hazard: <AddPart onClick={() => append('hazard', { what: '', atM: 10 })}>{phrases.addAHazard}</AddPart>,
    drawn: <AddDrawn form={form} index={index} onAdded={(nth) => onPart({ kind: 'drawn', index: nth })} />,
  };
  return (
    <div className="mt-3 border-t border-rule pt-2" data-parts>
      <dl className="grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-1">
        {PART_KINDS.map((kind) => (
          <PartLine
            key={kind}
            title={KIND_TITLE[kind]}
            names={partNames(path, kind)}
            wrong={wrongOf(errors?.[FIELD[kind]])}
            inHand={inHand?.kind === kind ? inHand.index : undefined}
            onPart={(nth) => onPart({ kind, index: nth })}
            add={add[kind]}
          />
        ))}
      </dl>
      {inHand && (
        <div
          // A field that nobody stated would keep what was typed for the part before.
          key={`${inHand.kind}-${inHand.index}`}
          className="mt-2 flex flex-wrap items-end gap-x-3 gap-y-2 border-2 border-accent bg-sheet p-2"
          role="group"
          aria-label={phrases.inHand(partNames(path, inHand.kind)[inHand.index] ?? '')}
        >
          {inHand.kind === 'leg' && <LegFields form={form} index={index} leg={inHand.index} />}
          {inHand.kind === 'across' && <AcrossFields form={form} index={index} nth={inHand.index} />}
          {inHand.kind === 'point' && <PointFields form={form} index={index} nth={inHand.index} />}
          {inHand.kind === 'hazard' && <HazardFields form={form} index={index} nth={inHand.index} />}
          {inHand.kind === 'drawn' && <DrawnFields form={form} index={index} nth={inHand.index} />}
          {!(inHand.kind === 'leg' && path.legs.length === 1) && (
            <RemoveRow
              what={partNames(path, inHand.kind)[inHand.index] ?? ''}
              onClick={() => remove(inHand)}
            />
          )}
        </div>
      )}
      <div className="mt-2">
        <KnownCheckpoints
          form={form}
          index={index}
          named={named}
          onPlaced={(nth) => onPart({ kind: 'point', index: nth })}
        />
      </div>
    </div>
  );
}

/** Which of a list are wrong. */
const wrongOf = (errors: unknown): ReadonlySet<number> =>
  new Set(Array.isArray(errors) ? errors.flatMap((e, i) => (e ? [i] : [])) : []);
