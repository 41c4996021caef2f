import { scaleLinear } from 'd3-scale';
import { type PointerEvent, useEffect, useMemo, useRef, useState } from 'react';
import { panned, type View, zoomed } from './view';

/** How wide an axis was at last: the next is drawn once, and not again when its box has been measured. */
let lately: number | undefined;

/** What stands beside the axis of a page over its whole width, pixels. */
const BESIDE = 76;

const usual = () => lately ?? document.documentElement.clientWidth - BESIDE;

/** A frequency axis that zooms with the wheel and moves when it is dragged. */
export function useAxis(view: View, onView: (view: View) => void) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(usual);
  const drag = useRef<{ x: number; view: View } | null>(null);
  const dragged = useRef(false);
  const scale = useMemo(() => scaleLinear([view.low, view.high], [0, width]), [view.low, view.high, width]);

  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const sizes = new ResizeObserver(([entry]) => {
      if (entry) setWidth((lately = entry.contentRect.width));
    });
    sizes.observe(element);
    return () => sizes.disconnect();
  }, []);

  // The wheel zooms; React's own handler could not keep the page from scrolling with it.
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      const sideways = Math.abs(event.deltaX) > Math.abs(event.deltaY);
      if (sideways) return onView(panned(view, event.deltaX / width));
      const fixed =
        view.low + ((event.clientX - element.getBoundingClientRect().left) / width) * (view.high - view.low);
      onView(zoomed(view, Math.exp(-event.deltaY / 300), fixed));
    };
    element.addEventListener('wheel', wheel, { passive: false });
    return () => element.removeEventListener('wheel', wheel);
  }, [view, width, onView]);

  const handlers = {
    onPointerDown: (event: PointerEvent) => {
      drag.current = { x: event.clientX, view };
      dragged.current = false;
    },
    onPointerMove: (event: PointerEvent) => {
      if (!drag.current || event.buttons !== 1) return;
      dragged.current ||= Math.abs(event.clientX - drag.current.x) > 3;
      if (dragged.current) onView(panned(drag.current.view, (drag.current.x - event.clientX) / width));
    },
    onPointerUp: () => (drag.current = null),
    onPointerLeave: () => (drag.current = null),
  };
  /** Whether the pointer was moved since it went down: then a click is none. */
  const wasDragged = () => dragged.current;
  return { box, width, scale, handlers, wasDragged };
}
