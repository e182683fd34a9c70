import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { queryClient } from './api/queries';
import { App } from './App';
import { browserShelf, keepQueries, restore } from './bench/keptQueries';
import { layOutForPaper } from './look/paper';
import './look/theme.css';
import { locale } from './words/speech';

document.documentElement.lang = locale();
layOutForPaper();

const shelf = browserShelf();

void restore(queryClient, shelf, Date.now()).then(() => {
  keepQueries(queryClient, shelf);
  createRoot(document.getElementById('root')!).render(
    <StrictMode>
      <QueryClientProvider client={queryClient}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </QueryClientProvider>
    </StrictMode>,
  );
});

// The application lies on the device from the first visit on, so that it starts where there is no signal.
if (import.meta.env.PROD && 'serviceWorker' in navigator) {
  window.addEventListener('load', () => void navigator.serviceWorker.register('/service-worker.js').catch(() => undefined));
}

// After a new version came a page of the old one may ask for a part that is gone: it is loaded anew, once.
window.addEventListener('vite:preloadError', () => {
  if (!navigator.onLine || sessionStorage.getItem('kiver.renewed') === 'yes') return;
  sessionStorage.setItem('kiver.renewed', 'yes');
  window.location.reload();
});
