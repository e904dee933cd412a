import { Box } from '@chakra-ui/react';
import { type ReactNode, useEffect, useRef } from 'react';
import { useBench } from '../useBench';

/** What is scrolled when this is: its column, or on a phone the page. */
const scrolled = (element: HTMLElement): HTMLElement => {
  const column = element.closest('aside');
  const isColumn = column !== null && column.scrollHeight > column.clientHeight;
  return isColumn ? column : document.documentElement;
};

/** Brings it into sight, with what is warned of above it where there is room for both. */
const bring = (element: HTMLElement): void => {
  const around = scrolled(element);
  const isPage = around === document.documentElement;
  const top = element.getBoundingClientRect().top - (isPage ? 0 : around.getBoundingClientRect().top);
  if (top >= 0 && top < around.clientHeight / 2) return;
  const inside = top + around.scrollTop;
  around.scrollTop = inside < around.clientHeight / 2 ? 0 : inside;
};

/** Where the next thing to do stands: a tap low on the screen may ask for something that is scrolled out of sight. */
export const InSight = ({ children }: { children: ReactNode }) => {
  const { state, item, adjuster, joined } = useBench();
  const asked = [joined, state.closed !== null, state.tag !== null, item?.key, state.next.kind, adjuster?.id].join(' ');
  const place = useRef<HTMLDivElement>(null);
  const seen = useRef(asked);
  useEffect(() => {
    if (seen.current === asked) return;
    seen.current = asked;
    if (place.current !== null) bring(place.current);
  }, [asked]);
  return <Box ref={place}>{children}</Box>;
};
