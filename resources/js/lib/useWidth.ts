import { useLayoutEffect, useRef, useState } from 'react';

/** Width of an element in CSS pixels, so that drawings keep their text at a readable size. */
export function useWidth<E extends HTMLElement>(start: number) {
  const element = useRef<E>(null);
  const [width, setWidth] = useState(start);
  useLayoutEffect(() => {
    const target = element.current;
    if (target === null) return;
    const watch = new ResizeObserver(() => setWidth(Math.max(120, target.clientWidth)));
    watch.observe(target);
    return () => watch.disconnect();
  }, []);
  return [element, width] as const;
}
