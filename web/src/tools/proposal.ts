import type { Change, Schemas } from '../api/client';

export type Proposal = Schemas['Proposal'];
export type Proposed = Schemas['ProposedChange'];

/** What taking a proposed change does. */
export const asChange = (each: Proposed): Change => ({
  kind: each.kind,
  entry: each.entry,
  behind: null,
  before: each.before,
  after: each.after,
});
