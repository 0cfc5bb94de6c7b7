import './styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { fetchAhead } from './fetch-ahead';
import { keepForOffline } from './offline';
import { router } from './routes';
import { firstTheme, showTheme } from './theme';

showTheme(firstTheme());
if (import.meta.env.PROD) {
  keepForOffline();
  addEventListener('load', fetchAhead, { once: true });
}

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <RouterProvider router={router} />
  </StrictMode>,
);
