import type { Schemas } from '../api/client';
import { useGroup } from './group';
import { useSession } from './session';

/** What can be asked of a group, as the table of endpoints calls it. */
export type Right = Schemas['Right'];

/** Whether the account may do something in a group, or in the one that is worked in. */
export function useMay(right: Right, group?: number): boolean {
  const { groups, group: worked } = useGroup();
  const of = group === undefined ? worked : groups.find((each) => each.id === group);
  return of?.rights.includes(right) ?? false;
}

/** Whether the account looks after the installation. */
export const useAdministrator = () => useSession().data?.account?.administrator ?? false;
