import { type Schemas, Server } from '../api/client';

export type Meant = Schemas['Meant'];
export type Setting = Schemas['Setting'];
export type Choosable = Schemas['MeantSetting'];

/** The radios that a list is for, and those that it could be for. */
export const useMeant = (list: number, enabled = true) =>
  Server.useQuery('get', '/api/lists/{list}/radios', { params: { path: { list } } }, { enabled });

/** Whether two settings are of one model and alike. */
export const alike = (one: Setting, other: Setting) =>
  one.model === other.model && one.lock === other.lock && one.inhibited === other.inhibited;

/** The choice with a setting put in or taken out. */
export const withSetting = (meant: Meant, setting: Setting, on: boolean): Meant => ({
  ...meant,
  settings: on ? [...meant.settings, setting] : meant.settings.filter((each) => !alike(each, setting)),
});

/** What a list is for, in short. */
export function inShort(settings: Choosable[], meant: Meant): string {
  const names = settings
    .filter((each) => meant.settings.some((setting) => alike(setting, each.setting)))
    .map((each) => each.words);
  const units = settings.flatMap((each) => each.units).filter((unit) => meant.units.includes(unit.id));
  return [...names, ...units.map((unit) => unit.label)].join('; ');
}

/** The keys of the radios that a list is for: those that are set as it says, and those that it names. */
export const unitsOf = (settings: Choosable[], meant: Meant): number[] => [
  ...settings
    .filter((each) => meant.settings.some((setting) => alike(setting, each.setting)))
    .flatMap((each) => each.units.map((unit) => unit.id)),
  ...meant.units,
];
