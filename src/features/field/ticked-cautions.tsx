import { useState } from 'react';
import type { Caution } from '@/core/planning';
import { CautionNote } from '@/ui';
import { tell } from './later-words';

/**
 * The cautions of the day. One that is a condition has a tick, so that it is looked at and not only
 * read; it stops nobody.
 */
export function TickedCautions({ cautions }: { readonly cautions: readonly Caution[] }) {
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const toggle = (id: string): void =>
    setTicked((before) =>
      before.has(id) ? new Set([...before].filter((one) => one !== id)) : new Set([...before, id]),
    );
  return (
    <div className="grid gap-2">
      {cautions.map((caution) =>
        caution.must ? (
          <label key={caution.id} className="grid cursor-pointer grid-cols-[auto_1fr] items-center gap-2">
            <input
              type="checkbox"
              aria-label={tell('ticked-cautions.looked-at', { text: caution.text })}
              className="m-3.5 size-7 accent-(--ink)"
              checked={ticked.has(caution.id)}
              onChange={() => toggle(caution.id)}
            />
            <CautionNote caution={caution} />
          </label>
        ) : (
          <CautionNote key={caution.id} caution={caution} />
        ),
      )}
    </div>
  );
}
