import { Box, Flex } from '@chakra-ui/react';
import { Fragment, type ReactNode, useId, useRef, useState } from 'react';
import type { BenchState } from '../../../api/jobs';
import { Button, Field, FieldLabel } from '../../../components/Buttons';
import { capital } from '../../../lib/capital';
import { useArmed } from '../useArmed';
import { useBench } from '../useBench';
import { FitPart } from './FitPart';
import { ReplaceCable } from './ReplaceCable';

/** The one that says nothing of itself: what was done is written out. */
const unnamed = 'other';

const CABLE = 'cable';

const SECOND_TAP_MS = 700;

type Suspect = BenchState['beside']['suspects'][number];

type Props = {
  tall?: boolean;
  /** What the bench looks for: it stands first, and vivid. */
  first?: string;
  /** What may be at fault, the likeliest first: each with its cure under it. */
  suspects?: readonly Suspect[];
  /** That nothing was found, next to what is looked for. */
  none?: ReactNode;
};

/** What it is logged as: the part that is replaced, or its cure; what has no name of its own is told in words. */
const keyOf = ({ cure, part }: Suspect): string => (part === null ? (cure ?? unnamed) : `part:${part}`);

/** A cable is replaced by its steps; of another part it is logged that a new one went on. */
const Replaced = ({ part }: { part: string | null }) => {
  if (part === null) return null;
  return part === CABLE ? <ReplaceCable look="plain" /> : <FitPart part={part} />;
};

/** What is looked for, as a sentence over the button of its cure. */
const Looked = ({ suspects }: { suspects: readonly Suspect[] }) =>
  suspects.length === 0 ? null : (
    <Box fontWeight="bold" lineHeight="snug" marginTop="2" data-suspect>
      {capital(suspects.map((one) => one.what).join(', or '))}
    </Box>
  );

/** What is put right by hand: one tap is the entry. What has no button is told in words first. */
export const Cures = ({ tall = false, first, suspects = [], none }: Props) => {
  const { state, send } = useBench();
  const [telling, setTelling] = useState(false);
  const [more, setMore] = useState(false);
  const [words, setWords] = useState('');
  const field = useId();
  // The same tap must not be logged twice, without a server either, nor fall on what was drawn anew under the finger.
  const armed = useArmed(state.head);
  const last = useRef(0);
  const { cures } = state.beside;
  const looked = [...new Set(suspects.map(keyOf))];
  const rest = cures.filter((one) => !looked.includes(one.key));
  const others = [...rest].sort((one, other) => Number(other.key === first) - Number(one.key === first));
  const tap = (cure: string) => {
    if (!armed || Date.now() - last.current < SECOND_TAP_MS) return;
    if (cure === unnamed) setTelling(!telling);
    else log(cure);
  };
  const log = (cure: string, remark?: string) => {
    last.current = Date.now();
    send({ kind: 'put_right', body: { cure, ...(remark === undefined ? {} : { remark }) } });
    setTelling(false);
    setWords('');
  };
  const button = ({ key, label }: { key: string; label: string }) => (
    <Button
      key={key}
      look={key === first ? 'vivid' : 'plain'}
      size={key === first ? 'tall' : tall ? undefined : 'small'}
      data-primary={key === first ? true : undefined}
      justifyContent={tall && key !== first ? 'flex-start' : 'center'}
      flexShrink="0"
      aria-expanded={key === unnamed ? telling : undefined}
      onClick={() => tap(key)}
      data-cure={key}
    >
      {label}
    </Button>
  );
  return (
    <Box>
      {/* On a phone one line, drawn along: the next action and its pad stay in sight. */}
      <Flex
        gap="2"
        direction={tall ? 'column' : 'row'}
        wrap={{ base: 'nowrap', lg: 'wrap' }}
        overflowX={tall ? undefined : { base: 'auto', lg: 'visible' }}
        marginInline={tall ? undefined : { base: '-3', lg: '0' }}
        paddingInline={tall ? undefined : { base: '3', lg: '0' }}
        paddingBottom={tall ? undefined : '1'}
        role="group"
        aria-label="What was put right, if anything"
      >
        {looked.map((key) => (
          <Fragment key={key}>
            <Looked suspects={suspects.filter((one) => keyOf(one) === key)} />
            <Replaced part={suspects.find((one) => keyOf(one) === key)?.part ?? null} />
            {cures.filter((one) => one.key === key).map(button)}
          </Fragment>
        ))}
        {(first === undefined || looked.length > 0) && none}
        {looked.length > 0 && (
          <Button
            look="link"
            paddingInline="0"
            alignSelf="flex-start"
            aria-expanded={more}
            onClick={() => setMore(!more)}
            data-more-cures
          >
            More that can be put right
          </Button>
        )}
        {(looked.length === 0 || more) &&
          others.map((one) => (
            <Fragment key={one.key}>
              {button(one)}
              {one.key === first && none}
            </Fragment>
          ))}
      </Flex>
      {telling && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            log(unnamed, words.trim());
          }}
        >
          <FieldLabel htmlFor={field} marginTop="3">
            What was done
          </FieldLabel>
          <Flex gap="2">
            <Field
              id={field}
              name="cure-words"
              flex="1"
              autoFocus
              value={words}
              maxLength={300}
              onChange={(event) => setWords(event.target.value)}
            />
            <Button type="submit" look="dark" disabled={words.trim() === ''} data-cure-log>
              Log it
            </Button>
          </Flex>
        </form>
      )}
    </Box>
  );
};
