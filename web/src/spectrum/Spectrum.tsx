import { scaleLog } from 'd3-scale';
import { type PointerEvent, useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useMay } from '../accounts/rights';
import { Server, type Schemas } from '../api/client';
import { fits, standing, textWidth } from '../ruler/labels';
import { Button } from '../ui/Button';
import { megahertz } from '../ui/Megahertz';
import { around, panned, said, type View, WHOLE, zoomed } from './axis';

interface Props {
  group?: number;
  rulebook: string;
  /** A frequency is chosen, in megahertz as it is typed. */
  onLook: (mhz: string) => void;
}

const HEIGHT = 196;
const SERVICES = 24;
const OTHERS = 74;
const LISTS = 124;
const LABEL = 11;
const LEAST = 2;
const REACH = 5;
/** A press is meant to this, hertz. */
const STEP = 500;

/** The whole spectrum: the services, whose the rest is, and what one's own lists are on; it zooms, and a press looks there. */
export function Spectrum({ group, rulebook, onLook }: Props) {
  const sees = useMay('see');
  const spectrum = Server.useQuery('get', '/api/rulebook/spectrum', { params: { query: { rulebook } } });
  const used = Server.useQuery(
    'get',
    '/api/groups/{group}/frequencies',
    { params: { path: { group: group ?? 0 } } },
    { enabled: group !== undefined && sees },
  );
  return spectrum.data ? <Drawn spectrum={spectrum.data} used={used.data ?? []} onLook={onLook} /> : null;
}

interface DrawnProps {
  spectrum: Schemas['Spectrum'];
  used: Schemas['Used'][];
  onLook: (mhz: string) => void;
}

/** The picture, once there is something to draw: it measures the room that it has. */
function Drawn({ spectrum, used, onLook }: DrawnProps) {
  const go = useNavigate();
  const sees = useMay('see');
  const [view, setView] = useState<View>(WHOLE);
  const [width, setWidth] = useState(1000);
  const [at, setAt] = useState<number>();
  const box = useRef<HTMLDivElement>(null);
  const drag = useRef<{ x: number; view: View; far: boolean } | null>(null);
  const scale = useMemo(() => scaleLog([view.low, view.high], [0, width]), [view, width]);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const sizes = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width));
    sizes.observe(element);
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      const fixed = scale.invert(event.clientX - element.getBoundingClientRect().left);
      setView((old) => zoomed(old, Math.exp(-event.deltaY / 400), fixed));
    };
    element.addEventListener('wheel', wheel, { passive: false });
    return () => {
      sizes.disconnect();
      element.removeEventListener('wheel', wheel);
    };
  }, [scale]);
  const { services, others } = spectrum;
  const marks = used.filter((each) => each.hertz >= view.low && each.hertz <= view.high);
  const x = (event: PointerEvent) => event.clientX - (box.current?.getBoundingClientRect().left ?? 0);
  const near = (px: number) =>
    [...marks]
      .sort((a, b) => Math.abs(scale(a.hertz) - px) - Math.abs(scale(b.hertz) - px))
      .find((each) => Math.abs(scale(each.hertz) - px) <= REACH);
  const over = at === undefined ? undefined : near(scale(at));
  const press = (event: PointerEvent) => {
    const dragged = drag.current?.far;
    drag.current = null;
    if (dragged) return;
    const mark = inLists(event, box.current) ? near(x(event)) : undefined;
    if (mark) void go(`/lists/${mark.list}?entry=${mark.entry}`);
    else onLook(megahertz(Math.round(scale.invert(x(event)) / STEP) * STEP));
  };
  const ticks = scale.ticks(8).filter((tick) => leads(tick) || view.high / view.low < 20);
  const labelled = standing(
    ticks.map((tick) => ({
      key: String(tick),
      left: scale(tick) + 3,
      width: textWidth(said(tick), LABEL),
      weight: leads(tick) ? 1 : 0,
    })),
    width,
  );
  return (
    <section aria-label="The spectrum" className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-1.5">
        <Button className="text-second" aria-pressed={view === WHOLE} onClick={() => setView(WHOLE)}>
          All of it
        </Button>
        {services.map((service) => (
          <Button key={service.id} className="text-second" onClick={() => setView(around(service.stretches))}>
            {service.title}
          </Button>
        ))}
        <span className="grow" />
        <Button
          kind="quiet"
          aria-label="Zoom out"
          onClick={() => setView(zoomed(view, 1 / 1.6, middle(view)))}
        >
          −
        </Button>
        <Button kind="quiet" aria-label="Zoom in" onClick={() => setView(zoomed(view, 1.6, middle(view)))}>
          +
        </Button>
      </div>
      <div
        ref={box}
        role="img"
        aria-label={`The spectrum from ${said(view.low)} to ${said(view.high)}; ${marks.length} frequencies of your lists are in it`}
        className="border-line bg-sheet relative cursor-crosshair touch-none overflow-hidden rounded border select-none"
        style={{ height: HEIGHT }}
        onPointerDown={(event) => (drag.current = { x: event.clientX, view, far: false })}
        onPointerMove={(event) => {
          setAt(scale.invert(x(event)));
          if (!drag.current || event.buttons !== 1) return;
          drag.current.far ||= Math.abs(event.clientX - drag.current.x) > 3;
          if (drag.current.far) setView(panned(drag.current.view, (drag.current.x - event.clientX) / width));
        }}
        onPointerUp={press}
        onPointerLeave={() => {
          drag.current = null;
          setAt(undefined);
        }}
      >
        {ticks.map((tick) => (
          <div
            key={tick}
            className="border-line absolute top-0 h-full border-l"
            style={{ left: scale(tick) }}
          >
            {labelled.has(String(tick)) && (
              <span className="text-soft absolute left-[3px] font-mono text-[11px] whitespace-nowrap">
                {said(tick)}
              </span>
            )}
          </div>
        ))}
        <Services services={services} scale={scale} width={width} />
        {others.map((row) => {
          const [left, right] = [scale(row.low), scale(row.high)];
          if (right < 0 || left > width) return null;
          const from = Math.max(0, left);
          const size = Math.max(1, Math.min(width, right) - from);
          return (
            <div
              key={`${row.low} ${row.high} ${row.words}`}
              className={`border-line absolute h-[24px] overflow-hidden border-x px-1 text-[12px] leading-[24px] whitespace-nowrap ${row.closed ? 'bg-sunk text-soft' : 'bg-paper'}`}
              style={{ left: from, width: size, top: OTHERS }}
            >
              {fits(row.words, 12, size) && row.words}
            </div>
          );
        })}
        <span className="text-soft absolute left-1 text-[11px]" style={{ top: OTHERS - 15 }}>
          whose it is; where it is grey, one only listens
        </span>
        <span className="text-soft absolute left-1 text-[11px]" style={{ top: LISTS - 16 }}>
          {sees ? 'your lists: filled where they talk' : ''}
        </span>
        <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
          <path
            d={marks
              .filter((each) => !each.talks)
              .map((each) => mark(scale(each.hertz)))
              .join('')}
            className="stroke-slate fill-none"
          />
          <path
            d={marks
              .filter((each) => each.talks)
              .map((each) => mark(scale(each.hertz)))
              .join('')}
            className="fill-accent"
          />
        </svg>
        {at !== undefined && (
          <div
            className="border-accent pointer-events-none absolute top-0 h-full border-l"
            style={{ left: scale(at) }}
          />
        )}
        <p className="text-second absolute inset-x-2 bottom-1 truncate">
          {over
            ? `${megahertz(over.hertz)} MHz: ${over.name || 'an entry'}${over.entries > 1 ? ` and ${over.entries - 1} more` : ''}. Press to open it.`
            : at !== undefined
              ? told(at, services, others)
              : 'The wheel zooms, dragging moves; a press says what is there.'}
        </p>
      </div>
    </section>
  );
}

const middle = (view: View) => Math.sqrt(view.low * view.high);
const leads = (tick: number) => /^1(e|0*$)/.test(String(tick));
const mark = (at: number) => `M${(at - LEAST / 2).toFixed(1)} ${LISTS + 2}h${LEAST}v22h${-LEAST}z`;

const inLists = (event: PointerEvent, box: HTMLDivElement | null) =>
  event.clientY - (box?.getBoundingClientRect().top ?? 0) >= LISTS;

/** What stands at a frequency, in a line. */
function told(hertz: number, services: Schemas['Stretches'][], others: Schemas['OtherStretch'][]): string {
  const mine = services.filter((service) =>
    service.stretches.some((each) => each.low <= hertz && hertz <= each.high),
  );
  const whose = others.filter((row) => row.low <= hertz && hertz <= row.high).at(-1);
  const words = [...mine.map((service) => service.title), ...(whose ? [whose.words] : [])];
  return `${said(hertz)}: ${words.length > 0 ? words.join('; ') : 'nothing is said of it here'}`;
}

/** Each service's stretches; names where they fit whole, the widest first. */
function Services({
  services,
  scale,
  width,
}: {
  services: Schemas['Stretches'][];
  scale: (hertz: number) => number;
  width: number;
}) {
  const all = services.flatMap((service) =>
    service.stretches.map((each) => ({ ...each, service: service.title })),
  );
  const seen = all.filter((each) => scale(each.high) >= 0 && scale(each.low) <= width);
  const named = standing(
    seen.map((each) => ({
      key: `${each.service} ${each.low}`,
      left: Math.max(0, scale(each.low)),
      width: textWidth(each.name, LABEL),
      weight: scale(each.high) - scale(each.low),
    })),
    width,
  );
  return seen.map((each) => {
    const left = Math.max(0, scale(each.low));
    const key = `${each.service} ${each.low}`;
    return (
      <div key={key} className="absolute" style={{ left, top: SERVICES }}>
        <div
          className="bg-reach h-[14px]"
          style={{ width: Math.max(LEAST, Math.min(width, scale(each.high)) - left) }}
          title={`${each.service}: ${megahertz(each.low)}–${megahertz(each.high)} MHz`}
        />
        {named.has(key) && (
          <span className="block text-[11px] leading-[14px] whitespace-nowrap">{each.name}</span>
        )}
      </div>
    );
  });
}
