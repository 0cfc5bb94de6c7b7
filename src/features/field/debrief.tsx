import { useState } from 'react';
import { useKennel } from '@/data/live';
import type { DatedBout } from '@/data/read';
import { debriefBout } from '@/data/write';
import { TextField } from '@/ui';
import { writeDay } from '@/words';
import { tell } from './later-words';

/**
 * Two lines after a session, kept when they are left: what happened, and what next. They stand on
 * the card before the next one.
 */
export function Debrief({ bout }: { readonly bout: DatedBout }) {
  const { kennel, done } = useKennel();
  const [lines, setLines] = useState(bout.debrief ?? { what: '', next: '' });
  const save = (): void => {
    const clean = { what: lines.what.trim(), next: lines.next.trim() };
    const same = clean.what === (bout.debrief?.what ?? '') && clean.next === (bout.debrief?.next ?? '');
    if (!same)
      void done(null, debriefBout(kennel, bout.id, clean.what === '' && clean.next === '' ? null : clean));
  };
  const line = (key: 'what' | 'next', label: string) => (
    <TextField
      label={label}
      value={lines[key]}
      maxLength={200}
      onChange={(event) => setLines({ ...lines, [key]: event.target.value })}
      onBlur={save}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
  return (
    <fieldset className="grid gap-3 border-l-[6px] border-rule pl-3">
      <legend className="sr-only">
        {tell('debrief.after-the-session-of', { writeDay: writeDay(bout.day) })}
      </legend>
      {line('what', tell('debrief.what-happened', { writeDay: writeDay(bout.day) }))}
      {line('next', tell('debrief.what-next'))}
    </fieldset>
  );
}
