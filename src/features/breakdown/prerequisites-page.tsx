import { Link } from 'react-router';
import { openness } from '@/core/breakdown';
import { useDog, useKennelWithDog } from '@/data/live';
import { prerequisiteGraph } from '@/data/read';
import { buttonClass, PageHead, Sheet } from '@/ui';
import { NeedsPicture } from './needs-picture';
import { tell } from './words';

/** What has to stand before what: what is open, what is blocked, and why. */
export function PrerequisitesPage() {
  const { dog } = useKennelWithDog();
  const state = useDog();
  if (!state) return <p className="text-lg">{tell('prerequisites-page.reading-the-log')}</p>;
  const nodes = prerequisiteGraph(state);
  const linked = nodes.filter(
    (node) =>
      node.needs.length > 0 || nodes.some((other) => other.needs.some((need) => need.element === node.id)),
  );
  const blocked = nodes.filter((node) => !openness(node, nodes).open);
  return (
    <>
      <PageHead title={tell('prerequisites-page.what-needs-what')}>
        {blocked.length === 0
          ? tell('prerequisites-page.nothing-of-s-is-blocked-every', { name: dog.name })
          : tell('prerequisites-page.of-pieces-can-be-worked-on-waits', {
              nodesCount: nodes.length - blocked.length,
              nodesCount2: nodes.length,
              blockedCount: blocked.length,
            })}
      </PageHead>
      <p className="mb-5">
        <Link className={buttonClass('plain')} to=".." relative="path">
          {tell('prerequisites-page.back-to-the-breakdown')}
        </Link>
      </p>
      {linked.length === 0 ? (
        <Sheet title={tell('prerequisites-page.no-prerequisite-is-set')}>
          <p className="leading-snug">{tell('prerequisites-page.a-piece-can-wait-for-another-not')}</p>
        </Sheet>
      ) : (
        <>
          <Sheet
            title={tell('prerequisites-page.in-the-order-in-which-they-can')}
            aside={tell('prerequisites-page.an-arrow-leads-from-what-is-needed')}
          >
            <NeedsPicture nodes={linked} />
          </Sheet>
          {blocked.length > 0 && (
            <Sheet title={tell('prerequisites-page.waiting')} className="mt-6">
              <ul className="divide-y divide-hair">
                {blocked.map((node) => (
                  <li key={node.id} className="py-2.5">
                    <Link
                      className="text-lg font-semibold underline decoration-rule underline-offset-4"
                      to={`../${node.id}/about`}
                      relative="path"
                    >
                      {node.title}
                    </Link>
                    <p className="leading-snug">{openness(node, nodes).waits.join('; ')}.</p>
                  </li>
                ))}
              </ul>
            </Sheet>
          )}
        </>
      )}
    </>
  );
}
