import { pathSchema, type Setup } from '@urvek/contract';
import {
  type LevelReading,
  DISTANCE_METHODS,
  PATH_MODELS,
  type PathModel,
  pathLengthM,
  separationAtM,
  type Path,
  type PathLink,
  METHOD_UNCERTAINTY,
  type DistanceMethod,
} from '@urvek/core';
import { type SetupPath, pathLinkOf } from '@urvek/study';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useStudy } from '../../api/queries.ts';
import { Choice, Field, Tick } from '../../components/Field.tsx';
import type { Ready } from '../../components/Frame.tsx';
import { Length } from '../../components/Length.tsx';
import { More } from '../../components/More.tsx';
import { useLastValid } from '../../components/useLastValid.ts';
import { asMetres } from '../../components/figures.ts';
import { useSelected } from '../../state/lens.ts';
import { Exports } from './Exports.tsx';
import { LevelFit } from './LevelFit.tsx';
import { LineFields } from './LineFields.tsx';
import { Parts } from './Parts.tsx';
import { parsePart, partAt, partAtM, partText, type Part } from './parts.ts';
import { Prediction } from './Prediction.tsx';
import { SitePlan } from './SitePlan.tsx';
import type { SetupForm } from './pathsParts.tsx';

const NO_LEVELS: readonly LevelReading[] = [];
/** A point is meant from so near, as a share of the path's length. */
const REACH = 0.012;
const NO_NAMES: readonly string[] = [];

/** Models of path loss, by what they stand for. */
const MODEL_NAME: Readonly<Record<PathModel, string>> = {
  'free-space': 'nothing between (free space)',
  'two-ray': 'over flat ground (two rays)',
  'two-slope': 'open, then ground (two slopes)',
  indoor: 'in a building',
};

/** Fields that fold away. */
const RARE = [
  ...(['startOffsetM', 'startOffsetUM', 'behindDownMbps', 'behindDownMostMbps', 'behindUpMbps'] as const),
  ...(['behindUpMostMbps', 'planDownMbps', 'planDownMostMbps', 'planUpMbps', 'planUpMostMbps'] as const),
  'lineServer',
] as const;

export function PathCard({
  form,
  index,
  workspace,
  onRemove,
}: {
  form: SetupForm;
  index: number;
  workspace: Ready;
  onRemove: () => void;
}) {
  const at = `paths.${index}` as const;
  const path = form.watch(at);
  const errors = form.formState.errors.paths?.[index];
  const { data: logged = NO_LEVELS } = useStudy(workspace, ['levels', path.id], (study, of) =>
    study.levels(of, path.id),
  );
  const { data: named = NO_NAMES } = useStudy(workspace, ['names', path.id], (study, of) =>
    study.unplacedNames(of, path.id),
  );
  // As it was when the page came: a plan that is emptied stays open.
  const [planOpen] = useState(() => (path.features?.length ?? 0) > 0 || bends(path));
  const [wanted, setWanted] = useSelected('part', true);
  // A path that has just been added is open at its first leg, also once it has its name.
  const [fresh] = useState(() => path.name === '');
  const inHand = parsePart(wanted ?? (fresh ? 'leg-1' : undefined), path);
  const onPart = (part: Part | undefined): void => setWanted(part && partText(part));
  // What lies beyond the end while a route is being dragged is left out of the picture, not of the data.
  const lengthM = pathLengthM(path);
  const edited = {
    ...path,
    name: path.name || 'new',
    checkpoints: path.checkpoints.filter((c) => c.atM <= lengthM),
    obstructions: path.obstructions.filter((o) => o.atM <= lengthM),
  };
  const drawable = pathSchema.isValidSync(edited);
  const drawn = useLastValid(edited, drawable);
  const set = <K extends 'legs' | 'features'>(field: K, value: SetupPath[K]): void =>
    form.setValue(`${at}.${field}`, value as never, { shouldDirty: true });
  return (
    <section className="sheet p-4" aria-label={path.name || 'New path'}>
      <div className="flex flex-wrap items-end gap-3">
        <Field className="w-64" label="Name" {...form.register(`${at}.name`)} error={errors?.name?.message} />
        <Choice className="w-40" label="Condition" {...form.register(`${at}.condition`)}>
          <option value="open">open</option>
          <option value="obstructed">obstructed</option>
          <option value="unstated">not stated</option>
        </Choice>
        <Choice className="w-52" label="Distances by" {...form.register(`${at}.distanceMethod`)}>
          {DISTANCE_METHODS.map((m) => (
            <option key={m} value={m}>
              {m} (± {uncertaintyText(m)})
            </option>
          ))}
        </Choice>
        <Choice
          className="w-64"
          label="How the level falls, for predictions"
          {...form.register(`${at}.model`)}
        >
          {PATH_MODELS.map((m) => (
            <option key={m} value={m}>
              {MODEL_NAME[m]}
            </option>
          ))}
        </Choice>
        <button
          type="button"
          className="btn btn-quiet ml-auto"
          aria-label={`Remove ${path.name || 'this path'}`}
          onClick={onRemove}
        >
          <Trash2 aria-hidden size={16} />
          Remove
        </button>
      </div>
      {drawn && (
        <p className="mt-2">
          Travelled <Length m={pathLengthM(drawn)} both />, separation at the end{' '}
          <Length m={separationAtM(drawn, pathLengthM(drawn))} both />
        </p>
      )}
      <More
        what="Hazards, permission, where counters are zeroed, and the rest"
        open={RARE.some((field) => errors?.[field])}
      >
        <div className="flex flex-wrap items-end gap-3">
          <Field
            className="w-72"
            label="Hazards: kerbs, water, stairs, machinery"
            {...form.register(`${at}.hazards`)}
          />
          <Field className="w-56" label="Permission to be there" {...form.register(`${at}.permission`)} />
          <Field
            className="w-44"
            label="Counters zeroed at"
            suffix="m"
            {...form.register(`${at}.startOffsetM`, asMetres)}
            error={errors?.startOffsetM?.message}
          />
          <Field
            className="w-44"
            label="Fixed end known to ±"
            suffix="m"
            {...form.register(`${at}.startOffsetUM`, asMetres)}
            error={errors?.startOffsetUM?.message}
          />
          <LineFields form={form} index={index} />
          <Tick label="keep place and coordinates private" {...form.register(`${at}.keepPrivate`)} />
        </div>
      </More>
      {/* Outside of what is drawn: a figure half typed must not take its own field away. */}
      <Parts form={form} index={index} named={named} inHand={inHand} onPart={onPart} />
      <div className="mt-3">
        {drawn && (
          <Prediction
            path={drawn}
            products={form.watch('products')}
            inHandM={inHand && partAtM(drawn, inHand)}
            onPress={(atM) => onPart(partAt(path, atM, REACH * lengthM))}
          >
            {(here, onHere) => (
              <details className="mb-2" open={planOpen}>
                <summary className="cursor-pointer font-bold">Plan of the site, to scale</summary>
                <div className="mt-1">
                  <SitePlan
                    path={drawn}
                    here={here}
                    inHand={inHand?.kind === 'drawn' ? inHand.index : undefined}
                    onHere={onHere}
                    onPart={onPart}
                    onLegs={(legs) =>
                      set(
                        'legs',
                        legs.map((l) => ({
                          ...l,
                          lengthM: round(l.lengthM),
                          bearingDeg: round(l.bearingDeg),
                        })),
                      )
                    }
                    onFeatures={(features) => set('features', features as SetupPath['features'])}
                  />
                </div>
              </details>
            )}
          </Prediction>
        )}
        {!drawable && (
          <p role="alert" className="text-lost">
            {drawn ? 'Drawn as it was before: ' : 'Not drawn: '}
            {(errors as { message?: string } | undefined)?.message ??
              'mend the figures that are out of place.'}
          </p>
        )}
      </div>
      {drawn && (
        <details className="mt-2 border-t border-rule pt-2">
          <summary className="cursor-pointer font-bold">
            Measured levels{drawn.fixedEnd && ', and the path as a file'}
          </summary>
          <LevelFit path={drawn as Path} link={linkOf(form.watch('products'))} logged={logged} />
          {drawn.fixedEnd && <Exports path={drawn} />}
        </details>
      )}
    </section>
  );
}

/** A straight path looks the same on the tape. */
const bends = ({ legs }: SetupPath): boolean => legs.some((l) => l.bearingDeg !== legs[0]?.bearingDeg);

/** To a tenth of a millimetre and of a degree's thousandth: what is dragged leaves no tail of digits. */
const round = (value: number): number => Math.round(value * 1e4) / 1e4;

/** The link that measured levels are held against: the first that is known. */
const linkOf = (products: Setup['products']): PathLink | undefined =>
  products.flatMap((p) => p.rigs.map((r) => pathLinkOf(p, r))).find((l) => l !== undefined);

/** One standard uncertainty, as the method has it. */
const uncertaintyText = (method: DistanceMethod): string => {
  const { independentM, scale } = METHOD_UNCERTAINTY[method];
  return `${Number(independentM.toPrecision(3))} m${scale > 0 ? ` and ${100 * scale} %` : ''}`;
};
