import { gpx } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { writeTrackGpx } from './gpx-file';
import { readGpx } from './gpx-read';

const NOON = Date.parse('2026-06-15T12:00:00Z');
const fix = (i: number, lat = 50, lon = 8) => ({
  lat: lat + i * 1e-5,
  lon: lon + i * 2e-5,
  at: NOON + i * 1000,
});
const track = (name: string, count: number) => ({
  name,
  fixes: Array.from({ length: count }, (_, i) => fix(i)),
});
const body = (inner: string): string => `<?xml version="1.0"?><gpx version="1.1">${inner}</gpx>`;
const point = (time: string, more = ''): string =>
  `<trkpt lat="50" lon="8">${more}<time>${time}</time></trkpt>`;

describe('GPX', () => {
  it('comes back as it was written, and another reader sees the same', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            name: fc.constantFrom('Wren', 'Tansy & Co <1>', 'Ö'),
            count: fc.integer({ min: 2, max: 20 }),
          }),
          { minLength: 1, maxLength: 4 },
        ),
        (list) => {
          const tracks = list.map(({ name, count }) => track(name, count));
          const text = writeTrackGpx(tracks, [{ lat: 50, lon: 8, name: 'fall' }]);
          const read = must(readGpx(text));
          expect(read.tracks.map(({ name }) => name)).toEqual(list.map(({ name }) => name));
          for (const [i, one] of read.tracks.entries())
            for (const [j, other] of one.fixes.entries()) {
              expect(other.at).toBe(tracks[i]?.fixes[j]?.at);
              expect(other.lat).toBeCloseTo(tracks[i]?.fixes[j]?.lat as number, 6);
            }
          expect(read.places).toMatchObject([{ name: 'fall', at: null }]);
          const other = gpx(new DOMParser().parseFromString(text, 'text/xml') as never);
          expect(other.features).toHaveLength(list.length + 1);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('has two dogs, segments in a row, midnight, and every way to write a zone', () => {
    const text = body(
      `<trk><name>A</name><trkseg>${point('2026-03-29T00:59:59Z')}</trkseg><trkseg>${point('2026-03-29T03:00:00+02:00')}</trkseg></trk>` +
        `<trk><trkseg>${point('2026-12-31T23:59:59Z', '<name>not the track</name>')}${point('2027-01-01T00:00:01')}</trkseg></trk>`,
    );
    const { tracks } = must(readGpx(text));
    expect(tracks.map(({ name, fixes }) => [name, fixes.map(({ at }) => at)])).toEqual([
      ['A', [Date.UTC(2026, 2, 29, 0, 59, 59), Date.UTC(2026, 2, 29, 1, 0, 0)]],
      ['', [Date.UTC(2026, 11, 31, 23, 59, 59), Date.UTC(2027, 0, 1, 0, 0, 1)]],
    ]);
  });

  it.each([
    ['broken XML', body('<trk><trkseg>\n\n<trkpt lat="1" lon="2"></trkseg></trk>'), 'xml', 'line 3'],
    [
      'an entity of its own',
      `<?xml version="1.0"?><!DOCTYPE gpx [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;&a;">]><gpx><trk><name>&b;</name></trk></gpx>`,
      'xml',
      'line 1',
    ],
    [
      'a file of the system',
      `<?xml version="1.0"?><!DOCTYPE gpx [<!ENTITY x SYSTEM "file:///etc/passwd">]><gpx><trk><name>&x;</name></trk></gpx>`,
      'xml',
      'line 1',
    ],
    [
      'a place off the earth',
      body(`<trk><trkseg><trkpt lat="91" lon="2"/></trkseg></trk>`),
      'place',
      'line 1',
    ],
    ['a place that is none', body(`<trk><trkseg><trkpt lat="x" lon="2"/></trkseg></trk>`), 'place', 'line 1'],
    ['no longitude', body(`<trk><trkseg><trkpt lat="1"/></trkseg></trk>`), 'place', 'line 1'],
    ['another kind of XML', '<kml><Placemark/></kml>', 'not-gpx', ''],
    ['no XML', 'lat,lon 1,2', 'xml', 'line 1'],
    ['nothing', '', 'xml', 'line 1'],
    [
      'no times',
      body(`<trk><trkseg><trkpt lat="1" lon="2"/><trkpt lat="1" lon="2"/></trkseg></trk>`),
      'no-track',
      '',
    ],
    ['no track', body(''), 'no-track', ''],
  ])('refuses %s in words', (_, text, code, path) => {
    const read = readGpx(text);
    expect(read).toMatchObject({ ok: false, code, path });
  });

  it('never falls over, whatever becomes of a file', () => {
    const whole = writeTrackGpx([track('Wren', 6)]);
    fc.assert(
      fc.property(fc.nat(whole.length), fc.nat(20), fc.string({ maxLength: 6 }), (from, cut, put) => {
        const text = whole.slice(0, from) + put + whole.slice(from + cut);
        const read = readGpx(text);
        if (read.ok)
          for (const { fixes } of read.value.tracks)
            for (const one of fixes) expect(Math.abs(one.lat)).toBeLessThanOrEqual(90);
      }),
      { numRuns: 2_000 },
    );
  });
});
