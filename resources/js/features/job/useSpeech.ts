import { useEffect, useRef } from 'react';
import { lengthText, lengthUnit } from '../../lib/figures';
import { preferencesOf } from '../../lib/preferences';
import { useSignedIn } from '../../lib/signedIn';
import { useKept } from '../../lib/store';
import { isMove, isSetting } from './asks';
import { useBench } from './useBench';

const SETTLES_MS = 400;

export const canSpeak = (): boolean => 'speechSynthesis' in window;

const spokenLength = (mm: number): string => `${lengthText(mm)} ${lengthUnit() === 'in' ? 'inch' : 'millimetres'}`;

/** The next move, or what is asked, in words for the ear. */
function useWords(): string {
  const { state, item, adjuster, option, joined } = useBench();
  if (!joined || state.closed !== null || item === null) return '';
  if (!isSetting(item, state)) return item.label;
  // Where nothing is to be turned, what is to be done instead is said.
  if (adjuster === null || option === null || !isMove(state, adjuster, option))
    return state.next.sentence.startsWith(state.now.sentence)
      ? state.next.sentence
      : `${state.now.sentence}. ${state.next.sentence}`;
  const expected = option.expected_mm === null ? '' : `. Expect ${spokenLength(option.expected_mm)}`;
  const way = [option.direction, option.say, option.rotation, option.seen_from];
  return `${state.now.sentence}. ${adjuster.name}: ${way.filter(Boolean).join(', ')}${expected}.`;
}

/** Says aloud what comes next, where somebody switched that on: with a gauge that types, no look at the screen is needed. */
export function useSpeech(): void {
  const { speaks } = useKept(preferencesOf(useSignedIn().id));
  const words = useWords();
  const last = useRef('');
  useEffect(() => {
    if (!speaks || !canSpeak() || words === '' || words === last.current) return;
    // What is asked settles once the server has judged the last entry.
    const settled = setTimeout(() => {
      last.current = words;
      const utterance = new SpeechSynthesisUtterance(words);
      utterance.lang = 'en';
      window.speechSynthesis.cancel();
      window.speechSynthesis.speak(utterance);
    }, SETTLES_MS);
    return () => clearTimeout(settled);
  }, [speaks, words]);
  useEffect(() => () => (canSpeak() ? window.speechSynthesis.cancel() : undefined), []);
}
