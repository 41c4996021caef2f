import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';

/** Time for what took the focused thing away to put something in its place, or to give the focus back itself. */
const SETTLED_MS = 80;
/** A page that was gone to may take this long until its next thing to do stands there. */
const ARRIVING_MS = 5000;
const REACHED = 'a[href], button, input, select, textarea, [tabindex="0"]';
const NEXT = '[data-next], [data-entry][aria-current="true"]';

/** Where the focus was: the element, and for it and all that it stands in, what came after and before. */
type Place = { node: Element; after: Element | null; before: Element | null }[];

function placeOf(element: Element): Place {
  const place: Place = [];
  for (let node: Element | null = element; node && node !== document.body; node = node.parentElement)
    place.push({ node, after: node.nextElementSibling, before: node.previousElementSibling });
  return place;
}

const usable = (element: Element): element is HTMLElement =>
  element instanceof HTMLElement && !element.matches(':disabled') && element.getClientRects().length > 0;

/** The first thing within an element, itself included, that takes the focus. */
function firstIn(element: Element | null): HTMLElement | undefined {
  if (!element?.isConnected) return undefined;
  if (element.matches(REACHED) && usable(element)) return element;
  return [...element.querySelectorAll(REACHED)].find(usable);
}

/** The page's next thing to do, said by its own markup. */
const nextThing = () => [...document.querySelectorAll(NEXT)].map(firstIn).find((each) => each !== undefined);

/** What now stands where something was that is gone: what came after it, else before it, else around it. */
function standsThere(place: Place): HTMLElement | undefined {
  for (const { node, after, before } of place) {
    const found = (node.isConnected ? firstIn(node) : undefined) ?? firstIn(after) ?? firstIn(before);
    if (found) return found;
  }
  return undefined;
}

const nowhere = () => document.activeElement === null || document.activeElement === document.body;

/**
 * Whoever works with keys never loses the place. After a change of page the focus goes to that page's next thing to do, or to its
 * content; when the thing with the focus is gone or was pressed and is off, to the next thing to do, or to what stands in its place.
 * What is done with a pointer moves no focus.
 */
export function useFocusKept(toContent: () => void) {
  const { pathname } = useLocation();
  const arrived = useRef<(() => void) | undefined>(undefined);
  const before = useRef(pathname);

  useEffect(() => {
    let keys = false;
    let left = false; // by Escape: the dialog gives the focus back to where it was opened
    let place: Place = [];
    let off = false; // what was pressed is off until its answer comes
    let dialog = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let arrivingUntil = 0;
    let placed: Element | undefined;

    const arrive = () => {
      arrivingUntil = Date.now() + ARRIVING_MS;
      placed = undefined;
    };
    // Where one comes to, the next thing to do may still be worked out: the focus follows it until a key is pressed.
    const follow = () => {
      const at = document.activeElement;
      if (placed !== undefined && at !== placed && !nowhere()) return;
      const next = keys ? nextThing() : undefined;
      if (next) {
        placed = next;
        if (at !== next) next.focus();
      } else if (nowhere() || at!.closest('nav, header') !== null) toContent();
    };
    const settle = () => {
      timer = undefined;
      const open = document.querySelector('[role="dialog"]') !== null;
      if (dialog && !open && keys && !left) arrive();
      dialog = open;
      if (open) return;
      if (Date.now() < arrivingUntil) return follow();
      const was = place[0]?.node;
      if (!keys || !was || !nowhere()) return;
      if (!was.isConnected) {
        const next = nextThing();
        if (next) {
          arrive();
          follow();
        } else standsThere(place)?.focus();
      } else if (off && !was.matches(':disabled')) {
        off = false;
        (was as HTMLElement).focus();
      }
    };
    const look = () => {
      if (place[0]?.node.matches(':disabled')) off = true;
      if (timer === undefined) timer = setTimeout(settle, SETTLED_MS);
    };
    const taken = (event: FocusEvent) => {
      if (event.target instanceof Element && event.target !== document.body) {
        place = placeOf(event.target);
        off = false;
      }
    };
    const key = (event: KeyboardEvent) => {
      keys = true;
      left = event.key === 'Escape';
      arrivingUntil = 0;
    };
    const pointer = () => {
      keys = false;
      place = [];
      arrivingUntil = 0;
    };
    arrived.current = () => {
      arrive();
      look();
    };
    const watch = new MutationObserver(look);
    watch.observe(document.body, {
      childList: true,
      subtree: true,
      attributeFilter: ['disabled', 'data-next'],
    });
    document.addEventListener('focusin', taken);
    document.addEventListener('keydown', key, true);
    document.addEventListener('pointerdown', pointer, true);
    return () => {
      clearTimeout(timer);
      watch.disconnect();
      document.removeEventListener('focusin', taken);
      document.removeEventListener('keydown', key, true);
      document.removeEventListener('pointerdown', pointer, true);
    };
  }, [toContent]);

  useEffect(() => {
    if (before.current === pathname) return;
    before.current = pathname;
    arrived.current?.();
  }, [pathname]);
}
