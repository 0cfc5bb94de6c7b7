import { useLiveQuery } from 'dexie-react-hooks';
import { useKennel } from '@/data/live';
import { listComments, namesIn } from '@/data/read';
import { Sheet } from '@/ui';
import { tell } from '../words';
import { CommentLines } from './comment-lines';

/** What coaches have said, the newest first; nothing where nobody has. */
export function CommentsSheet() {
  const { kennel } = useKennel();
  const comments = useLiveQuery(() => listComments(kennel), [kennel]);
  const names = useLiveQuery(() => namesIn(kennel), [kennel]);
  if (!comments || !names || comments.length === 0) return null;
  return (
    <Sheet title={tell('coach.comments')} className="mt-6">
      <CommentLines comments={comments} names={names} />
    </Sheet>
  );
}
