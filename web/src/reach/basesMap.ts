import type { Schemas } from '../api/client';

export type Bases = Schemas['BasesOnEntry'];

/** A point of the drawing, and the length of a kilometre on it. */
export interface Drawn {
  points: { x: number; y: number }[];
  perKm: number;
}

const RADIANS = Math.PI / 180;
/** A degree of latitude, km: a great circle of 40,008 km. */
const DEGREE_KM = 40_008 / 360;
/** What is drawn is at least so wide and high, km. */
const LEAST_KM = 4;

/** What has its place on the map: a base, or the middle of an area and how far it goes. */
interface Sited {
  latitude: number;
  longitude: number;
  radiusKm?: number;
}

/** Where bases and areas are on a drawing with the north up; all have their place, and a margin around them. */
export function placed(all: Sited[], width: number, height: number, margin: number): Drawn {
  const [lats, lons] = [all.map((each) => each.latitude), all.map((each) => each.longitude)];
  const middle = { lat: between(lats), lon: between(lons) };
  const east = (lon: number) => (lon - middle.lon) * DEGREE_KM * Math.cos(middle.lat * RADIANS);
  const north = (lat: number) => (lat - middle.lat) * DEGREE_KM;
  const reach = (away: (each: Sited) => number) =>
    Math.max(LEAST_KM, ...all.map((each) => 2 * (Math.abs(away(each)) + (each.radiusKm ?? 0))));
  const perKm = Math.min(
    (width - 2 * margin) / reach((each) => east(each.longitude)),
    (height - 2 * margin) / reach((each) => north(each.latitude)),
  );
  return {
    points: all.map((each) => ({
      x: width / 2 + east(each.longitude) * perKm,
      y: height / 2 - north(each.latitude) * perKm,
    })),
    perKm,
  };
}

const between = (all: number[]) => (Math.min(...all) + Math.max(...all)) / 2;

/** The bar of a scale: a round number of kilometres that is at most so long on the drawing. */
export function scaleBar(perKm: number, most: number): { km: number; length: number } {
  const exponent = 10 ** Math.floor(Math.log10(most / perKm));
  const km = [5, 2, 1].map((each) => each * exponent).find((each) => each * perKm <= most) ?? exponent;
  return { km, length: km * perKm };
}

/** A distance as one says it. */
export const kilometres = (km: number) => `${km < 10 ? km.toFixed(1) : Math.round(km)} km`;
