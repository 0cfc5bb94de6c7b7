import { axisInWords, joinDemands, raisedBy } from '@/core/breakdown';
import type { RulePart } from '@/core/rulebooks';
import type { ElementRecord } from '@/data/read';
import { tell } from './words';

/** What an element that the dog has makes of what is asked: goals that go on, and what it does not measure. */
export function Joined({
  demands,
  element,
}: {
  readonly demands: RulePart['demands'];
  readonly element: ElementRecord;
}) {
  const raised = raisedBy(demands, element.axes);
  const { unmeasured } = joinDemands(demands, element.axes);
  return (
    <>
      {raised.map(({ axis, from, to }) => (
        <span key={axis.key} className="block font-semibold">
          {tell('class-link.goes-on', { from: axisInWords(axis, from), to: axisInWords(axis, to) })}
        </span>
      ))}
      {unmeasured.length > 0 && (
        <span className="block font-semibold">
          {tell('class-link.unmeasured', {
            titles: unmeasured.map((one) => one.title.toLowerCase()).join(', '),
            element: element.title,
          })}
        </span>
      )}
    </>
  );
}
