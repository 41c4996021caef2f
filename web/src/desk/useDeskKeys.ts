import { type HotkeyCallback, type Options, useHotkeys } from 'react-hotkeys-hook';
import { elsewhere } from '../ui/elsewhere';

/** What the keys do. */
interface Actions {
  step: (by: number) => void;
  cure: (digit: number) => void;
  edit: (key: string) => void;
  /** Moves the entry to the next channel of its raster, up or down. */
  nudge: (direction: 1 | -1) => void;
  putBack: () => void;
  undo: () => void;
  redo: () => void;
  toggle: (verdict: string) => void;
  find: () => void;
  group: () => void;
  add: () => void;
  remove: () => void;
  help: () => void;
  cureAll: () => void;
  directory: () => void;
  zoom: (factor: number) => void;
  pan: (share: number) => void;
  band: () => void;
  carriers: () => void;
}

/** As the library's, for keys that are pressed on the page itself. */
const useKeysHere = (keys: string, act: HotkeyCallback, options?: Options) =>
  useHotkeys(keys, act, { ...options, ignoreEventWhen: elsewhere });

const PAGE = 10;
const ZOOM = 1.6;
const PAN = 0.25;

/** The keys of the Desk; none of them works while a field is typed into, or in a dialog. */
export function useDeskKeys(act: Actions) {
  useKeysHere('down, j', () => act.step(1), { preventDefault: true });
  useKeysHere('up, k', () => act.step(-1), { preventDefault: true });
  useKeysHere('pagedown', () => act.step(PAGE), { preventDefault: true });
  useKeysHere('pageup', () => act.step(-PAGE), { preventDefault: true });
  useKeysHere('1,2,3,4,5,6,7,8,9', (event) => act.cure(Number(event.key)));
  useKeysHere('e, enter', (event) => {
    if (event.key === 'Enter' && !(event.target as HTMLElement).matches('[data-entry], body')) return;
    event.preventDefault();
    act.edit(event.key);
  });
  useKeysHere('shift+right', () => act.nudge(1), { preventDefault: true });
  useKeysHere('shift+left', () => act.nudge(-1), { preventDefault: true });
  useKeysHere('escape', act.putBack);
  useKeysHere('mod+z', act.undo, { preventDefault: true });
  useKeysHere('mod+shift+z, mod+y', act.redo, { preventDefault: true });
  useKeysHere('h', () => act.toggle('hold'));
  useKeysHere('q', () => act.toggle('query'));
  useKeysHere('c', () => act.toggle('clear'));
  useKeysHere('l', () => act.toggle('listen'));
  useKeysHere('/', act.find, { preventDefault: true, useKey: true });
  useKeysHere('g', act.group);
  useKeysHere('n', act.add, { preventDefault: true });
  useKeysHere('delete', act.remove);
  useKeysHere('a', act.cureAll);
  useKeysHere('d', act.directory);
  useKeysHere('?', act.help, { useKey: true });
  useKeysHere('+, =', () => act.zoom(ZOOM), { useKey: true });
  useKeysHere('-', () => act.zoom(1 / ZOOM), { useKey: true });
  useKeysHere('[', () => act.pan(-PAN), { useKey: true });
  useKeysHere(']', () => act.pan(PAN), { useKey: true });
  useKeysHere('0', act.band);
  useKeysHere('b', act.carriers, { preventDefault: true });
}
