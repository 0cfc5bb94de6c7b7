import { useState } from 'react';
import { debriefSession, type Session, useKennel } from '@/data/repositories';
import { TextField } from '@/ui';

/** Two lines after a session, kept when they are left: what happened, and what next. They stand on the card before the next one. */
export function Debrief({ session }: { readonly session: Session }) {
  const { kennel } = useKennel();
  const [lines, setLines] = useState(session.debrief ?? { what: '', next: '' });
  const save = (): void => {
    const clean = { what: lines.what.trim(), next: lines.next.trim() };
    const same = clean.what === (session.debrief?.what ?? '') && clean.next === (session.debrief?.next ?? '');
    if (!same) void debriefSession(kennel, session.id, clean.what === '' && clean.next === '' ? null : clean);
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
      <legend className="sr-only">After the session of {session.day}</legend>
      {line('what', `What happened (${session.day})`)}
      {line('next', 'What next')}
    </fieldset>
  );
}
