import { XMLBuilder } from 'fast-xml-parser';
import { type Fix, toEarth } from '@/core/geometry';

/** A named place on a drawing, in metres. */
export type GpxPlace = {
  readonly x: number;
  readonly y: number;
  readonly name: string;
  readonly about: string;
};
/** A line to be walked or run, by its places in order. */
export type GpxRoute = { readonly name: string; readonly places: readonly GpxPlace[] };

/**
 * A drawing as GPX 1.1: each thing a waypoint, each line a route. `anchor` is where (0, 0) of the drawing lies on
 * the earth, `north` the turn of north on it. Seven decimals of a degree are a centimetre.
 */
export function writeGpx(
  title: string,
  drawing: {
    readonly anchor: Fix;
    readonly north: number;
    readonly places: readonly GpxPlace[];
    readonly routes: readonly GpxRoute[];
  },
): string {
  const point = ({ x, y, name, about }: GpxPlace) => {
    const { lat, lon } = toEarth(drawing.anchor, drawing.north, { x, y });
    return { '@lat': lat.toFixed(7), '@lon': lon.toFixed(7), name, desc: about };
  };
  return gpxOf({
    metadata: { name: title },
    wpt: drawing.places.map(point),
    rte: drawing.routes.map(({ name, places }) => ({ name, rtept: places.map(point) })),
  });
}

function gpxOf(inner: object): string {
  const builder = new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true });
  return builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    gpx: {
      '@version': '1.1',
      '@creator': 'Regulon',
      '@xmlns': 'http://www.topografix.com/GPX/1/1',
      ...inner,
    },
  });
}

/** A track as GPX 1.1: a fix each with its instant, milliseconds since 1970; places that were marked as waypoints. */
export function writeTrackGpx(
  tracks: readonly {
    readonly name: string;
    readonly fixes: readonly (Fix & { readonly at: number })[];
  }[],
  places: readonly (Fix & { readonly name: string })[] = [],
): string {
  const at = ({ lat, lon }: Fix) => ({ '@lat': lat.toFixed(7), '@lon': lon.toFixed(7) });
  return gpxOf({
    wpt: places.map((one) => ({ ...at(one), name: one.name })),
    trk: tracks.map(({ name, fixes }) => ({
      name,
      trkseg: { trkpt: fixes.map((one) => ({ ...at(one), time: new Date(one.at).toISOString() })) },
    })),
  });
}
