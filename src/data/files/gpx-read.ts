import { SaxesParser } from 'saxes';
import type { Fix } from '@/core/geometry';
import { fail, ok, type Result, say } from '@/core/shared';

/** A fix at an instant, milliseconds since 1970. */
export type TimedFix = Fix & { readonly at: number };
/** A track of a file under its own name, '' where it has none; a dog of a collar each. */
export type GpxTrack = { readonly name: string; readonly fixes: readonly TimedFix[] };
export type GpxRead = {
  readonly tracks: readonly GpxTrack[];
  /** Places that somebody marked, with their names. */
  readonly places: readonly (Fix & { readonly name: string; readonly at: number | null })[];
  /** Fixes without a time, which say nothing of when. */
  readonly untimed: number;
};

/** More characters than two days of a fix a second are not a track. */
const LONGEST = 60_000_000;

/**
 * Reads GPX 1.0 and 1.1: every track with its segments in a row, each fix with its time. XML that is broken, entities
 * that nobody knows (a document type is not read, so that none of its own is) and places off the earth refuse the file
 * with their line. Fails with `xml`, `not-gpx`, `place`, `no-track` and `long`.
 */
export function readGpx(text: string): Result<GpxRead> {
  if (text.length > LONGEST) return fail('long', '', say('data.gpx.long'));
  const parser = new SaxesParser({ position: true });
  const tracks: { name: string; fixes: TimedFix[] }[] = [];
  const places: { lat: number; lon: number; name: string; at: number | null }[] = [];
  let [untimed, wrong, isGpx] = [0, null as ReturnType<typeof fail> | null, false];
  let point: { lat: number; lon: number; name: string; at: number | null; kind: string } | null = null;
  let [words, depth] = ['', 0];
  const stop = (code: string, message: ReturnType<typeof say>): void => {
    wrong ??= fail(code, `line ${parser.line}`, message);
  };
  parser.on('error', ({ message }) =>
    stop(
      'xml',
      say('data.gpx.xml', { line: parser.line, why: message.replace(/^\d+:\d+: /, '').replace(/\.$/, '') }),
    ),
  );
  parser.on('opentag', ({ name, attributes }) => {
    if (depth === 0) isGpx = name === 'gpx';
    depth++;
    words = '';
    if (name === 'trk') tracks.push({ name: '', fixes: [] });
    if (name !== 'trkpt' && name !== 'wpt') return;
    const [lat, lon] = [Number(attributes.lat), Number(attributes.lon)];
    const known = attributes.lat !== undefined && attributes.lon !== undefined;
    if (!known || !(Math.abs(lat) <= 90) || !(Math.abs(lon) <= 180))
      stop('place', say('data.gpx.place', { line: parser.line }));
    point = { lat, lon, name: '', at: null, kind: name };
  });
  parser.on('text', (text) => {
    words += text;
  });
  parser.on('closetag', ({ name }) => {
    depth--;
    const clean = words.trim();
    words = '';
    if (name === 'time' && point) point.at = instantOf(clean);
    else if (name === 'name' && point) point.name = clean;
    else if (name === 'name' && tracks.at(-1)?.fixes.length === 0 && depth === 2)
      (tracks.at(-1) as { name: string }).name = clean;
    else if (name === 'wpt' && point) {
      places.push({ lat: point.lat, lon: point.lon, name: point.name, at: point.at });
      point = null;
    } else if (name === 'trkpt' && point) {
      if (point.at === null) untimed++;
      else tracks.at(-1)?.fixes.push({ lat: point.lat, lon: point.lon, at: point.at });
      point = null;
    }
  });
  // In pieces: a broken file is given up where it is broken.
  for (let from = 0; from < text.length && wrong === null; from += PIECE)
    parser.write(text.slice(from, from + PIECE));
  if (wrong === null) parser.close();
  if (wrong !== null) return wrong;
  if (!isGpx) return fail('not-gpx', '', say('data.gpx.not-gpx'));
  const known = tracks.filter(({ fixes }) => fixes.length > 1);
  if (known.length === 0) return fail('no-track', '', say('data.gpx.no-track', { untimed }));
  return ok({ tracks: known, places, untimed });
}

const PIECE = 65_536;

/** An instant as GPX writes it; one without a zone is universal time. Null where it is none. */
function instantOf(text: string): number | null {
  const zoned = /(?:Z|[+-]\d\d:?\d\d)$/i.test(text) ? text : `${text}Z`;
  const at = Date.parse(zoned);
  return Number.isFinite(at) ? at : null;
}
