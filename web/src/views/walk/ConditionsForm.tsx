import { LEAVES, WEATHERS, type Conditions } from '@urvek/core';
import { Choice, Field, Options, Tick } from '../../components/Field.tsx';
import { GradedBy } from '../../components/GradedBy.tsx';
import * as phrases from './phrases.ts';

/** The day, before the walk: one short screen, all of it optional. */
export function ConditionsForm({
  conditions,
  onChange,
}: {
  conditions: Conditions;
  onChange: (conditions: Conditions) => void;
}) {
  const set = (more: Partial<Conditions>): void =>
    onChange(
      Object.fromEntries(
        Object.entries({ ...conditions, ...more }).filter(([, v]) => v !== undefined && v !== ''),
      ) as Conditions,
    );
  const number = (text: string): number | undefined =>
    text.trim() === '' || !Number.isFinite(Number(text)) ? undefined : Number(text);
  return (
    <details className="border-t border-rule pt-2">
      <summary className="cursor-pointer font-bold">{phrases.theDayWeatherPeopleOtherTransmitters}</summary>
      <div className="mt-1 grid grid-cols-3 items-end gap-2">
        <Choice
          label={phrases.weather}
          value={conditions.weather ?? ''}
          onChange={(e) => set({ weather: WEATHERS.find((w) => w === e.target.value) })}
        >
          <option value="">{phrases.notNoted}</option>
          <Options of={WEATHERS} />
        </Choice>
        <Choice
          label={phrases.leaf}
          value={conditions.leaf ?? ''}
          onChange={(e) => set({ leaf: LEAVES.find((l) => l === e.target.value) })}
        >
          <option value="">{phrases.notNoted}</option>
          <Options of={LEAVES} />
        </Choice>
        <Tick
          label={phrases.groundWet}
          checked={conditions.groundWet ?? false}
          onChange={(e) => set({ groundWet: e.target.checked || undefined })}
        />
        <Field
          label={phrases.temperature}
          suffix="°C"
          inputMode="decimal"
          defaultValue={conditions.temperatureC ?? ''}
          onBlur={(e) => set({ temperatureC: number(e.target.value) })}
        />
        <Field
          label={phrases.peopleAbout}
          inputMode="numeric"
          defaultValue={conditions.peopleAbout ?? ''}
          onBlur={(e) => {
            const n = number(e.target.value);
            set({ peopleAbout: n === undefined ? undefined : Math.max(0, Math.round(n)) });
          }}
        />
        <Field
          label={phrases.loadOnTheLink}
          maxLength={300}
          value={conditions.load ?? ''}
          onChange={(e) => set({ load: e.target.value })}
        />
        <Field
          label={phrases.readWith}
          maxLength={120}
          value={conditions.instrument ?? ''}
          onChange={(e) => set({ instrument: e.target.value })}
        />
        <GradedBy name={conditions.gradedBy ?? ''} onChange={(gradedBy) => set({ gradedBy })} />
        <Field
          className="col-span-3"
          label={phrases.otherTransmitters}
          maxLength={300}
          value={conditions.otherTransmitters ?? ''}
          onChange={(e) => set({ otherTransmitters: e.target.value })}
        />
      </div>
    </details>
  );
}
