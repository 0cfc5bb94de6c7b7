import type { Quotas } from '@/core/review';
import { useKennelWithDog } from '@/data/live';
import { saySeason } from '@/data/write';
import { Button, NumberField, Sheet } from '@/ui';
import { tell } from './words';

/** What somebody means to keep to with this dog: nobody else's numbers. */
export function QuotaSheet({ season }: { readonly season: Quotas & { readonly first: boolean } }) {
  const { kennel, dog, done } = useKennelWithDog();
  const keep = (change: Parameters<typeof saySeason>[2]): void =>
    void done(tell('season.quota-kept'), saySeason(kennel, dog.id, change));
  return (
    <Sheet title={tell('season.keep-to')}>
      <Button
        aria-pressed={season.first}
        look={season.first ? 'ink' : 'plain'}
        onClick={() => keep({ first: !season.first })}
      >
        {tell('season.first')}
      </Button>
      <p className="my-2 leading-snug">
        {season.first ? tell('season.first-means') : tell('season.later-means')}
      </p>
      <div className="grid gap-3">
        <NumberField
          label={tell('season.birds')}
          value={season.birds}
          least={1}
          most={200}
          open
          onTake={(birds) => keep({ birds })}
        />
        <NumberField
          label={tell('season.companions')}
          value={season.companions}
          least={1}
          most={200}
          open
          onTake={(companions) => keep({ companions })}
        />
        <NumberField
          label={tell('season.days-a-week')}
          value={season.days}
          least={1}
          most={7}
          open
          onTake={(days) => keep({ days })}
        />
      </div>
    </Sheet>
  );
}
