import { useHotkeys } from 'react-hotkeys-hook';

/** What the keys do. */
interface Actions {
  step: (by: number) => void;
  cure: (digit: number) => void;
  edit: () => void;
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
}

const PAGE = 10;
const ZOOM = 1.6;
const PAN = 0.25;

/** The keys of the Desk; none of them works while a field is typed into. */
export function useDeskKeys(act: Actions) {
  useHotkeys('down, j', () => act.step(1), { preventDefault: true });
  useHotkeys('up, k', () => act.step(-1), { preventDefault: true });
  useHotkeys('pagedown', () => act.step(PAGE), { preventDefault: true });
  useHotkeys('pageup', () => act.step(-PAGE), { preventDefault: true });
  useHotkeys('1,2,3,4,5,6,7,8,9', (event) => act.cure(Number(event.key)));
  useHotkeys('e, enter', (event) => {
    if (event.key === 'Enter' && !(event.target as HTMLElement).matches('[data-entry], body')) return;
    event.preventDefault();
    act.edit();
  });
  useHotkeys('mod+z', act.undo, { preventDefault: true });
  useHotkeys('mod+shift+z, mod+y', act.redo, { preventDefault: true });
  useHotkeys('h', () => act.toggle('hold'));
  useHotkeys('q', () => act.toggle('query'));
  useHotkeys('c', () => act.toggle('clear'));
  useHotkeys('l', () => act.toggle('listen'));
  useHotkeys('/', act.find, { preventDefault: true, useKey: true });
  useHotkeys('g', act.group);
  useHotkeys('n', act.add, { preventDefault: true });
  useHotkeys('delete', act.remove);
  useHotkeys('a', act.cureAll);
  useHotkeys('d', act.directory);
  useHotkeys('?', act.help, { useKey: true });
  useHotkeys('+, =', () => act.zoom(ZOOM), { useKey: true });
  useHotkeys('-', () => act.zoom(1 / ZOOM), { useKey: true });
  useHotkeys('[', () => act.pan(-PAN), { useKey: true });
  useHotkeys(']', () => act.pan(PAN), { useKey: true });
  useHotkeys('0', act.band);
}
