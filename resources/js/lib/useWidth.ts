import { useLayoutEffect, useRef, useState } from 'react';

/** Width of an element in CSS pixels, so that drawings keep their text at a readable size. */
export function useWidth<E extends HTMLElement>(start: number) {
  const element = useRef<E>(null);
  const [width, setWidth] = useState(start);
  useLayoutEffect(() => {
    const target = element.current;
    if (target === null) return;
    const measure = () => setWidth(Math.max(120, target.clientWidth));
    // Before the first picture: the observer speaks after it, and a phone would show one that is too wide.
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(target);
    return () => watch.disconnect();
  }, []);
  return [element, width] as const;
}
