import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { backToPage } from '../look/announce';

const NAME = 'Kiver';

/**
 * Names the window by the page's own heading, and takes the keyboard to a page one has come to, as a browser does that
 * loads one; whoever is in a sheet or an entry stays there.
 */
export function useArrival(): void {
  const { pathname } = useLocation();
  const shown = useRef(pathname);
  useEffect(() => {
    if (shown.current === pathname) return;
    shown.current = pathname;
    const at = document.activeElement;
    if (!at || at === document.body || at.closest('nav, header')) backToPage();
  }, [pathname]);
  useEffect(() => {
    const page = document.getElementById('content');
    if (!page) return;
    const name = () => {
      const heading = page.querySelector('h1')?.textContent.trim();
      document.title = heading ? `${heading} – ${NAME}` : NAME;
    };
    name();
    const watching = new MutationObserver(name);
    watching.observe(page, { childList: true, subtree: true, characterData: true });
    return () => {
      watching.disconnect();
    };
  }, []);
}
