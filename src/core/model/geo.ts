import { z } from 'zod';
import './withoutCodeMaking';

/** Where on earth a place is, in degrees (GEO, RFC 5545 3.8.1.6; WGS 84). */
export const Coordinates = z.object({
  latitude: z.number().min(-90).max(90),
  longitude: z.number().min(-180).max(180),
});
export type Coordinates = z.infer<typeof Coordinates>;

/** Coordinates with the name of the place that they are of: they say nothing of an entry that is elsewhere by now. */
export const Geo = Coordinates.extend({ place: z.string() });
export type Geo = z.infer<typeof Geo>;

/** Where an entry is; undefined where that is not known of the place that it has now. */
export const coordinatesOf = ({
  geo,
  location,
}: {
  readonly geo?: Geo | undefined;
  readonly location: string;
}): Coordinates | undefined =>
  geo?.place === location ? { latitude: geo.latitude, longitude: geo.longitude } : undefined;

/** The address that opens the device's program of maps (RFC 5870), with a name for the point where there is one. */
export function geoUri({ latitude, longitude }: Coordinates, name: string): string {
  const point = `${latitude},${longitude}`;
  const called = name.replaceAll(/[()\s]+/g, ' ').trim();
  return `geo:${point}${called === '' ? '' : `?q=${point}(${encodeURIComponent(called)})`}`;
}
