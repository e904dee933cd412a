import { Box, Flex } from '@chakra-ui/react';
import { Fragment, type ReactNode, useId, useRef, useState } from 'react';
import type { BenchState } from '../../../api/jobs';
import { Button, Field, FieldLabel } from '../../../components/Buttons';
import { capital } from '../../../lib/capital';
import { useArmed } from '../useArmed';
import { useBench } from '../useBench';

/** The one that says nothing of itself: what was done is written out. */
const unnamed = 'other';

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

/** What is looked for, as a sentence over the button of its cure. */
const Looked = ({ suspects }: { suspects: readonly Suspect[] }) =>
  suspects.length === 0 ? null : (
    <Box fontWeight="bold" lineHeight="snug" data-suspect>
      {capital(suspects.map((one) => one.what).join(', or '))}
    </Box>
  );

/** What is put right by hand: one tap is the entry. What has no button is told in words first. */
export const Cures = ({ tall = false, first, suspects = [], none }: Props) => {
  const { state, send } = useBench();
  const [telling, setTelling] = useState(false);
  const [words, setWords] = useState('');
  const field = useId();
  // The same tap must not be logged twice, without a server either, nor fall on what was drawn anew under the finger.
  const armed = useArmed(state.head);
  const last = useRef(0);
  const rank = (cure: string): number => {
    const place = cure === first ? 0 : suspects.findIndex((one) => (one.cure ?? unnamed) === cure);
    return place < 0 ? suspects.length : place;
  };
  const cures = [...state.beside.cures].sort((one, other) => rank(one.key) - rank(other.key));
  const unsuspected = cures.find((one) => rank(one.key) === suspects.length)?.key;
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
        {first === undefined && suspects.length === 0 && none}
        {cures.map(({ key, label }) => (
          <Fragment key={key}>
            {suspects.length > 0 && key === unsuspected && (
              <>
                {none}
                <Box textStyle="small">Or something else:</Box>
              </>
            )}
            <Looked suspects={suspects.filter((one) => (one.cure ?? unnamed) === key)} />
            <Button
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
            {key === first && none}
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
