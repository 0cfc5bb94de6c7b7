import { useKennel } from '@/data/live';
import { isPupil } from '@/data/read';
import { PageHead } from '@/ui';
import { tell } from '../words';
import { AnswerSheet } from './answer-sheet';
import { CommentsSheet } from './comments-sheet';
import { PacketSheet } from './packet-sheet';
import { PictureSheet } from './picture-sheet';
import { PupilsSheet } from './pupils-sheet';

/** Between an owner and a coach: what goes out, what comes back, and whose dogs are here. */
export function CoachPage() {
  const { kennel } = useKennel();
  return isPupil(kennel.name) ? (
    <>
      <PageHead title={tell('coach.looking-on')}>{tell('coach.looking-on-what')}</PageHead>
      <AnswerSheet />
      <PictureSheet />
    </>
  ) : (
    <>
      <PageHead title={tell('coach.title')}>{tell('coach.what')}</PageHead>
      <PacketSheet />
      <CommentsSheet />
      <PictureSheet />
      <PupilsSheet />
    </>
  );
}
