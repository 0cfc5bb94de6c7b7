import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wordsOf } from '@/words';
import { BODY_SIGNS, type BodySign, type CoachEvent, type Rule } from '.';
import { rep, run } from './policy.test-helper';
import { afterSigns, type SeenSign, signAdvice, signLine, standingSign } from './signs';

const seen = (...list: BodySign[]): SeenSign[] => list.map((sign, i) => ({ id: String(i), sign }));
const rule: Rule = { kind: 'run', advanceAfter: 2, dropAfter: 2 };

describe('signs of the body', () => {
  it.each([
    [['panting'], null],
    [['panting', 'circling'], 'end circling'],
    [['panting', 'yawning'], null],
    [['yawning', 'froze'], 'end froze'],
    [['fell'], null],
    [['fell', 'struck'], 'end struck'],
    [['growled'], 'end growled'],
    [['limping', 'growled'], 'stop limping'],
    [['panting', 'circling', 'tremor'], 'stop tremor'],
    [['distracted', 'distracted', 'distracted'], null],
  ] as const)('%j → %s', (list, stands) => {
    const found = standingSign(seen(...list));
    expect(found && `${found.kind} ${found.sign}`).toBe(stands);
  });

  it('one that is dismissed no longer adds to the others; one said otherwise is what it is now', () => {
    const two = seen('panting', 'circling');
    expect(standingSign(afterSigns(two, { kind: 'sign-over', of: '1' }))).toBeNull();
    expect(standingSign(afterSigns(two, { kind: 'sign-again', of: '1', sign: 'yawning' }))).toBeNull();
    expect(standingSign(afterSigns(two, { kind: 'sign-again', of: '0', sign: 'yelp' }))).toMatchObject({
      kind: 'stop',
      id: '0',
    });
    expect(afterSigns(two, { kind: 'rested' })).toBe(two);
  });

  it('every sign says what to do, whether it stands or not, and never to go on or up', () => {
    for (const sign of BODY_SIGNS) {
      const line = signLine(seen(sign, sign)) ?? signAdvice({ id: '0', sign }, 3);
      expect(wordsOf(line.reason).length).toBeGreaterThan(20);
      expect(['stop', 'end', 'rest', 'filler', 'drop-back', 'help']).toContain(line.kind);
    }
    expect(signAdvice({ id: '0', sign: 'struck' }, 3)).toMatchObject({ kind: 'drop-back', to: 2 });
    expect(signAdvice({ id: '0', sign: 'struck' }, 0).kind).toBe('help');
  });

  it('after one that stands nothing advises to go up, whatever follows, until it is dismissed', () => {
    const event = fc.oneof(
      {
        weight: 6,
        arbitrary: fc.constantFrom('clean', 'flawed', 'miss').map((outcome) => ({ rep: outcome })),
      },
      { weight: 1, arbitrary: fc.constant({ rested: true }) },
      { weight: 1, arbitrary: fc.constantFrom(...BODY_SIGNS).map((sign) => ({ sign })) },
    );
    fc.assert(
      fc.property(fc.array(event, { maxLength: 30 }), (later) => {
        const events: CoachEvent[] = later.map((one, i) =>
          'rep' in one
            ? rep(String(i), one.rep as 'clean')
            : 'sign' in one
              ? { kind: 'sign', id: String(i), sign: one.sign }
              : { kind: 'rested' },
        );
        const ran = run(rule, [{ kind: 'sign', id: 'x', sign: 'limping' }, ...events]);
        expect(ran.last).not.toMatch(/advance|done/);
        expect(ran.last.startsWith('stop')).toBe(true);
      }),
    );
    const well = run(rule, [
      { kind: 'sign', id: 'x', sign: 'limping' },
      rep('a', 'clean'),
      rep('b', 'clean'),
      { kind: 'sign-over', of: 'x' },
    ]);
    expect(well.last).toBe('advance 3');
  });
});
