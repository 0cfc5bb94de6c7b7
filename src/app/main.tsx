import './styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { Toaster } from 'sonner';
import { keepForOffline } from './offline';
import { router } from './routes';
import { firstTheme, showTheme, useTheme } from './theme';

showTheme(firstTheme());
if (import.meta.env.PROD) keepForOffline();

function Regulon() {
  const theme = useTheme((state) => state.theme);
  return (
    <>
      <RouterProvider router={router} />
      <Toaster
        theme={theme === 'dusk' ? 'dark' : 'light'}
        position="top-center"
        toastOptions={{ className: 'regulon-toast' }}
      />
    </>
  );
}

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <Regulon />
  </StrictMode>,
);
