import type { SettingFields, Settings } from '@yellow-cell/contract';
import { constantProblem, ProblemsError } from '@yellow-cell/core';
import { type BreederRow, findBreeder, replaceSettings } from '../store/breeders.ts';
import { yardIds } from '../store/yards.ts';
import { Conflict, fieldChanges, NotFound } from './conflict.ts';
import type { Context } from './context.ts';
import { reckonLater, reckonYard } from './reckon.ts';

const FIELD_NAMES = { person: 'Name', constants: 'Constants', climates: 'Climates' };
const MEASURE_NAMES = {
  length: 'Lengths',
  weight: 'Weights',
  volume: 'Volumes',
  temperature: 'Temperatures',
  weekStart: 'First day of the week',
  dates: 'Days',
};

export async function changeSettings(context: Context, { version, ...fields }: Settings): Promise<Settings> {
  refuseBadConstants(fields);
  // What refreshes read rows takes its turn with those who log: rows read before must not be written after theirs.
  const changed = await context.writing(async (store) => {
    const before = await findBreeder(store);
    if (!before) throw new NotFound('There is no such breeder.');
    const differing = [
      ...fieldChanges(fields, before.settings, FIELD_NAMES),
      ...fieldChanges(fields.measures, before.settings.measures, MEASURE_NAMES),
    ];
    if (differing.length === 0) return settingsOf(before);
    if (!(await replaceSettings(store, fields, version))) {
      throw new Conflict('The settings were changed in between.', differing, settingsOf(before));
    }
    for (const yard of await yardIds(store))
      if (fieldChanges(figuresOf(fields, yard), figuresOf(before.settings, yard), FIGURES).length > 0)
        await reckonYard(store, context.breeder, yard);
    return { ...fields, version: version + 1 };
  });
  reckonLater(context);
  return changed;
}

const FIGURES = { figures: 'Figures' };
const figuresOf = ({ constants }: SettingFields, yard: string) => ({ figures: constants[yard] ?? {} });

export const settingsOf = ({ settings, settings_version }: BreederRow): Settings => ({
  ...settings,
  version: settings_version,
});

function refuseBadConstants({ constants }: SettingFields): void {
  const problems = Object.entries(constants).flatMap(([yard, values]) =>
    Object.entries(values).flatMap(([name, value]) => {
      const sentence = constantProblem(name, value);
      return sentence ? [{ path: `constants.${yard}.${name}`, value, sentence }] : [];
    }),
  );
  if (problems.length > 0) throw new ProblemsError(problems);
}
