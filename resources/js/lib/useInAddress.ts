import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';

/**
 * What a list is asked for stands in its address: who goes back finds the list as it was left, and it can be sent to
 * somebody. What is as usual is not written.
 */
export function useInAddress<Asked extends Record<string, string>>(usual: Asked): [Asked, (asked: Asked) => void] {
  const [found, setFound] = useSearchParams();
  const [asked, setAsked] = useState(() => read(usual, found));
  const written = useRef(found.toString());
  // Somebody followed a link to the same list.
  useEffect(() => {
    if (found.toString() === written.current) return;
    written.current = found.toString();
    setAsked(read(usual, found));
  }, [found, usual]);
  const ask = (next: Asked) => {
    const params = new URLSearchParams(Object.entries(next).filter(([key, value]) => value !== usual[key]));
    written.current = params.toString();
    setAsked(next);
    setFound(params, { replace: true, preventScrollReset: true });
  };
  return [asked, ask];
}

function read<Asked extends Record<string, string>>(usual: Asked, found: URLSearchParams): Asked {
  return { ...usual, ...Object.fromEntries([...found].filter(([key]) => Object.hasOwn(usual, key))) };
}
