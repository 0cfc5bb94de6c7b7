import { useState } from 'react';
import { VET_TOPICS, type VetTopic } from '@/core/planning';
import type { Dog } from '@/data/read';
import { Sheet, TextField } from '@/ui';
import { wordsOf } from '@/words';
import { useDogChange } from './use-dog-change';
import { tell } from './words';

/**
 * What the vet said: it stands in the cautions in place of the question. This program sets no
 * limits of its own.
 */
export function VetSheet({ dog }: { readonly dog: Dog }) {
  return (
    <Sheet
      title={tell('vet-sheet.what-your-vet-said')}
      aside={tell('vet-sheet.asked-here-because-no-age-or')}
    >
      <div className="grid gap-3">
        {(Object.keys(VET_TOPICS) as VetTopic[]).map((topic) => (
          <Answer key={topic} dog={dog} topic={topic} />
        ))}
      </div>
    </Sheet>
  );
}

function Answer({ dog, topic }: { readonly dog: Dog; readonly topic: VetTopic }) {
  const change = useDogChange(dog);
  const kept = dog.vet.find((one) => one.about === topic)?.said ?? '';
  const [text, setText] = useState(kept);
  const commit = (): void => {
    const said = text.trim();
    if (said === kept) return;
    const others = dog.vet.filter((one) => one.about !== topic);
    change(
      { vet: said === '' ? others : [...others, { about: topic, said }] },
      said === '' ? tell('vet-sheet.answer-taken-away') : tell('vet-sheet.written-down'),
    );
  };
  return (
    <TextField
      label={wordsOf(VET_TOPICS[topic])}
      value={text}
      placeholder={tell('vet-sheet.not-asked-yet')}
      onChange={(event) => setText(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
