import { useCallback, useState, type RefCallback } from 'react';

/**
 * The width of an element in px, so that what is drawn in it keeps words and strokes their size on every screen. It is
 * measured before the element is first painted, and again whenever it changes.
 *
 * @param usual where nothing can be measured
 */
export function useWidth<Shown extends Element>(usual: number): [RefCallback<Shown>, number] {
  const [width, setWidth] = useState(usual);
  const shown = useCallback((element: Shown) => {
    const take = (measured: number) => {
      if (measured > 0) setWidth(Math.round(measured));
    };
    const { paddingLeft, paddingRight } = getComputedStyle(element);
    take(element.clientWidth - (Number.parseFloat(paddingLeft) || 0) - (Number.parseFloat(paddingRight) || 0));
    if (!('ResizeObserver' in window)) return;
    const watching = new ResizeObserver(([entry]) => {
      if (entry) take(entry.contentRect.width);
    });
    watching.observe(element);
    return () => {
      watching.disconnect();
    };
  }, []);
  return [shown, width];
}
