import { Heading } from '@chakra-ui/react';
import { type ComponentProps, useEffect, useLayoutEffect, useRef } from 'react';

type Props = ComponentProps<typeof Heading> & {
  /** The machine that the screen is about, where the heading does not name it. */
  tag?: string;
};

/** The heading of a screen. The window, its place in the browser's history and what is printed are called after it. */
export const Title = ({ tag, ...rest }: Props) => {
  const heading = useRef<HTMLHeadingElement>(null);
  useLayoutEffect(() => {
    document.title = [[tag, heading.current?.textContent].filter(Boolean).join(' '), 'Vivid Pull'].join(' · ');
  });
  // The link that led here went with its screen. Who hears the page, or goes by keys, goes on from its heading.
  useEffect(() => {
    if (cameByLink() && document.activeElement === document.body) heading.current?.focus({ preventScroll: true });
  }, []);
  return <Heading ref={heading} as="h1" fontSize="2xl" tabIndex={-1} outline="none" {...rest} />;
};

/** The router counts the screens that were gone to since the page was loaded. */
const cameByLink = () => Number(window.history.state?.idx ?? 0) > 0;
