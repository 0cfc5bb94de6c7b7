import { useState } from 'react';
import { buildLadder, describePlace, standingOn } from '@/core/breakdown';
import { useDogs, useKennel } from '@/data/live';
import { type PictureFacts, pictureFacts } from '@/data/read';
import { Button, Notice, SelectField, Sheet } from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { ReadyToHand } from '../ready-to-hand';
import { useReadyFile } from '../use-ready-file';
import { tell } from '../words';
import { paintSummary, type Summary } from './paint-summary';

/** For somebody without the program: one picture with where the dog stands, what to do this week, when to stop. */
export function PictureSheet() {
  const { kennel, dog, today } = useKennel();
  const dogs = useDogs();
  const { ready, hand } = useReadyFile();
  const [chosen, setChosen] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  if (!dogs || dogs.length === 0) return null;
  const one = dogs.find(({ id }) => id === chosen) ?? dogs.find(({ id }) => id === dog?.id) ?? dogs[0];
  if (!one) return null;
  const save = async (): Promise<void> => {
    setProblem(null);
    const facts = await pictureFacts(kennel, one.id, today);
    try {
      hand(
        `regulon-${today}-${one.name}.png`,
        await paintSummary(summaryOf(one.name, facts, writeDay(today))),
      );
    } catch (error) {
      setProblem(tell('coach.no-picture', { why: String(error) }));
    }
  };
  return (
    <Sheet title={tell('coach.picture')} className="mt-6">
      <p className="mb-3 leading-snug">{tell('coach.picture-what')}</p>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label={tell('coach.picture-of')}
          value={one.id as string}
          options={dogs.map(({ id, name }) => ({ value: id as string, words: name }))}
          onChange={setChosen}
        />
        <Button onClick={() => void save()}>{tell('coach.save-picture')}</Button>
      </div>
      {ready?.share && <ReadyToHand ready={ready} share={ready.share} />}
      {problem && (
        <Notice tone="alert" role="alert">
          {problem}
        </Notice>
      )}
    </Sheet>
  );
}

/**
 * What is on the picture, in words.
 * @internal
 */
export function summaryOf(name: string, facts: PictureFacts, day: string): Summary {
  const stands = facts.elements.map(({ element, stands: at }) => {
    const ladder = buildLadder(element);
    const { criteria } = standingOn(ladder, at);
    return `${element.title}: ${wordsOf(describePlace(ladder, criteria))}`;
  });
  const three = facts.next.map(({ title, goes, times }) =>
    goes === null ? title : tell('coach.planned-line', { title, goes, times }),
  );
  return {
    title: tell('coach.picture-title', { name, day }),
    parts: [
      {
        head: tell('coach.where-it-stands'),
        lines: stands.length > 0 ? stands : [tell('coach.nothing-trained')],
      },
      {
        head: facts.planned ? tell('coach.this-week-planned') : tell('coach.this-week-longest'),
        lines: three.length > 0 ? three : [tell('coach.nothing-to-do')],
      },
      {
        head: tell('coach.when-to-stop'),
        lines: [
          tell('coach.stop-two-misses'),
          tell('coach.stop-pain'),
          ...facts.vet.map((said) => tell('coach.vet-said', { said })),
        ],
      },
    ],
    foot: tell('coach.picture-foot'),
  };
}
