import { useSyncExternalStore } from 'react';
import { useSession } from './session';

const KEY = 'wache-group';
const EVENT = 'wache-group';

function subscribe(tell: () => void) {
  window.addEventListener(EVENT, tell);
  window.addEventListener('storage', tell);
  return () => {
    window.removeEventListener(EVENT, tell);
    window.removeEventListener('storage', tell);
  };
}

/** The group that is worked in: the one chosen last, or the first; and the way to choose another. */
export function useGroup() {
  const groups = useSession().data?.groups ?? [];
  const chosen = Number(useSyncExternalStore(subscribe, () => localStorage.getItem(KEY) ?? ''));
  return {
    groups,
    group: groups.find((each) => each.id === chosen) ?? groups[0],
    choose: (id: number) => {
      localStorage.setItem(KEY, String(id));
      window.dispatchEvent(new Event(EVENT));
    },
  };
}
