import { useState } from 'react';
import { buildLadder, placeOn } from '@/core/breakdown';
import { type FaultRef, faultText, sameFault } from '@/core/rulebooks';
import { namedFaults } from '@/data/read';
import { SelectField, TextField } from '@/ui';
import { wordsOf } from '@/words';
import type { Opened } from './element-room';
import { useElementChange } from './use-element-change';
import { tell } from './words';

/**
 * Every fault that can be named here, and the rung from which it spoils a rep; before that it is
 * only noted.
 */
export function FaultFields({ element, state }: Opened) {
  const change = useElementChange(element);
  const faults = namedFaults(element, state.work).filter((fault) => fault.by === 'dog' && !fault.miss);
  const ladder = buildLadder(element);
  const top = ladder.rungs.length;
  const [label, setLabel] = useState('');
  const fromOf = (fault: FaultRef): number => {
    const set = element.countsFrom.find((one) => sameFault(one.fault, fault));
    return set ? placeOn(ladder, set.from).rung : 0;
  };
  const set = (fault: FaultRef, rung: number): void => {
    const others = element.countsFrom.filter((one) => !sameFault(one.fault, fault));
    const from = ladder.rungs[rung]?.criteria ?? {};
    change(
      { countsFrom: rung === 0 ? others : [...others, { fault, from }] },
      rung === 0
        ? tell('fault-fields.it-counts-from-the-start')
        : tell('fault-fields.it-counts-from-rung-on-before-that', { rung: rung + 1 }),
    );
  };
  const add = (): void => {
    const clean = label.trim();
    if (clean === '') return;
    change(
      {
        faults: [
          ...element.faults,
          {
            key: `own-${element.faults.length + 1}-${clean.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`.replace(
              /-$/,
              '',
            ),
            label: clean,
            by: 'dog',
            miss: false,
          },
        ],
      },
      tell('fault-fields.fault-added'),
    );
    setLabel('');
  };
  return (
    <>
      <p className="mb-3 max-w-4xl leading-snug">{tell('fault-fields.let-small-things-pass-early-and')}</p>
      <ul className="grid gap-x-8 md:grid-cols-2">
        {faults.map((fault) => (
          <li
            key={faultText(fault.ref)}
            className="flex flex-wrap items-center justify-between gap-2 border-b border-hair py-1.5"
          >
            <span>{wordsOf(fault.label)}</span>
            <SelectField
              label={tell('fault-fields.counts-from', { label: fault.label })}
              shown={tell('fault-fields.counts-from-2')}
              beside
              className="text-sm"
              look="min-h-11 bg-paper px-1 text-base"
              value={String(fromOf(fault.ref))}
              options={Array.from({ length: top }, (_, i) => ({
                value: String(i),
                words: tell('fault-fields.rung', { i: i + 1 }),
              }))}
              onChange={(rung) => set(fault.ref, Number(rung))}
            />
          </li>
        ))}
      </ul>
      <div className="mt-3 max-w-md">
        <TextField
          label={tell('fault-fields.a-further-fault-to-watch-for-enter')}
          value={label}
          onChange={(event) => setLabel(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && add()}
        />
      </div>
    </>
  );
}
