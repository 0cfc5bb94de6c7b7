import { NavLink } from 'react-router';
import { useKennelWithDog } from '@/data/live';
import { tell } from './words';

/** The pages that look back. */
export function ReviewTabs() {
  const { kennel } = useKennelWithDog();
  const pages = [
    ['review', tell('review-tabs.diary')],
    ['review/handler', tell('review-tabs.handler')],
    ['review/months', tell('review-tabs.months')],
    ['clips', tell('review-tabs.clips')],
    ['season', tell('review-tabs.season')],
  ] as const;
  return (
    <nav aria-label={tell('review-tabs.looking-back')} className="mb-4 flex flex-wrap gap-x-4 print:hidden">
      {pages.map(([to, title]) => (
        <NavLink
          key={to}
          end
          to={`/${kennel.name}/${to}`}
          className={({ isActive }) =>
            `min-h-11 content-center text-lg ${isActive ? 'border-b-4 border-signal font-bold' : 'underline decoration-rule underline-offset-4'}`
          }
        >
          {title}
        </NavLink>
      ))}
    </nav>
  );
}
