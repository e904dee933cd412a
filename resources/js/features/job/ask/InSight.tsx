import { Box } from '@chakra-ui/react';
import { type ReactNode, useEffect, useRef } from 'react';
import { useBench } from '../useBench';

/** What is scrolled when this is: its column, or on a phone the page. */
const scrolled = (element: HTMLElement): HTMLElement => {
  const column = element.closest('aside');
  const isColumn = column !== null && column.scrollHeight > column.clientHeight;
  return isColumn ? column : document.documentElement;
};

/** How far its top lies below the top of what is scrolled. */
const below = (element: Element, around: HTMLElement): number =>
  element.getBoundingClientRect().top - (around === document.documentElement ? 0 : around.getBoundingClientRect().top);

/** Brings it into sight, with what is warned of above it where there is room for both. */
const bring = (element: HTMLElement): void => {
  const around = scrolled(element);
  const top = below(element, around);
  if (top < 0 || top > around.clientHeight / 2) {
    const inside = top + around.scrollTop;
    around.scrollTop = inside < around.clientHeight / 2 ? 0 : inside;
  }
};

/** Under the line, so that its edge is seen. */
const MARGIN = 8;

/** Whoever types sees the line as well, where it stands under what is asked. */
const keepLine = (element: HTMLElement): void => {
  const around = scrolled(element);
  const line = document.activeElement;
  if (line === null || line === document.body || !around.contains(line)) return;
  const hidden = below(line, around) + line.getBoundingClientRect().height + MARGIN - around.clientHeight;
  if (hidden > 0 && hidden <= below(element, around)) around.scrollTop += hidden;
};

/** Where the next thing to do stands: a tap low on the screen may ask for something that is scrolled out of sight. */
export const InSight = ({ children }: { children: ReactNode }) => {
  const { state, item, adjuster, joined } = useBench();
  const asked = [joined, state.closed !== null, state.tag !== null, item?.key, state.next.kind, adjuster?.id].join(' ');
  const place = useRef<HTMLDivElement>(null);
  const seen = useRef(asked);
  useEffect(() => {
    if (place.current === null) return;
    if (seen.current !== asked) bring(place.current);
    seen.current = asked;
  }, [asked]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each answer may have made what stands above the line taller
  useEffect(() => {
    if (place.current !== null) keepLine(place.current);
  }, [state.head, asked]);
  return <Box ref={place}>{children}</Box>;
};
