import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { asId, parseOne } from '@/core/shared';
import { useDogs, useKennel } from '@/data/live';
import { type Comment, commentables, listComments, namesIn, pupilOf } from '@/data/read';
import { addComment } from '@/data/write';
import { Button, SelectField, Sheet, TextField } from '@/ui';
import { numberCustom, wordsOf, writeDay, writeInstant } from '@/words';
import { useFileWork } from '../use-file-work';
import { useReadyFile } from '../use-ready-file';
import { tell } from '../words';
import { CommentLines } from './comment-lines';
import { usePupils } from './pupils-store';
import { type SaidOfIt, SendIt } from './send-it';

/** What the coach of these dogs says and changes, and sends back. */
export function AnswerSheet() {
  const { kennel, now, today } = useKennel();
  const name = usePupils((state) => state.name);
  const pupil = useLiveQuery(() => pupilOf(kennel), [kennel]);
  const comments = useLiveQuery(() => listComments(kennel), [kennel]);
  const names = useLiveQuery(() => namesIn(kennel), [kennel]);
  const work = useFileWork();
  const { ready, hand } = useReadyFile();
  const [said, setSaid] = useState<SaidOfIt>(null);
  const make = async (): Promise<void> => {
    const made = await work.run({ kind: 'answer', by: name.trim(), kennel: kennel.name, now: now() });
    if (!made.ok) return setSaid({ words: wordsOf(made.message), wrong: true });
    const { file, records, entries, comments: own } = made.value;
    if (records + entries === 0) return setSaid({ words: tell('coach.nothing-to-send'), wrong: false });
    hand(`regulon-answer-${today}.json`, file);
    setSaid({ words: tell('coach.answer-made', { comments: own, changes: records - own }), wrong: false });
  };
  if (!pupil || !comments || !names) return null;
  const mine = comments.filter(({ changed }) => changed.by === kennel.device);
  return (
    <Sheet
      title={tell('coach.for-whom', { by: pupil.by || tell('coach.somebody'), dogs: pupil.dogs.join(', ') })}
    >
      <p className="mb-3 leading-snug">
        {tell('coach.how-to-answer', { at: writeInstant(pupil.at) })}{' '}
        {pupil.weeks === null ? '' : tell('coach.only-weeks', { weeks: pupil.weeks })}
      </p>
      <CommentForm by={name.trim()} />
      <CommentLines comments={mine} names={names} />
      <SendIt
        work={work}
        ready={ready}
        said={said}
        make={tell('coach.make-answer')}
        look="signal"
        onMake={() => void make()}
      />
    </Sheet>
  );
}

/** One comment, on the dog, an element, a session, or a second of a clip that need not be at hand. */
function CommentForm({ by }: { readonly by: string }) {
  const { kennel, done } = useKennel();
  const dogs = useDogs();
  const found = useLiveQuery(() => commentables(kennel), [kennel]);
  const [on, setOn] = useState('');
  const [seconds, setSeconds] = useState('');
  const [words, setWords] = useState('');
  const [tried, setTried] = useState(false);
  if (!dogs || !found) return null;
  const options = [
    ...dogs.map((dog) => ({ value: `dog ${dog.id} `, words: dog.name })),
    ...found.elements.map((one) => ({ value: `element ${one.dogId} ${one.id}`, words: one.title })),
    ...found.bouts.map((one) => ({
      value: `bout ${one.dogId} ${one.id}`,
      words: tell('coach.session-of', { day: writeDay(one.day), title: one.title }),
    })),
    ...found.clips.map((one) => ({
      value: `clip ${one.dogId} ${one.id}`,
      words: tell('coach.clip-named', { name: one.name }),
    })),
  ];
  const chosen = options.find(({ value }) => value === on)?.value ?? options[0]?.value ?? '';
  const [kind = '', dogId = '', id = ''] = chosen.split(' ');
  const at = kind === 'clip' ? parseOne(seconds, 'duration', 's', numberCustom()) : null;
  const missing = words.trim() === '' ? tell('coach.write-something') : undefined;
  const add = async (): Promise<void> => {
    setTried(true);
    if (missing || (at && !at.ok)) return;
    const about = aboutOf(kind, id, at?.ok ? at.value : 0);
    const added = await done(
      tell('coach.comment-kept'),
      addComment(kennel, { dogId: asId(dogId), about, words: words.trim(), by }),
    );
    if (!added.ok) return;
    setWords('');
    setTried(false);
  };
  return (
    <form
      noValidate
      className="mb-3 grid gap-3 sm:grid-cols-[18rem_1fr]"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <SelectField label={tell('coach.about')} value={chosen} options={options} onChange={setOn} />
      <TextField
        label={tell('coach.comment')}
        value={words}
        autoComplete="off"
        onChange={(event) => setWords(event.target.value)}
        problem={tried ? missing : undefined}
      />
      {kind === 'clip' && (
        <TextField
          label={tell('coach.at-seconds')}
          value={seconds}
          onChange={(event) => setSeconds(event.target.value)}
          problem={tried && at && !at.ok ? wordsOf(at.message) : undefined}
        />
      )}
      <p className="sm:col-span-2">
        <Button type="submit">{tell('coach.keep-comment')}</Button>
      </p>
    </form>
  );
}

function aboutOf(kind: string, id: string, seconds: number): Comment['about'] {
  switch (kind) {
    case 'element':
      return { kind, element: asId(id) };
    case 'bout':
      return { kind, bout: asId(id) };
    case 'clip':
      return { kind, clip: asId(id), seconds };
    default:
      return { kind: 'dog' };
  }
}
