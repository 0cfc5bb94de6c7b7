import { useEffect, useState } from 'react';
import { firstOfEach, learnClick, type Sound, TO_LEARN } from '@/core/review';
import type { Failure } from '@/core/shared';
import { Button, Notice } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from './ear-words';
import { useHand } from './hand-store';
import { useOwnClick } from './own-click-store';
import { useEar } from './use-ear';

/** Whether one's own click logs a go, and the ten clicks by which it is told from others. */
export function EarSettings() {
  const { ears, set } = useHand();
  const { own, learning, learn } = useOwnClick();
  return (
    <div className="border-t border-hair pb-2">
      <label className="flex min-h-14 items-center gap-2 py-1.5 text-lg leading-snug">
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-(--ink)"
          checked={ears}
          onChange={() => set({ ears: !ears })}
        />
        <span>
          {tell('ear-settings.click-logs')}
          <span className="block text-base text-ink-soft">{tell('ear-settings.how')}</span>
        </span>
      </label>
      {ears && !learning && (
        <Button size="big" look={own ? 'plain' : 'ink'} onClick={() => learn(true)}>
          {tell('ear-settings.learn', { again: own !== null })}
        </Button>
      )}
      {ears && learning && <Learn />}
    </div>
  );
}

function Learn() {
  const { keep, learn } = useOwnClick();
  const [clicks, setClicks] = useState<readonly Sound[]>([]);
  const [wrong, setWrong] = useState<Failure | null>(null);
  // Whoever leaves the sheet in the middle of it has done learning.
  useEffect(() => () => learn(false), [learn]);
  const { failure } = useEar(true, (sound, rate) => {
    const heard = firstOfEach([...clicks, sound]);
    if (heard.length < TO_LEARN) return setClicks(heard);
    const learned = learnClick(heard, rate);
    setClicks([]);
    if (!learned.ok) return setWrong(learned);
    keep(learned.value);
    learn(false);
  });
  return (
    <div className="grid gap-2" aria-live="polite">
      <p className="text-lg font-semibold">
        {tell('ear-settings.clicks', { heard: clicks.length, wanted: TO_LEARN })}
      </p>
      {wrong && <Notice tone="alert">{wordsOf(wrong.message)}</Notice>}
      {failure && <Notice tone="alert">{wordsOf(failure.message)}</Notice>}
      <Button size="big" onClick={() => learn(false)}>
        {tell('ear-settings.leave')}
      </Button>
    </div>
  );
}
