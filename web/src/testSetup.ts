import { cleanup } from '@testing-library/react';
import { afterEach, vi } from 'vitest';
import { standOn } from './words/days';

// All files share one page, so each test leaves it as it found it.
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
  localStorage.clear();
  standOn(undefined);
});

// jsdom lays nothing out, so there is nothing to observe.
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};

// There is no layout that could be scrolled either. Newer browsers answer with a promise, which no effect may hand on.
Element.prototype.scrollIntoView = (() => Promise.resolve()) as unknown as () => void;
