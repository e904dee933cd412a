import { useSignedIn } from '../../../lib/signedIn';
import { useBench } from '../useBench';
import { AskAnswers } from './AskAnswers';
import { AskReading } from './AskReading';
import { AskThread } from './AskThread';
import { NextMove } from './NextMove';
import { ClosedCard, JoinCard, LookOnlyCard, TaggedCard } from './OtherCards';
import { SignOff } from './SignOff';

/** The one thing to do now. */
export const NowCard = () => {
  const { state, joined, item } = useBench();
  const person = useSignedIn();
  if (state.closed !== null) return <ClosedCard />;
  if (!person.may_log) return <LookOnlyCard />;
  if (!joined) return <JoinCard />;
  const hungHere = state.tag !== null && state.log.some((row) => row.kind === 'tag');
  if (hungHere) return <TaggedCard />;
  if (item === null) return <SignOff />;
  const ask = {
    answer: <AskAnswers key={item.key} item={item} />,
    thread: <AskThread item={item} />,
    reading: <AskReading item={item} />,
    in_band: <NextMove />,
    sign_off: <SignOff />,
  } as const satisfies Record<typeof item.kind, React.ReactNode>;
  return ask[item.kind];
};
