import type { Schemas } from '../api/client';

/** Whether nobody was chosen to carry a list: then it is held against somebody without a licence. */
export const nobody = ({ carriers, parties, teams }: Schemas['CarrierChoice']) =>
  carriers.length + parties.length + teams.length === 0;

/**
 * The cure that a row offers. Not to listen only while nobody was chosen to carry the list: press by press all of it would
 * fall silent, where one choice cures it.
 */
export const rowCure = (slip: Schemas['Slip'], choice: Schemas['CarrierChoice']) =>
  slip.cure && nobody(choice) && slip.txHz !== null && slip.cure.changes.txMhz === '' ? null : slip.cure;
