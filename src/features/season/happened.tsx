import { useState } from 'react';
import { useKennelWithDog } from '@/data/live';
import { type ElementRecord, elementOfKind, reachAxis, type SeasonEvent } from '@/data/read';
import { changeEvent, countAsRep, removeEvent } from '@/data/write';
import { Button, Sheet } from '@/ui';
import { Asked } from './asked';
import { eventInWords } from './event-words';
import { tell } from './words';

type HappenedProps = {
  readonly events: readonly SeasonEvent[];
  readonly elements: readonly ElementRecord[];
  readonly unit: 'm' | 'yd';
};

/** What happened so far, the last first: each said otherwise, tried again, or taken off. */
export function Happened({ events, elements, unit }: HappenedProps) {
  const { kennel, done } = useKennelWithDog();
  if (events.length === 0)
    return (
      <p className="border-l-[6px] border-rule bg-paper px-3 py-2 leading-snug">{tell('day.nothing-yet')}</p>
    );
  return (
    <Sheet title={tell('day.so-far')}>
      <ol className="divide-y divide-hair">
        {[...events].reverse().map((event) => (
          <li key={event.id} className="grid gap-1 py-2">
            <p className="text-lg leading-snug">{eventInWords(event, unit)}</p>
            {event.words !== '' && <p className="leading-snug text-ink-soft">{event.words}</p>}
            {event.rep !== null ? (
              <p className="leading-snug text-ink-soft">{tell('day.is-counted')}</p>
            ) : (
              <>
                <Asked event={event} />
                <div className="flex flex-wrap items-center gap-2">
                  <Button
                    aria-label={tell('day.one-try-more-of', { event: eventInWords(event, unit) })}
                    onClick={() =>
                      void done(
                        tell('day.tried-again'),
                        changeEvent(kennel, event.id, { tries: event.tries + 1 }),
                      )
                    }
                  >
                    {tell('day.one-try-more')}
                  </Button>
                  <Note event={event} />
                  <CountIt event={event} elements={elements} unit={unit} />
                  <Button
                    look="quiet"
                    aria-label={tell('day.take-off-which', { event: eventInWords(event, unit) })}
                    onClick={() => void done(tell('day.taken-off'), removeEvent(kennel, event.id))}
                  >
                    {tell('day.take-off')}
                  </Button>
                </div>
              </>
            )}
          </li>
        ))}
      </ol>
    </Sheet>
  );
}

/** An event as a rep of the work that it was, where somebody wants that. */
function CountIt({
  event,
  elements,
  unit,
}: {
  readonly event: SeasonEvent;
  readonly elements: readonly ElementRecord[];
  readonly unit: 'm' | 'yd';
}) {
  const { kennel, done } = useKennelWithDog();
  const element = elements.find((one) => one.id === event.element) ?? elementOfKind(event.what, elements);
  if (!element || event.outingId === null) return null;
  const { title } = element;
  return (
    <Button
      aria-label={tell('day.count-which', { title, event: eventInWords(event, unit) })}
      onClick={() =>
        void done(
          tell('day.counted', { title }),
          countAsRep(kennel, event.id, element, reachAxis(element)?.key ?? null),
        )
      }
    >
      {tell('day.count-it')}
    </Button>
  );
}

function Note({ event }: { readonly event: SeasonEvent }) {
  const { kennel, done } = useKennelWithDog();
  const [text, setText] = useState(event.words);
  const keep = (): void => {
    if (text.trim() !== event.words)
      void done(tell('day.noted'), changeEvent(kennel, event.id, { words: text.trim() }));
  };
  return (
    <input
      aria-label={tell('day.what-went-wrong')}
      placeholder={tell('day.what-went-wrong')}
      className="min-h-11 flex-1 border-b-2 border-ink bg-paper px-2 placeholder:text-ink-soft"
      maxLength={500}
      value={text}
      onChange={(change) => setText(change.target.value)}
      onBlur={keep}
      onKeyDown={(key) => key.key === 'Enter' && keep()}
    />
  );
}
