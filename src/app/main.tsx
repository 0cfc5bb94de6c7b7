import './styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { takeLocale } from '@/words';
import { fetchAhead } from './fetch-ahead';
import { keepForOffline } from './offline';
import { router } from './routes';
import { followDevice, showLook } from './theme';

showLook();
followDevice();
if (import.meta.env.PROD) {
  keepForOffline();
  addEventListener('load', fetchAhead, { once: true });
}

// The page waits for the words of its days: a moment where they are not English.
await takeLocale(navigator.languages);

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <RouterProvider router={router} />
  </StrictMode>,
);
