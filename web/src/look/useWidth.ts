import { type RefObject, useEffect, useRef, useState } from 'react';

/**
 * The width of an element in px, so that what is drawn in it keeps words and strokes their size on every screen.
 *
 * @param usual where nothing can be measured
 */
export function useWidth<Shown extends Element>(usual: number): [RefObject<Shown | null>, number] {
  const shown = useRef<Shown>(null);
  const [width, setWidth] = useState(usual);
  useEffect(() => {
    const element = shown.current;
    if (!element || !('ResizeObserver' in window)) return;
    const watching = new ResizeObserver(([entry]) => {
      if (entry && entry.contentRect.width > 0) setWidth(Math.round(entry.contentRect.width));
    });
    watching.observe(element);
    return () => {
      watching.disconnect();
    };
  }, []);
  return [shown, width];
}
