import type { Change, Desk, Schemas } from '../api/client';

/** What every tool gets. */
export interface ToolProps {
  desk: Desk;
  onTake: (label: string, changes: Change[], order?: Schemas['Order']) => void;
  onClose: () => void;
}
