import type { Schemas } from '../api/client';

export type Licence = Schemas['CarriedLicence'];
export type Line = Schemas['LicenceLine'];
export type Draft = Schemas['Draft'];

export const EMPTY: Draft = { kind: 'person', name: '', note: '', teams: [], licences: [] };

/** A new licence for a service; an amateur's begins with the class that most begin with. */
export const newLicence = (service: Schemas['Licensable']): Licence => ({
  service: service.id,
  licenceClass: service.classes.length > 0 ? (service.classes[1] ?? service.classes[0]!) : null,
  callSign: null,
  granted: null,
  expires: null,
  lines: service.byLine ? [NEW_LINE] : [],
});

export const NEW_LINE: Line = {
  mhz: '',
  emission: '11K2F3E',
  outputW: null,
  erpW: null,
  units: null,
  area: null,
  stationClass: null,
};

/** The parts of a party that can be changed. */
export const draftOf = ({ kind, name, note, teams, licences }: Draft): Draft => ({
  kind,
  name,
  note,
  teams,
  licences,
});
