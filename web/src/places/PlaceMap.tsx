import {
  geoAzimuthalEqualArea,
  geoCircle,
  geoGraticule10,
  geoPath,
  type GeoPermissibleObjects,
} from 'd3-geo';
import { useMemo, useRef, useState, type PointerEvent } from 'react';
import { feature, mesh } from 'topojson-client';
import type { GeometryCollection, Topology } from 'topojson-specification';
import states from 'us-atlas/states-10m.json';
import world from 'world-atlas/countries-110m.json';
import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';

type Area = Schemas['PlaceArea'];

interface Props {
  places: Schemas['Places'];
  site?: Area;
  areas: { words: string; area: Area }[];
  onChoose?: (latitude: number, longitude: number) => void;
}

const WIDTH = 640;
const HEIGHT = 430;
const KM_PER_DEGREE = 111.2;

const us = states as unknown as Topology<{ states: GeometryCollection<{ name: string }> }>;
const earth = world as unknown as Topology<{ countries: GeometryCollection }>;
const LAND = feature(earth, earth.objects.countries);
const STATES = feature(us, us.objects.states).features;
const LINES = mesh(us, us.objects.states);

/** A map of outlines that ship with the application: the site, the licences' areas, the lines and zones of the rules. */
export function PlaceMap({ places, site, areas, onChoose }: Props) {
  const at =
    site?.latitude != null && site.longitude != null
      ? { latitude: site.latitude, longitude: site.longitude }
      : undefined;
  const [scale, setScale] = useState(at ? 2600 : 760);
  const [moved, setMoved] = useState<{ latitude: number; longitude: number }>();
  const drag = useRef<{ x: number; y: number; from: { latitude: number; longitude: number }; far: boolean }>(
    undefined,
  );
  const centre = moved ?? at ?? places.centre;
  const projection = useMemo(
    () =>
      geoAzimuthalEqualArea()
        .rotate([-centre.longitude, -centre.latitude])
        .translate([WIDTH / 2, HEIGHT / 2])
        .scale(scale)
        .clipExtent([
          [-20, -20],
          [WIDTH + 20, HEIGHT + 20],
        ])
        .precision(0.5),
    [centre.longitude, centre.latitude, scale],
  );
  const path = geoPath(projection);
  const draw = (shape: GeoPermissibleObjects) => path(shape) ?? undefined;
  const dot = at && projection([at.longitude, at.latitude]);

  const point = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    return [
      ((event.clientX - box.left) / box.width) * WIDTH,
      ((event.clientY - box.top) / box.height) * HEIGHT,
    ] as const;
  };
  const down = (event: PointerEvent<SVGSVGElement>) => {
    const [x, y] = point(event);
    drag.current = { x, y, from: centre, far: false };
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const move = (event: PointerEvent<SVGSVGElement>) => {
    if (!drag.current) return;
    const [x, y] = point(event);
    const { x: x0, y: y0, from } = drag.current;
    if (!drag.current.far && Math.hypot(x - x0, y - y0) < 4) return;
    drag.current.far = true;
    const degrees = 180 / Math.PI / scale;
    setMoved({
      latitude: Math.max(-80, Math.min(80, from.latitude + (y - y0) * degrees)),
      longitude: from.longitude - ((x - x0) * degrees) / Math.cos((from.latitude * Math.PI) / 180),
    });
  };
  const up = (event: PointerEvent<SVGSVGElement>) => {
    const was = drag.current;
    drag.current = undefined;
    if (!was || was.far || !onChoose) return;
    const [x, y] = point(event);
    const chosen = projection.invert?.([x, y]);
    if (chosen) onChoose(Number(chosen[1].toFixed(4)), Number(chosen[0].toFixed(4)));
  };

  return (
    <figure className="border-line bg-sunk relative overflow-hidden rounded border">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={at ? `Map around ${at.latitude}, ${at.longitude}` : 'Map'}
        className={`block w-full touch-none ${onChoose ? 'cursor-crosshair' : ''}`}
        data-testid="map"
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
      >
        <path d={draw(geoGraticule10())} className="stroke-line" fill="none" strokeWidth="0.6" />
        <path d={draw(LAND)} className="fill-sheet stroke-edge" strokeWidth="0.8" />
        <path d={draw(LINES)} className="stroke-edge" fill="none" strokeWidth="0.7" />
        {places.zones.map((zone) => (
          <path
            key={zone.id}
            d={draw(polygon(zone.outline))}
            className="fill-query/10 stroke-query"
            strokeWidth="0.8"
            strokeDasharray="3 3"
          >
            <title>{`${zone.name}: ${zone.does}`}</title>
          </path>
        ))}
        {areas.map(({ words, area }, index) => {
          const shape = outline(area);
          return (
            shape && (
              <path key={index} d={draw(shape)} className="fill-clear/15 stroke-clear" strokeWidth="1.5">
                <title>{words}</title>
              </path>
            )
          );
        })}
        {places.lines.map((line) => (
          <path
            key={line.id}
            d={draw({ type: 'LineString', coordinates: line.path })}
            className="stroke-hold"
            fill="none"
            strokeWidth="1.8"
            strokeDasharray="8 3 2 3"
          >
            <title>{`${line.name} (${line.source})`}</title>
          </path>
        ))}
        {at && site && (site.radiusKm ?? 0) > 0 && (
          <path
            d={draw(circle(at, site.radiusKm!))}
            className="fill-accent/15 stroke-accent"
            strokeWidth="1.5"
          />
        )}
        {scale > 900 &&
          STATES.map((state) => {
            const [x, y] = path.centroid(state);
            return Number.isNaN(x) ? null : (
              <text key={state.id} x={x} y={y} textAnchor="middle" className="fill-soft text-[11px]">
                {state.properties.name}
              </text>
            );
          })}
        {dot && (
          <g transform={`translate(${dot[0]},${dot[1]})`}>
            <circle r="5" className="fill-accent stroke-sheet" strokeWidth="1.5" />
            <path d="M0,-14V-6M0,6V14M-14,0H-6M6,0H14" className="stroke-accent" strokeWidth="1.5" />
          </g>
        )}
      </svg>
      <div className="absolute top-2 right-2 flex flex-col gap-1" role="group" aria-label="Map">
        <Button aria-label="Zoom in" onClick={() => setScale(Math.min(40_000, scale * 1.6))}>
          +
        </Button>
        <Button aria-label="Zoom out" onClick={() => setScale(Math.max(250, scale / 1.6))}>
          −
        </Button>
        {moved && at && (
          <Button aria-label="Back to the site" onClick={() => setMoved(undefined)}>
            ◎
          </Button>
        )}
      </div>
      <figcaption className="bg-paper border-line text-second text-soft flex flex-wrap gap-x-4 border-t px-3 py-1">
        <Key className="bg-accent" words="where the list is used" />
        <Key className="bg-clear" words="areas of the licence lines" />
        <Key className="bg-hold" words={places.lines.map((line) => line.name).join(', ')} />
        <Key className="bg-query" words="less power allowed" />
      </figcaption>
    </figure>
  );
}

function Key({ className, words }: { className: string; words: string }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <span className={`inline-block h-[3px] w-4 ${className}`} />
      {words}
    </span>
  );
}

const circle = (at: { latitude: number; longitude: number }, km: number) =>
  geoCircle()
    .center([at.longitude, at.latitude])
    .radius(km / KM_PER_DEGREE)();

/** d3 draws the side that is walked around clockwise; a ring that runs the other way would fill the rest of the earth. */
function polygon(ring: number[][]): GeoPermissibleObjects {
  let turned = 0;
  for (let i = 1; i < ring.length; i++) {
    const [a, b] = [ring[i - 1]!, ring[i]!];
    turned += (b[0]! - a[0]!) * (b[1]! + a[1]!);
  }
  return { type: 'Polygon', coordinates: [turned > 0 ? ring : [...ring].reverse()] };
}

/** The outline of a licence line's area. */
function outline(area: Area): GeoPermissibleObjects | undefined {
  if (area.latitude != null && area.longitude != null && area.radiusKm)
    return circle({ latitude: area.latitude, longitude: area.longitude }, area.radiusKm);
  if (area.south != null && area.west != null && area.north != null && area.east != null) {
    const { south, west, north, east } = area;
    return polygon([
      [west, south],
      [west, north],
      [east, north],
      [east, south],
      [west, south],
    ]);
  }
  return undefined;
}
