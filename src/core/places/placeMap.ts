import { geoMercator, geoPath } from 'd3-geo';
import type { MultiPolygon, Polygon } from 'geojson';
import type { Coordinates } from '../model/geo';

/** Outlines of land, each ring in degrees, as GeoJSON (RFC 7946) has them. */
export type Outlines = MultiPolygon;

/** Half of how much of the earth a map shows from north to south, in degrees. */
const HALF_HEIGHT = 1.6;
/** Lengths of the scale that are offered, in kilometres, and the most of the map's width that it takes. */
const SCALES = [1, 2, 5, 10, 20, 50, 100, 200] as const;
const SCALE_SHARE = 0.3;
const KILOMETRES_A_DEGREE = 111.2;
/** The room that the name of the place itself keeps to its right, in pixels. */
const NAME_OF_PLACE = 140;

/** A map as it is drawn, in pixels from its upper left corner. */
export interface PlaceMap {
  /** The path of all land within it (SVG path data); empty at sea. */
  readonly land: string;
  readonly place: { readonly x: number; readonly y: number };
  /** Other places within it, those first that were given first: named where the name lies over no other. */
  readonly others: readonly {
    readonly name: string;
    readonly x: number;
    readonly y: number;
    readonly isNamed: boolean;
  }[];
  /** How long so many kilometres are on it. */
  readonly scale: { readonly kilometres: number; readonly pixels: number };
}

/** What a name beside a point takes, about: the width of a letter, and the height of a line. */
const LETTER = 7;
const LINE = 16;

interface Point {
  readonly x: number;
  readonly y: number;
}

/** Which of some points have room for their names: over no other point, nor over what was named before or the place's own name. */
function named<Named extends Point & { readonly name: string }>(place: Point, points: readonly Named[]) {
  const taken = [{ ...place, reach: NAME_OF_PLACE }];
  return points.map((point) => {
    const reach = point.name.length * LETTER;
    const isOverPoint = [place, ...points].some(
      (other) =>
        other !== point &&
        Math.abs(other.y - point.y) < LINE / 2 &&
        other.x > point.x &&
        other.x < point.x + reach + LETTER,
    );
    const isFree = taken.every(
      (other) =>
        Math.abs(other.y - point.y) >= LINE ||
        other.x + other.reach <= point.x - LETTER ||
        point.x + reach <= other.x - LETTER,
    );
    const isNamed = isFree && !isOverPoint;
    if (isNamed) taken.push({ x: point.x, y: point.y, reach });
    return { ...point, isNamed };
  });
}

/** The box that the rings of a polygon lie in, by its outer ring. */
function boxOf([outer = []]: Polygon['coordinates']) {
  let [west, south, east, north] = [180, 90, -180, -90];
  for (const [longitude = 0, latitude = 0] of outer) {
    west = Math.min(west, longitude);
    east = Math.max(east, longitude);
    south = Math.min(south, latitude);
    north = Math.max(north, latitude);
  }
  return { west, south, east, north };
}

/**
 * Draws a map about a place: land about it, other places that are known, and a scale.
 * @param size its width and height in pixels
 */
export function placeMap(
  outlines: Outlines,
  place: Coordinates,
  others: readonly { readonly name: string; readonly coordinates: Coordinates }[],
  { width, height }: { readonly width: number; readonly height: number },
): PlaceMap {
  const cosine = Math.max(0.1, Math.cos((place.latitude * Math.PI) / 180));
  const pixelsADegree = height / (2 * HALF_HEIGHT);
  const projection = geoMercator()
    // A degree to the north is as long as the map says, at the place itself.
    .scale((pixelsADegree * cosine * 180) / Math.PI)
    .center([place.longitude, place.latitude])
    .translate([width / 2, height / 2])
    .clipExtent([
      [0, 0],
      [width, height],
    ]);
  const halfWidth = (width / height) * (HALF_HEIGHT / cosine) * 1.1;
  const reach = HALF_HEIGHT * 1.3;
  // What is far away is not projected at all.
  const near = outlines.coordinates.filter((polygon) => {
    const { west, south, east, north } = boxOf(polygon);
    return (
      east >= place.longitude - halfWidth &&
      west <= place.longitude + halfWidth &&
      north >= place.latitude - reach &&
      south <= place.latitude + reach
    );
  });
  const at = ({ longitude, latitude }: Coordinates) => {
    const [x, y] = projection([longitude, latitude]) ?? [NaN, NaN];
    return { x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10 };
  };
  const isOn = ({ x, y }: { x: number; y: number }): boolean => x >= 0 && x <= width && y >= 0 && y <= height;
  const pixelsAKilometre = pixelsADegree / KILOMETRES_A_DEGREE;
  const kilometres =
    SCALES.findLast((length) => length * pixelsAKilometre <= width * SCALE_SHARE) ?? SCALES[0];
  return {
    land: geoPath(projection).digits(1)({ type: 'MultiPolygon', coordinates: near }) ?? '',
    place: at(place),
    others: named(
      at(place),
      others.map(({ name, coordinates }) => ({ name, ...at(coordinates) })).filter(isOn),
    ),
    scale: { kilometres, pixels: Math.round(kilometres * pixelsAKilometre * 10) / 10 },
  };
}
