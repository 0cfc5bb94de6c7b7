import { readDemand } from './demands';
import type { SheetReading } from './sheet-reading';
import { trimmed } from './titled-values';

/** Lines that say by their first word what they are. */
const PASS =
  /^(?:(?:a |the )?dog (?:passes|needs)|to pass|pass(?:ing)?(?: mark| line| score)?|passed|passes(?: with| from)?|minimum(?: score| points)?(?: to (?:pass|qualify))?|mindestpunktzahl|qualif\w+|required to pass|bestanden|zum bestehen|bestehen|bestehensgrenze)(?!\p{L})\s*[:–—-]?\s*/iu;
const TOTAL =
  /^(?:total(?: points)?|sum|highest possible(?: score)?|maximum score|gesamt(?:punktzahl|punkte)?|summe|höchstpunktzahl)(?!\p{L})[^\d]*(\d+(?:[.,]\d+)?)\s*(?:points?|punkte?|pts?\.?|p\.)?\s*\.?$/iu;
const EDITION =
  /^(?:edition|valid from|valid|in force from|season|as of|ausgabe|gültig ab|stand(?=\s*[:\d]))(?!\p{L})\s*[:–—-]?\s*(.+)$/iu;
const AWARDS =
  /^(?:awards?|ratings?|grades?|prädikate?|bewertungen|noten|note(?=\s*:\s*(?:vorz|sehr|gut|exc|very)))(?!\p{L})\s*[:–—-]?\s*/iu;
const FAULTS =
  /^(?:faults?|deductions?|penalties|fehler|abzüge)\s*[:–—-]?\s*$|^(?:faults?|deductions?|penalties|fehler|abzüge)\s*[:–—]\s*(?=\S)/iu;
const PART = /^(?:part|teil)\s*(?:\d{1,2})?\s*[:–—-]\s*(.+)$/iu;
const DEMAND = /^(?:asked|required|demand|gefordert|verlangt)\s*[:–—-]\s*(?=.*\d)/iu;
const MEASURED =
  /^(?:distance|duration|height|time|hold|angle|entfernung|dauer|höhe|zeit|winkel)(?!\p{L})[^.;]*?\d+(?:[.,]\d+)?\s*(?:m|cm|yd|ft|in|s|sec|seconds?|metres?|meters?|minutes?|min|°|degrees|sekunden|meter)\.?$/iu;
/** Lines of a form to be filled in. */
const FORM =
  /^(?:(?:name of )?(?:judge|dog|handler|owner|date|place|signature|name|breed|start(?:ing)? (?:no\.?|number)|no\.?|number|richter|hund|hundeführer|datum|ort|unterschrift|startnummer|remarks?|notes?|bemerkungen)(?:\s*[:._…/|]*\s*|[:\s]*_{2,}.*))+$/iu;
const RULE = /^[\s|:+=_*~-]*$/u;
const RATINGS =
  /^(?:excellent|very good|good|sufficient|satisfactory|insufficient|outstanding|merit|distinction|vorzüglich|sehr gut|gut|befriedigend|genügend|ausreichend|mangelhaft|ungenügend|(?:first|second|third) (?:prize|class|grade)|[123]\. preis)(?!\p{L})/iu;
/** “V ab 33,5”: after the pass line, what is given from so many points on. */
const FROM =
  /^\p{L}.{0,30}?\s?(?:ab|from|at least|mindestens)\s+\d+(?:[.,]\d+)?\s*(?:points?|punkten?|%)?\.?$/iu;
const BELOW = /^(?:insufficient|not passed|failed|mangelhaft|ungenügend|nicht bestanden)/iu;

/** Where a line stands: after a line that opens awards; after what passing asks, or the total. */
export type Rated = { readonly awards: boolean; readonly passed: boolean };
export const NOWHERE: Rated = { awards: false, passed: false };

/** What is read: null where the line is not of that kind; pieces of it that were not understood are `left`. */
type Told = { readonly readings: readonly SheetReading[]; readonly left: string };

const number = (digits: string): number => Number(digits.replace(',', '.'));
const one = (reading: SheetReading): Told => ({ readings: [reading], left: '' });

/** A line that is longer tells what is asked, in sentences. */
const LONGEST = 300;

/** A line that tells by its first word what it is: how to pass, an award, the total, the edition, a form's line. */
export function told(text: string, { awards, passed }: Rated): Told | null {
  const clean = text.trim();
  if (clean.length > LONGEST) return null;
  if (RULE.test(clean) || FORM.test(clean)) return one({ is: 'nothing' });
  const total = TOTAL.exec(clean)?.[1];
  if (total !== undefined) return one({ is: 'total', points: number(total) });
  const edition = EDITION.exec(clean)?.[1];
  if (edition !== undefined) return one({ is: 'edition', text: edition.trim() });
  if (PASS.test(clean)) return passOf(clean);
  const part = PART.exec(clean)?.[1];
  if (part !== undefined) return one({ is: 'part', text: trimmed(part) });
  if (DEMAND.test(clean) || MEASURED.test(clean)) return demandOf(clean.replace(DEMAND, ''));
  if (AWARDS.test(clean)) return awardsOf(clean.replace(AWARDS, ''));
  if (awards || RATINGS.test(clean) || (passed && FROM.test(clean))) return awardOf(clean);
  return null;
}

/** Whether awards follow: a heading and nothing else. */
export const opensAwards = (text: string): boolean =>
  AWARDS.test(text.trim()) && text.trim().replace(AWARDS, '') === '';

/** The label before faults, and whether the line is nothing else. `"Faults: slow 1"` → "slow 1". */
export const withoutLabel = (text: string): string => text.replace(FAULTS, '');

export function demandOf(text: string): Told {
  const read = readDemand(text, null);
  return read.ok ? one({ is: 'demand', demand: read.value }) : { readings: [], left: text };
}

const EACH = /\b(?:each|every|any|jeder|jede|jedem)\b/iu;
const ONLY_WORDS = /^[\p{L}\s.,:’'()]*$/u;

/** How to pass: "at least 140 of 200 points and half of the points of each exercise". */
export function passOf(text: string): Told {
  const readings: SheetReading[] = [];
  const left: string[] = [];
  const said = text.replace(PASS, '').replace(/\bhalf\b|\bdie hälfte\b/giu, '50 %');
  for (const piece of said.split(/\s+(?:and|und|as well as|sowie)\s+|;|,(?!\d)/iu)) {
    if (piece.trim() === '') continue;
    const one = RATINGS.test(piece.trim()) ? awardOf(piece.trim()).readings[0] : conditionOf(piece);
    if (one) readings.push(one);
    else left.push(piece.trim());
  }
  const totals = readings.filter((one) => one.is === 'pass' && one.kind === 'total').length;
  if (totals > 1) left.push(text.trim());
  return { readings, left: left.join('; ') };
}

const PERCENT = /(\d+(?:[.,]\d+)?)\s*(?:%|percent|per cent|prozent)/iu;
const POINTS =
  /(\d+(?:[.,]\d+)?)(?:\s*(?:of|von|out of|\/)\s*\d+(?:[.,]\d+)?)?\s*(?:points?|pts?\.?|punkten?|p\.|marks?)?/iu;

/** One thing that passing asks; null where it is said in more words than are understood. */
function conditionOf(piece: string): SheetReading | null {
  // A share in brackets says the points again.
  const plain = piece.replace(/\([^)]*%\s*\)/gu, ' ');
  const percent = PERCENT.exec(plain)?.[1];
  const rest = plain.replace(/\d+(?:[.,]\d+)?/gu, '').replace(/[%/]/g, '');
  if (!ONLY_WORDS.test(rest) || /\bno\b|kein/iu.test(plain)) return null;
  if (percent !== undefined) {
    if (POINTS.test(plain.replace(PERCENT, ' '))) return null;
    return EACH.test(plain)
      ? { is: 'pass', kind: 'each', percent: number(percent) }
      : { is: 'pass', kind: 'total', atLeast: number(percent), percent: true };
  }
  const points = POINTS.exec(plain)?.[1];
  if (points === undefined || EACH.test(plain)) return null;
  return { is: 'pass', kind: 'total', atLeast: number(points), percent: false };
}

/** "Awards: excellent 190, very good 180": several on one line, or none. */
function awardsOf(text: string): Told {
  if (text.trim() === '') return one({ is: 'nothing' });
  const all = text.split(/[;,](?!\d)/u).map((piece) => awardOf(piece.trim()));
  return {
    readings: all.flatMap((one) => one.readings),
    left: all
      .map((one) => one.left)
      .filter(Boolean)
      .join('; '),
  };
}

const AWARD =
  /^(?<title>.*?)[\s:–—.…(|-]*(?:from|ab|at least|mindestens|≥|>=)?\s*(?<from>\d+(?:[.,]\d+)?)\s*(?:(?:[–—-]|to|bis)\s*\d+(?:[.,]\d+)?)?\s*(?<percent>%|percent|prozent)?\s*(?:points?|pts?\.?|punkten?|p\.)?\s*(?:\+|and (?:more|over|above)|or more|und mehr)?\s*\)?\.?$/iu;

export function awardOf(text: string): Told {
  const { title = '', from, percent } = AWARD.exec(text)?.groups ?? {};
  const name = trimmed(title);
  if (from === undefined || name === '') return { readings: [], left: text };
  return one({
    is: 'award',
    title: name,
    from: number(from),
    percent: percent !== undefined,
    below: BELOW.test(name),
  });
}
