import { Link, useLocation, useParams } from 'react-router';
import { buttonClass, Dialog } from '@/ui';
import { GuideText } from './guide-text';
import { pageFor } from './pages';
import { tell } from './words';

/** What the guide says of the page that is open, over it: whoever works goes on where they were. */
export function HelpDialog({ onClose }: { readonly onClose: () => void }) {
  const { kennel } = useParams();
  const { pathname } = useLocation();
  const page = pageFor(pathname);
  return (
    <Dialog open onClose={onClose} title={page.title}>
      <GuideText page={page} onGo={onClose} />
      <p className="mt-4 flex flex-wrap gap-3">
        <Link className={buttonClass()} to={`/${kennel}/guide/${page.id}`} onClick={onClose}>
          {tell('guide.all-and-search')}
        </Link>
        <Link className={buttonClass('quiet')} to={`/${kennel}/settings`} onClick={onClose}>
          {tell('guide.to-settings')}
        </Link>
      </p>
    </Dialog>
  );
}
