import { Link, useParams } from 'react-router';
import {
  BASICS,
  type Method,
  type MethodAxis,
  type MethodElement,
  methodsIn,
  SCHOOLS,
  stepText,
  writeValue,
} from '@/core/breakdown';
import { RULE_WORDS, type RuleKind } from '@/core/coaching';
import { cautionsFor } from '@/core/planning';
import { useKennelWithDog } from '@/data/live';
import { buttonClass, CautionNote, PageHead, Sheet } from '@/ui';
import { regionNow, withOwnPoint, wordsOf } from '@/words';
import { tell } from './words';

/** The methods in this person's words. */
const METHODS_HERE = methodsIn(regionNow());

/**
 * How to teach a practice: its elements in order, what is measured, what goes wrong, where schools
 * differ.
 */
export function MethodPage() {
  const { method: id } = useParams();
  const { kennel, dog, today } = useKennelWithDog();
  const method = METHODS_HERE.find((candidate) => candidate.id === id);
  if (!method)
    return (
      <>
        <PageHead title={tell('method-page.there-is-no-such-method')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/breakdown/methods`}>
          {tell('method-page.all-methods')}
        </Link>
      </>
    );
  const work = [...new Set(method.elements.flatMap((element) => element.work))];
  const axes = method.elements.flatMap((element) => element.axes.map(({ axis }) => axis));
  const cautions = cautionsFor({
    dog,
    today,
    work,
    axes,
    jumpsToday: null,
    lastStrengthDay: null,
    surface: null,
    temperature: null,
  });
  return (
    <>
      <PageHead title={method.title}>{method.teaches}</PageHead>
      <p className="mb-5 flex flex-wrap gap-3">
        <Link className={buttonClass('signal')} to={`../../new?from=method:${method.id}`} relative="path">
          {tell('method-page.break-it-down-for', { name: dog.name })}
        </Link>
        <Link className={buttonClass('plain')} to={`/${kennel.name}/start?dog=${dog.id}&method=${method.id}`}>
          {tell('method-page.begin-with-the-first-piece')}
        </Link>
        <Link className={buttonClass('plain')} to=".." relative="path">
          {tell('method-page.all-methods')}
        </Link>
      </p>
      <div className="grid items-start gap-6 lg:grid-cols-[3fr_2fr]">
        <div className="grid gap-6">
          <Sheet title={tell('method-page.the-pieces-in-order')}>
            <ol className="grid gap-5">
              {method.elements.map((element, i) => (
                <Piece key={element.key} element={element} place={i + 1} method={method} />
              ))}
            </ol>
          </Sheet>
          <Schools method={method} />
        </div>
        <div className="grid content-start gap-6">
          <Sheet title={tell('method-page.keep-in-mind')}>
            <ul className="grid gap-2">
              {method.advice.map((line) => (
                <li key={line} className="leading-snug">
                  {line}
                </li>
              ))}
            </ul>
            {method.kit.length > 0 && (
              <p className="mt-3 leading-snug">
                <span className="font-semibold">{tell('method-page.bring')} </span>
                {method.kit.join(', ')}
              </p>
            )}
          </Sheet>
          <Sheet title={tell('method-page.when-it-goes-wrong')}>
            <dl className="grid gap-2">
              {method.trouble.map((one) => (
                <div key={one.seen}>
                  <dt className="font-semibold leading-snug">{one.seen}</dt>
                  <dd className="leading-snug">{one.remedy}</dd>
                </div>
              ))}
            </dl>
          </Sheet>
          <Sheet title={tell('method-page.be-careful')} aside={tell('method-page.general-cautions')}>
            <div className="grid gap-2">
              {cautions.map((caution) => (
                <CautionNote key={caution.id} caution={caution} />
              ))}
            </div>
          </Sheet>
        </div>
      </div>
    </>
  );
}

function Piece({
  element,
  place,
  method,
}: {
  readonly element: MethodElement;
  readonly place: number;
  readonly method: Method;
}) {
  const needs = element.needs.map((need) => {
    const title =
      method.elements.find((one) => one.key === need.element)?.title.toLowerCase() ?? need.element;
    return need.share >= 1
      ? tell('method-page.is-finished', { title })
      : tell('method-page.is-of-the-way', { title, round: Math.round(need.share * 100) });
  });
  const before = method.before
    .filter((one) => one.for.includes(element.key))
    .flatMap((one) => BASICS.elements.find((basic) => basic.skill === one.skill)?.title ?? []);
  const dogs = element.faults.filter((fault) => fault.by === 'dog').map((fault) => fault.label.toLowerCase());
  const yours = element.faults
    .filter((fault) => fault.by === 'handler')
    .map((fault) => fault.label.toLowerCase());
  return (
    <li>
      <h3 className="text-lg font-bold leading-snug">
        <span className="text-ink-soft">{place}. </span>
        {element.title}
      </h3>
      <p className="leading-snug">{element.teaches}</p>
      {needs.length > 0 && (
        <p className="mt-1 text-sm leading-snug">
          {tell('method-page.not-before', { needs: needs.join(' and ') })}
        </p>
      )}
      {before.length > 0 && (
        <p className="mt-1 text-sm leading-snug">
          {tell('method-page.builds-on', { before: before.join(', ') })}
        </p>
      )}
      <ul className="mt-2 grid gap-1">
        {element.axes.map((axis) => (
          <li key={axis.axis.key} className="border-l-[6px] border-rule bg-paper px-3 py-1.5 leading-snug">
            <span className="font-semibold">{axis.axis.title}: </span>
            {axisWords(axis)}
          </li>
        ))}
      </ul>
      {element.legs.length > 0 && (
        <p className="mt-1 text-sm leading-snug">
          {tell('method-page.one-run-by-the-clock-with-legs', { legs: element.legs.join(', ') })}
        </p>
      )}
      <p className="mt-1 text-sm leading-snug text-ink-soft">
        {tell('method-page.rule', {
          dogsCount: dogs.length > 0 ? tell('method-page.watch-for', { dogs: dogs.join(', ') }) : '',
          yoursCount:
            yours.length > 0 ? tell('method-page.yours-not-the-dogs', { yours: yours.join(', ') }) : '',
          title: wordsOf(RULE_WORDS[(element.policy?.kind ?? 'run') as RuleKind].title).toLowerCase(),
        })}
      </p>
    </li>
  );
}

/** What the axis asks, and what the person is asked for. */
function axisWords({ axis, start, demand, step, stepFrom }: MethodAxis): string {
  if (axis.levels !== null) {
    const names = axis.levels
      .map((level) => (level.anchor === '' ? level.name : `${level.name} (${level.anchor})`))
      .join(' → ');
    return axis.role === 'help' ? tell('method-page.help-that-fades', { names }) : names;
  }
  const direction =
    axis.harder === 'less'
      ? tell('method-page.less-is-harder')
      : axis.harder === 'both'
        ? tell('method-page.harder-to-both-sides')
        : tell('method-page.more-is-harder');
  const value = (base: number | null, open: string): string =>
    base === null ? open : wordsOf(writeValue(axis, base));
  const steps =
    step === null
      ? tell('method-page.you-say-the-step')
      : tell('method-page.steps-of-our-own-figure-the', {
          stepText: withOwnPoint(stepText(axis, step)),
          stepFrom: stepFrom === 'program',
        });
  return `${value(start, tell('method-page.your-start'))} → ${value(demand, tell('method-page.your-goal'))}, ${steps}; ${direction}.`;
}

function Schools({ method }: { readonly method: Method }) {
  if (method.schools.length === 0) return null;
  return (
    <Sheet title={tell('method-page.where-schools-differ')} aside={tell('method-page.both-are-supported')}>
      <div className="grid gap-4">
        {method.schools.map((key) => (
          <div key={key}>
            <h3 className="font-semibold leading-snug">{wordsOf(SCHOOLS[key].question)}</h3>
            <ul className="mt-1 grid gap-1">
              {SCHOOLS[key].sides.map((side) => (
                <li key={wordsOf(side.title)} className="leading-snug">
                  <span className="font-semibold">{wordsOf(side.title)}.</span> {wordsOf(side.gains)}{' '}
                  <span className="text-ink-soft">{tell('method-page.but', { risks: side.risks })}</span>
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
    </Sheet>
  );
}
