import { Link } from 'react-router';
import { openness } from '@/core/breakdown';
import { useDog, useKennelWithDog } from '@/data/live';
import { prerequisiteGraph } from '@/data/read';
import { buttonClass, PageHead, Sheet } from '@/ui';
import { NeedsPicture } from './needs-picture';

/** What has to stand before what: what is open, what is blocked, and why. */
export function PrerequisitesPage() {
  const { dog } = useKennelWithDog();
  const state = useDog();
  if (!state) return <p className="text-lg">Reading the log …</p>;
  const nodes = prerequisiteGraph(state);
  const linked = nodes.filter(
    (node) =>
      node.needs.length > 0 || nodes.some((other) => other.needs.some((need) => need.element === node.id)),
  );
  const blocked = nodes.filter((node) => !openness(node, nodes).open);
  return (
    <>
      <PageHead title="What needs what">
        {blocked.length === 0
          ? `Nothing of ${dog.name}’s is blocked: every piece can be worked on.`
          : `${nodes.length - blocked.length} of ${nodes.length} pieces can be worked on; ${blocked.length} ${blocked.length === 1 ? 'waits' : 'wait'} for others.`}
      </PageHead>
      <p className="mb-5">
        <Link className={buttonClass('plain')} to=".." relative="path">
          Back to the breakdown
        </Link>
      </p>
      {linked.length === 0 ? (
        <Sheet title="No prerequisite is set">
          <p className="leading-snug">
            A piece can wait for another: “not before the hold is at rung 4”. Set it on the piece, under Parts
            and needs. Pieces from a method bring theirs along.
          </p>
        </Sheet>
      ) : (
        <>
          <Sheet
            title="In the order in which they can stand"
            aside="an arrow leads from what is needed to what needs it"
          >
            <NeedsPicture nodes={linked} />
          </Sheet>
          {blocked.length > 0 && (
            <Sheet title="Waiting" className="mt-6">
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
