import {
  type LevelReading,
  DISTANCE_METHODS,
  EXPOSURES,
  LEAST_STEP_M,
  METHOD_UNCERTAINTY,
  OBSTRUCTION_KINDS,
  PATH_MODELS,
  pathLengthM,
  separationAtM,
  ROUTE_FILE_LIMIT_BYTES,
  RouteFileError,
  SLAB_MATERIALS,
  TOLERANCE_M,
  type DistanceMethod,
  type ObstructionKind,
  type Path,
  type PathLink,
} from '@urvek/core';
import { useStudy } from '../../api/queries.ts';
import { pathSchema, type Setup } from '@urvek/contract';
import { pathLinkOf, type SetupPath, routeFileOf } from '@urvek/study';
import { Plus, Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useFieldArray, type UseFormReturn } from 'react-hook-form';
import { Choice, Field, Tick } from '../../components/Field.tsx';
import { FilePick } from '../../components/FilePick.tsx';
import { Stage, WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { Length } from '../../components/Length.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Empty } from '../../components/States.tsx';
import { useLastValid } from '../../components/useLastValid.ts';
import { useSetupForm } from '../../components/useSetupForm.ts';
import { download } from '../../state/download.ts';
import { asFigure } from '../kit/form.ts';
import { Features } from './Features.tsx';
import { KnownPoints } from './KnownPoints.tsx';
import { LevelFit } from './LevelFit.tsx';
import { OnAir } from './OnAir.tsx';
import { Prediction } from './Prediction.tsx';
import { SitePlan } from './SitePlan.tsx';
import { exportAs, pathsFromFile } from './routeFiles.ts';

type SetupForm = UseFormReturn<Setup>;

const newPath = (): SetupPath => ({
  id: crypto.randomUUID().slice(0, 8),
  name: '',
  condition: 'open',
  model: 'two-slope',
  distanceMethod: 'marked line',
  hazards: '',
  permission: '',
  legs: [{ lengthM: 150, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
});

export const Paths = () => (
  <WithWorkspace open>{(workspace) => <PathsEditor {...workspace} />}</WithWorkspace>
);

function PathsEditor(workspace: Ready) {
  const { comparison } = workspace;
  const { form, save, error, saving } = useSetupForm(comparison, 'Paths');
  const paths = useFieldArray({ control: form.control, name: 'paths', keyName: 'key' });
  return (
    <Stage
      title="Paths"
      lead="Routes away from the fixed end, which is their zero. Look up before you look down: know where kerbs, water and stairs are before the first walk."
      actions={
        <>
          <ImportRoute onPaths={(found) => paths.append(found)} />
          <button className="btn" onClick={() => paths.append(newPath())}>
            <Plus aria-hidden size={16} />
            Add a path
          </button>
        </>
      }
    >
      {paths.fields.length === 0 && (
        <Empty title="No path yet">
          Add a path of at least one and a half times the longest claim, or the result will be a bound.
        </Empty>
      )}
      <div className="grid gap-4">
        {paths.fields.map((field, i) => (
          <PathCard
            key={field.key}
            form={form}
            index={i}
            workspace={workspace}
            onRemove={() => paths.remove(i)}
          />
        ))}
      </div>
      <OnAir form={form} />
      <SaveBar
        what="paths"
        dirty={form.formState.isDirty}
        saving={saving}
        error={error}
        onSave={save}
        onDiscard={() => form.reset()}
      />
    </Stage>
  );
}

/** Routes over coordinates, from GPX or GeoJSON. */
const ImportRoute = ({ onPaths }: { onPaths: (paths: SetupPath[]) => void }) => (
  <FilePick
    label="Import a route"
    hint="Import a route from a GPX or GeoJSON file"
    accept=".gpx,.geojson,.json"
    limitBytes={ROUTE_FILE_LIMIT_BYTES}
    expects={[RouteFileError]}
    kept="The paths are as they were; choose another file."
    read={(name, text) => onPaths(pathsFromFile(name, text))}
  />
);

const NO_LEVELS: readonly LevelReading[] = [];

function PathCard({
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
  // As it was when the page came: a plan that is emptied stays open.
  const [planOpen] = useState(() => (path.features?.length ?? 0) > 0);
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
        </Choice>
        <Choice className="w-44" label="Path loss" {...form.register(`${at}.model`)}>
          {PATH_MODELS.map((m) => (
            <option key={m} value={m}>
              {m}
            </option>
          ))}
        </Choice>
        {drawn && (
          <p className="pb-1.5">
            Travelled <Length m={pathLengthM(drawn)} both />, separation at the end{' '}
            <Length m={separationAtM(drawn, pathLengthM(drawn))} both />
          </p>
        )}
        <button
          type="button"
          className="btn btn-quiet ml-auto"
          aria-label={`Remove ${path.name || 'this path'}`}
          onClick={onRemove}
        >
          <Trash2 aria-hidden size={16} />
          Remove
        </button>
        <Choice className="w-52" label="Distances by" {...form.register(`${at}.distanceMethod`)}>
          {DISTANCE_METHODS.map((m) => (
            <option key={m} value={m}>
              {m} (± {uncertaintyText(m)})
            </option>
          ))}
        </Choice>
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
          inputMode="decimal"
          {...form.register(`${at}.startOffsetM`, asFigure)}
          error={errors?.startOffsetM?.message}
        />
        <Tick label="keep place and coordinates private" {...form.register(`${at}.keepPrivate`)} />
      </div>
      <div className="mt-3">
        {drawn && (
          <Prediction path={drawn} products={form.watch('products')}>
            {(here, onHere) => (
              <details className="mb-2" open={planOpen}>
                <summary className="cursor-pointer font-bold">Plan of the site, to scale</summary>
                <div className="mt-1">
                  {!path.features?.length && <Features form={form} index={index} />}
                  <SitePlan
                    path={drawn}
                    here={here}
                    onHere={onHere}
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
      {/* Outside of what is drawn: a figure half typed must not take its own field away. */}
      {(path.features?.length ?? 0) > 0 && <Features form={form} index={index} />}
      {drawn && <LevelFit path={drawn as Path} link={linkOf(form.watch('products'))} logged={logged} />}
      {drawn?.fixedEnd && <Exports path={drawn} />}
      <div className="mt-3 grid gap-x-8 gap-y-4 lg:grid-cols-[1.3fr_1fr_1fr]">
        <Legs form={form} index={index} />
        <Obstructions form={form} index={index} />
        <Checkpoints form={form} index={index} />
      </div>
    </section>
  );
}

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

function Exports({ path }: { path: SetupPath }) {
  const save = (format: 'gpx' | 'geojson', type: string): void => {
    const file = routeFileOf(path);
    if (file) download(`${path.name}.${format}`, exportAs[format](file), type);
  };
  return (
    <p className="mt-1 text-[0.85rem]">
      Fixed end at{' '}
      <span className="figure">
        {path.fixedEnd?.latitudeDeg.toFixed(6)}°, {path.fixedEnd?.longitudeDeg.toFixed(6)}°
      </span>
      . Fixes within {LEAST_STEP_M} m of the last, or {TOLERANCE_M} m of the line, add no length.{' '}
      {path.keepPrivate ? (
        <strong>This place is private: a file of it is for yourself.</strong>
      ) : (
        'The file holds coordinates: mind whose place it shows.'
      )}
      <button type="button" className="btn-quiet ml-3" onClick={() => save('gpx', 'application/gpx+xml')}>
        Save as GPX
      </button>
      <button
        type="button"
        className="btn-quiet ml-3"
        onClick={() => save('geojson', 'application/geo+json')}
      >
        Save as GeoJSON
      </button>
    </p>
  );
}

function Rows({ title, add, children }: { title: string; add: ReactNode; children: ReactNode }) {
  return (
    <fieldset>
      <div className="flex items-center border-b border-ink">
        <legend className="float-left flex-1 font-bold">{title}</legend>
        {add}
      </div>
      <div className="mt-1 grid gap-1">{children}</div>
    </fieldset>
  );
}

const RemoveRow = ({ what, onClick }: { what: string; onClick: () => void }) => (
  <button type="button" className="btn btn-quiet" aria-label={`Remove ${what}`} onClick={onClick}>
    <Trash2 aria-hidden size={16} />
  </button>
);

function Legs({ form, index }: { form: SetupForm; index: number }) {
  const at = `paths.${index}.legs` as const;
  const legs = useFieldArray({ control: form.control, name: at, keyName: 'key' });
  const errors = form.formState.errors.paths?.[index]?.legs;
  return (
    <Rows
      title="Legs"
      add={
        <button
          type="button"
          className="btn btn-quiet"
          onClick={() => legs.append({ lengthM: 50, bearingDeg: 0, riseM: 0, exposure: 'open' })}
        >
          Add a leg
        </button>
      }
    >
      {legs.fields.map((field, i) => (
        <div key={field.key} className="grid grid-cols-[1fr_1fr_1fr_1.2fr_auto] items-end gap-2">
          <Field
            label="Length"
            suffix="m"
            type="number"
            step="any"
            {...form.register(`${at}.${i}.lengthM`, { valueAsNumber: true })}
            error={errors?.[i]?.lengthM?.message}
          />
          <Field
            label="Bearing"
            suffix="°"
            type="number"
            step="any"
            {...form.register(`${at}.${i}.bearingDeg`, { valueAsNumber: true })}
            error={errors?.[i]?.bearingDeg?.message}
          />
          <Field
            label="Rise"
            suffix="m"
            type="number"
            step="any"
            {...form.register(`${at}.${i}.riseM`, { valueAsNumber: true })}
            error={errors?.[i]?.riseM?.message ?? errors?.[i]?.message}
          />
          <Choice label="Exposure" {...form.register(`${at}.${i}.exposure`)}>
            {EXPOSURES.map((e) => (
              <option key={e} value={e}>
                {e}
              </option>
            ))}
          </Choice>
          <RemoveRow what={`leg ${i + 1}`} onClick={() => legs.remove(i)} />
        </div>
      ))}
    </Rows>
  );
}

const KIND_WORDS: Readonly<Record<ObstructionKind, string>> = {
  'fixed-loss': 'loss by eye',
  slab: 'wall',
  foliage: 'foliage',
  'knife-edge': 'edge',
};
/** Figures of another kind are dropped: a wall has no depth of leaves. */
const FRESH: Readonly<Record<ObstructionKind, Partial<SetupPath['obstructions'][number]>>> = {
  'fixed-loss': { lossDb: 3 },
  slab: { material: 'brick', thicknessM: 0.1 },
  foliage: {},
  'knife-edge': { heightM: 3 },
};

function Obstructions({ form, index }: { form: SetupForm; index: number }) {
  const at = `paths.${index}.obstructions` as const;
  const obstructions = useFieldArray({ control: form.control, name: at, keyName: 'key' });
  const errors = form.formState.errors.paths?.[index]?.obstructions;
  const values = form.watch(at);
  const become = (i: number, kind: ObstructionKind): void => {
    const { label, atM } = values[i] as SetupPath['obstructions'][number];
    obstructions.update(i, { label, atM, kind, ...(kind === 'foliage' ? { toM: atM + 20 } : FRESH[kind]) });
  };
  return (
    <Rows
      title="Obstructions"
      add={
        <button
          type="button"
          className="btn btn-quiet"
          onClick={() => obstructions.append({ label: '', kind: 'fixed-loss', atM: 10, lossDb: 3 })}
        >
          Add an obstruction
        </button>
      }
    >
      {obstructions.fields.length === 0 && <p className="text-faint">Nothing stands in the way.</p>}
      {obstructions.fields.map((field, i) => {
        const kind = values[i]?.kind ?? 'fixed-loss';
        const figure = (
          name: 'atM' | 'toM' | 'thicknessM' | 'heightM' | 'lossDb',
          label: string,
          suffix: string,
        ) => (
          <Field
            label={label}
            suffix={suffix}
            type="number"
            step="any"
            {...form.register(`${at}.${i}.${name}`, { valueAsNumber: true })}
            error={errors?.[i]?.[name]?.message}
          />
        );
        return (
          <div
            key={field.key}
            className="grid grid-cols-[1.2fr_1.1fr_auto] items-end gap-2 border-b border-rule pb-1"
          >
            <Field label="What" {...form.register(`${at}.${i}.label`)} error={errors?.[i]?.label?.message} />
            <Choice label="Kind" value={kind} onChange={(e) => become(i, e.target.value as ObstructionKind)}>
              {OBSTRUCTION_KINDS.map((k) => (
                <option key={k} value={k}>
                  {KIND_WORDS[k]}
                </option>
              ))}
            </Choice>
            <RemoveRow what={`obstruction ${i + 1}`} onClick={() => obstructions.remove(i)} />
            <div className="col-span-3 grid grid-cols-3 gap-2">
              {figure('atM', kind === 'foliage' ? 'From' : 'At', 'm')}
              {kind === 'foliage' && figure('toM', 'To', 'm')}
              {kind === 'slab' && (
                <Choice label="Material" {...form.register(`${at}.${i}.material`)}>
                  {Object.keys(SLAB_MATERIALS).map((m) => (
                    <option key={m} value={m}>
                      {m}
                    </option>
                  ))}
                </Choice>
              )}
              {kind === 'slab' && figure('thicknessM', 'Thickness', 'm')}
              {kind === 'knife-edge' && figure('heightM', 'Height', 'm')}
              {kind === 'fixed-loss' && figure('lossDb', 'Loss (by eye)', 'dB')}
            </div>
          </div>
        );
      })}
    </Rows>
  );
}

function Checkpoints({ form, index }: { form: SetupForm; index: number }) {
  const at = `paths.${index}.checkpoints` as const;
  const checkpoints = useFieldArray({ control: form.control, name: at, keyName: 'key' });
  const errors = form.formState.errors.paths?.[index]?.checkpoints;
  const [everyM, setEveryM] = useState(20);
  const layOut = (): void => {
    const count = Math.min(500, Math.floor(pathLengthM(form.getValues(`paths.${index}`)) / everyM));
    checkpoints.replace(
      Array.from({ length: count }, (_, i) => ({ name: `post ${i + 1}`, atM: everyM * (i + 1) })),
    );
  };
  return (
    <Rows
      title="Checkpoints"
      add={
        <button
          type="button"
          className="btn btn-quiet"
          onClick={() => checkpoints.append({ name: `post ${checkpoints.fields.length + 1}`, atM: 10 })}
        >
          Add one
        </button>
      }
    >
      <div className="flex items-end gap-2">
        <Field
          label="One every"
          suffix="m"
          type="number"
          min={1}
          value={everyM}
          onChange={(e) => setEveryM(Number(e.target.value))}
          className="w-28"
        />
        <button type="button" className="btn" disabled={!(everyM > 0)} onClick={layOut}>
          Lay them out
        </button>
      </div>
      <KnownPoints form={form} index={index} onPoints={(points) => checkpoints.append(points)} />
      <div
        className="grid max-h-56 gap-1 overflow-y-auto p-1"
        tabIndex={0}
        role="group"
        aria-label="Checkpoints of this path"
      >
        {checkpoints.fields.map((field, i) => (
          <div key={field.key} className="grid grid-cols-[1.4fr_1fr_auto] items-end gap-2">
            <Field
              hideLabel
              label={`Name of checkpoint ${i + 1}`}
              {...form.register(`${at}.${i}.name`)}
              error={errors?.[i]?.name?.message}
            />
            <Field
              hideLabel
              label={`Place of checkpoint ${i + 1}`}
              suffix="m"
              type="number"
              step="any"
              {...form.register(`${at}.${i}.atM`, { valueAsNumber: true })}
              error={errors?.[i]?.atM?.message}
            />
            <RemoveRow what={`checkpoint ${i + 1}`} onClick={() => checkpoints.remove(i)} />
          </div>
        ))}
      </div>
    </Rows>
  );
}
