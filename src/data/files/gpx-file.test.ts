import { gpx } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import { describe, expect, it } from 'vitest';
import { writeGpx } from '.';

const rad = Math.PI / 180;
/** Metres between two places on a sphere (haversine), which knows nothing of how the file was made. */
const apart = ([lonA = 0, latA = 0]: number[], [lonB = 0, latB = 0]: number[]): number => {
  const a =
    Math.sin(((latB - latA) * rad) / 2) ** 2 +
    Math.cos(latA * rad) * Math.cos(latB * rad) * Math.sin(((lonB - lonA) * rad) / 2) ** 2;
  return 2 * 6_371_008.8 * Math.asin(Math.sqrt(a));
};
type Read = { readonly type: string; readonly coordinates: number[] };
/** Features as the other reader found them. */
const read = (text: string) => {
  const found = gpx(new DOMParser().parseFromString(text, 'text/xml') as never) as unknown as {
    readonly features: { readonly geometry: Read; readonly properties: { readonly name: string } }[];
  };
  return found.features;
};

describe('a set-out as GPX', () => {
  const text = writeGpx('Marks & <memories>', {
    anchor: { lat: 52.1234, lon: 13.5 },
    north: 0,
    places: [
      { x: 0, y: 0, name: 'dog', about: 'starts here' },
      { x: 30, y: 40, name: 'mark “1” & co', about: '50 m from the dog' },
    ],
    routes: [
      {
        name: 'line to mark 1',
        places: [
          { x: 0, y: 0, name: 'start', about: '' },
          { x: 30, y: 40, name: 'mark 1', about: '' },
        ],
      },
    ],
  });

  it('is read by another reader: names, and every distance within a centimetre or two', () => {
    const features = read(text);
    const points = features.filter((one) => one.geometry.type === 'Point');
    expect(points.map((one) => one.properties.name)).toEqual(['dog', 'mark “1” & co']);
    const [dog, mark] = points.map((one) => one.geometry.coordinates);
    expect(dog).toEqual([13.5, 52.1234]);
    expect(apart(dog ?? [], mark ?? [])).toBeCloseTo(50, 1);
    expect((mark?.[1] ?? 0) - 52.1234).toBeCloseTo(40 / 111_195, 6);
    const line = features.find((one) => one.geometry.type === 'LineString');
    expect(line?.properties.name).toBe('line to mark 1');
    expect(line?.geometry.coordinates).toHaveLength(2);
  });

  it('says whose format it is, and hides nothing that a name could smuggle in', () => {
    expect(text).toContain('version="1.1"');
    expect(text).toContain('Marks &amp; &lt;memories&gt;');
  });
});
