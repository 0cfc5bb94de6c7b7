import { Button, PageHead } from '@/ui';
import { tellerOf } from '@/words';
import en from '@/words/en/shut.json';

const tell = tellerOf(en);

/** This tab has let go of the storage, and nothing can be written from it any more. */
export function Shut({ why }: { readonly why: 'newer' | 'gone' }) {
  return (
    <main className="mx-auto max-w-2xl p-6">
      {why === 'newer' ? (
        <PageHead title={tell('shut.load-this-page-again')}>
          {tell('shut.another-tab-runs-a-newer-regulon')}
        </PageHead>
      ) : (
        <PageHead title={tell('shut.the-storage-was-deleted')}>{tell('shut.what-was-deleted')}</PageHead>
      )}
      <Button look="ink" size="big" onClick={() => location.reload()}>
        {tell('shut.load-again')}
      </Button>
    </main>
  );
}
