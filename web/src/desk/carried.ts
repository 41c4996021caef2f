import type { Schemas } from '../api/client';

/** Whether nobody was chosen to carry a list: then it is held against somebody without a licence. */
export const nobody = ({ carriers, parties, teams }: Schemas['CarrierChoice']) =>
  carriers.length + parties.length + teams.length === 0;
