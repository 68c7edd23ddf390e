import { pathSchema, type Setup } from '@urvek/contract';
import { pathLengthM, type LevelReading, type Path, type PathLink } from '@urvek/core';
import { pathLinkOf, type SetupPath } from '@urvek/study';
import { useState } from 'react';
import { useAnswer } from '../../api/study.ts';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { useLastValid } from '../../components/useLastValid.ts';
import { useSelected } from '../../state/lens.ts';
import { Exports } from './Exports.tsx';
import { LevelFit } from './LevelFit.tsx';
import { Parts } from './Parts.tsx';
import { parsePart, partAt, partAtM, partText, type Part } from './parts.ts';
import { PathHead } from './PathHead.tsx';
import { PathRest } from './PathRest.tsx';
import { PathTape } from './PathTape.tsx';
import type { SetupForm } from './pathsParts.tsx';
import { Prediction } from './Prediction.tsx';
import { SitePlan } from './SitePlan.tsx';
import { usePredicted } from './usePredicted.ts';
import * as phrases from './phrases.ts';

const NO_LEVELS: readonly LevelReading[] = [];
/** A point is meant from so near, as a share of the path's length. */
const REACH = 0.012;
const NO_NAMES: readonly string[] = [];

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
  const { data: logged = NO_LEVELS } = useAnswer(workspace, { ask: 'levels', pathId: path.id });
  const { data: named = NO_NAMES } = useAnswer(workspace, {
    ask: 'unplacedNames',
    pathId: path.id,
  });
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
    hazardsAt: path.hazardsAt?.filter((h) => h.atM <= lengthM),
  };
  const drawable = pathSchema.isValidSync(edited);
  const drawn = useLastValid(edited, drawable);
  const expected = usePredicted(drawn, form.watch('products'));
  const set = <K extends 'legs' | 'features'>(field: K, value: SetupPath[K]): void =>
    form.setValue(`${at}.${field}`, value as never, { shouldDirty: true });
  return (
    <section className="sheet p-4" aria-label={path.name || phrases.newPath}>
      <PathHead form={form} index={index} onRemove={onRemove} />
      <div className="mt-3">
        {drawn && (
          <PathTape
            path={drawn}
            of={expected}
            inHandM={inHand && partAtM(drawn, inHand)}
            onPress={(atM) => onPart(partAt(path, atM, REACH * lengthM))}
          >
            {(here, onHere) => (
              <details className="mb-2" open={planOpen}>
                <summary className="cursor-pointer font-bold">{phrases.planOfTheSiteToScale}</summary>
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
          </PathTape>
        )}
        {!drawable && (
          <p role="alert" className="text-lost">
            {drawn ? phrases.drawnAsItWasBefore : phrases.notDrawn}
            {(errors as { message?: string } | undefined)?.message ?? phrases.mendTheFiguresThatAreOut}
          </p>
        )}
      </div>
      {/* Outside of what is drawn: a figure half typed must not take its own field away. */}
      <Parts form={form} index={index} named={named} inHand={inHand} onPart={onPart} />
      <PathRest form={form} index={index} />
      {drawn && <Prediction path={drawn} of={expected} />}
      {drawn && (
        <details className="mt-2 border-t border-rule pt-2">
          <summary className="cursor-pointer font-bold">
            {phrases.measuredLevels}
            {drawn.fixedEnd && phrases.andThePathAsAFile}
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
