import { Link } from 'react-router';
import { useKennel } from '@/data/live';
import type { Comment } from '@/data/read';
import { removeComment } from '@/data/write';
import { Button } from '@/ui';
import { writeInstant } from '@/words';
import type { Names } from '../apart-view';
import { tell } from '../words';

type Props = {
  readonly comments: readonly Comment[];
  readonly names: Names;
};

/** Comments with what they are about, as links to it. */
export function CommentLines({ comments, names }: Props) {
  const { kennel, done } = useKennel();
  return (
    <ul>
      {comments.map((comment) => (
        <li key={comment.id} className="border-t border-hair py-2 leading-snug">
          <p className="text-ink-soft text-sm">
            {tell('coach.who-when', {
              by: comment.by || tell('coach.somebody'),
              at: writeInstant(comment.at),
            })}
            {' · '}
            <Link className="underline underline-offset-4" to={`/${kennel.name}/${addressOf(comment)}`}>
              {aboutWords(comment, names)}
            </Link>
          </p>
          <p className="flex flex-wrap items-center justify-between gap-3">
            <span>{comment.words}</span>
            <Button
              look="quiet"
              onClick={() => void done(tell('coach.comment-removed'), removeComment(kennel, comment.id))}
            >
              {tell('coach.remove')}
            </Button>
          </p>
        </li>
      ))}
    </ul>
  );
}

function addressOf({ about }: Comment): string {
  switch (about.kind) {
    case 'dog':
      return 'today';
    case 'element':
      return `breakdown/${about.element}`;
    case 'bout':
      return 'review';
    case 'clip':
      return `clips/${about.clip}`;
  }
}

function aboutWords({ about, dogId }: Comment, names: Names): string {
  const dog = names.get(dogId) ?? '';
  switch (about.kind) {
    case 'dog':
      return dog;
    case 'element':
      return tell('coach.of-dog', { what: names.get(about.element) ?? '', dog });
    case 'bout':
      return tell('coach.of-dog', { what: names.get(about.bout) ?? tell('coach.a-session'), dog });
    case 'clip':
      return tell('coach.of-clip', {
        clip: names.get(about.clip) ?? tell('coach.a-clip'),
        seconds: about.seconds,
      });
  }
}
