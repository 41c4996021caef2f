import { useLayoutEffect, useRef } from 'react';

/** Looked again after the menu that opened a dialog has given the focus back to its button. */
const LOOKS_MS = [60, 200];
const FIELDS = 'input:not([disabled]), select:not([disabled]), textarea:not([disabled])';

/** Stands in a dialog: makes sure that the focus is in it, on its first field or its first button, so that no key goes behind it. */
export function TakesFocus() {
  const here = useRef<HTMLSpanElement>(null);
  useLayoutEffect(() => {
    const look = () => {
      const panel = here.current?.parentElement;
      if (!panel || panel.contains(document.activeElement)) return;
      (panel.querySelector<HTMLElement>(FIELDS) ?? panel.querySelector<HTMLElement>('button'))?.focus();
    };
    look(); // a key may follow the one that opened it at once
    const looks = LOOKS_MS.map((ms) => setTimeout(look, ms));
    return () => looks.forEach(clearTimeout);
  }, []);
  return <span ref={here} hidden />;
}
